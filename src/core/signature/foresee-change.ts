import type { Signature } from './estimate';
import { type Change, lawAfter } from './frame';

/**
 * The signature as it would be for prints made after a change that is made now: what was read tells of them as far as the
 * change leaves it alike, moved by what is known. Prints made already are as they were.
 */
export function foreseeChange(signature: Signature, change: Omit<Change, 'printsBefore'>): Signature {
  const { posterior, base } = signature;
  const toCome = lawAfter(change, posterior.prior, base);
  return { ...signature, posterior: { ...posterior, frame: { ...posterior.frame, toCome } } };
}
