import type { Signature } from './estimate';
import { type Change, lawAfter } from './frame';

/**
 * Returns the predicted signature for prints after a change that is made now: readings inform it as far as the change
 * leaves the parameter alone, moved by what is known. Prints that were already made are not affected.
 */
export function foreseeChange(signature: Signature, change: Omit<Change, 'printsBefore'>): Signature {
  const { posterior, base } = signature;
  const toCome = lawAfter(change, posterior.prior, base);
  return { ...signature, posterior: { ...posterior, frame: { ...posterior.frame, toCome } } };
}
