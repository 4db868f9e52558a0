import type { ResinTest } from './resin-test';
import type { ResinSheet } from './sheet';

/** A component of a blend, by the name of its resin. */
export interface RecipePart {
  readonly resin: string;
  readonly fraction: number;
}

/** A bottle of a resin. */
interface Bottle {
  readonly batch: string;
  /** Day it was opened, YYYY-MM-DD; empty while it is sealed. */
  readonly openedOn: string;
  readonly fullMl: number;
  readonly leftMl: number;
}

/** Everything that is stored of one resin, as exported to a file. */
export interface ShelfEntry {
  readonly name: string;
  readonly sheet: ResinSheet;
  /** Its parts when it is a blend. */
  readonly blend?: readonly RecipePart[];
  readonly proofs: readonly ResinTest[];
  readonly bottles: readonly Bottle[];
}

/** Millilitres in a bottle by its weight; undefined without a density. */
export function leftByWeight(
  weighedG: number,
  emptyG: number,
  densityG_ml: number | undefined,
): number | undefined {
  return densityG_ml === undefined ? undefined : Math.max(0, (weighedG - emptyG) / densityG_ml);
}
