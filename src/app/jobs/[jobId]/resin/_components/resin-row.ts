import type { Check, Family, Merits, Ranked } from '@/core/resins';

/** Each margin of a resin, what its score is made of, and what would have to change. */
export interface ResinReasons {
  readonly checks: readonly Check[];
  readonly merits: Merits;
  readonly changes: readonly string[];
}

/** A resin held against a job, as the page shows it. */
export interface ResinRow {
  readonly id: number;
  readonly name: string;
  readonly family: Family;
  readonly verdict: Ranked['verdict'];
  readonly score: number;
  readonly pareto: boolean;
  readonly why: string;
  /** They come with the first rows, and are asked for when a later one is opened. */
  readonly reasons?: ResinReasons;
  /** Used neat it bends for good in time. */
  readonly creeps: boolean;
  /** Asked to be clear: the longest cure before it is too yellow, minutes. */
  readonly clearForMin?: number;
  readonly inVatOf: readonly string[];
  /** Deflection temperature at the part's stress. */
  readonly heatC?: number;
  readonly elongation?: number;
  readonly priceLitre?: number;
}
