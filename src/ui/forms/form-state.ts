/** What a server action answers to a form: how it went, in a sentence. */
export interface FormState {
  readonly ok: boolean;
  readonly message?: string;
  /** Counts answers, so that a form notices an equal one. */
  readonly at?: number;
}

export const UNTOUCHED: FormState = { ok: true };

export function refused(message: string): FormState {
  return { ok: false, message, at: Date.now() };
}

export function done(message?: string): FormState {
  return { ok: true, message, at: Date.now() };
}
