/** Whether all that a page sent as ids of rows can be one. */
export function areIds(...ids: readonly unknown[]): boolean {
  return ids.every((id) => Number.isSafeInteger(id) && (id as number) > 0);
}
