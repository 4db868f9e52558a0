import type { Check, Family, Merits, Ranked } from '@/core/resins';

/** A resin held against a job, as the page shows it. */
export interface ResinRow {
  readonly id: number;
  readonly name: string;
  readonly family: Family;
  readonly verdict: Ranked['verdict'];
  readonly score: number;
  readonly merits: Merits;
  readonly pareto: boolean;
  readonly checks: readonly Check[];
  readonly why: string;
  readonly changes: readonly string[];
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
