import type { Family, Ranked } from '@/core/resin';
import type { ResinReasons } from '@/subjects/resin/choice';

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
  /** Used undiluted it bends permanently over time. */
  readonly creeps: boolean;
  /** Asked to be clear: the longest cure before it is too yellow, minutes. */
  readonly clearForMin?: number;
  readonly inVatOf: readonly string[];
  /** Deflection temperature at the part's stress. */
  readonly heatC?: number;
  readonly elongation?: number;
  readonly priceLitre?: number;
}
