/** Whether all that a page sent as ids of rows can be one. */
export function areIds(...ids: readonly unknown[]): boolean {
  return ids.every((id) => Number.isSafeInteger(id) && (id as number) > 0);
}

/** A field of what a page sent, which may be no form at all. */
export function fieldOf(data: unknown, name: string): FormDataEntryValue | null {
  return data instanceof FormData ? data.get(name) : null;
}

/** Whether what a page sent can be the key of a tap; see use-tap. */
export function isTapKey(key: unknown): key is string {
  return typeof key === 'string' && key.length >= 8 && key.length <= 80;
}
