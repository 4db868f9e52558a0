import type { FormFaults } from './input-fields';

/** What a server action answers to a form: how it went, in a sentence or field by field. */
export interface FormAnswer {
  readonly ok: boolean;
  readonly message?: string;
  readonly faults?: FormFaults;
  /** Tells one answer from an equal one before. */
  readonly at?: number;
}

/** Field of a form that bears the key of its sending: what is sent twice is done once. */
export const TAP_KEY_FIELD = 'tapKey';

export const UNTOUCHED: FormAnswer = { ok: true };

export function refused(message: string): FormAnswer {
  return { ok: false, message, at: Date.now() };
}

export function faulty(faults: FormFaults): FormAnswer {
  return { ok: false, faults, at: Date.now() };
}

export function done(message?: string): FormAnswer {
  return { ok: true, message, at: Date.now() };
}
