import type { Cause } from './causes';

/** What failures took: hours of the printer, resin, and money in the shop's own. */
export interface Loss {
  readonly hours: number;
  readonly ml: number;
  readonly money: number;
}

/** What one print lost, and why as far as that was found. */
export interface LossOfPrint extends Loss {
  readonly cause?: Cause;
  /** YYYY-MM */
  readonly month: string;
}

export interface LossSum extends Loss {
  readonly prints: number;
}

export interface Losses {
  readonly total: LossSum;
  /** The dearest first; undefined: not found yet. */
  readonly byCause: readonly (LossSum & { readonly cause?: Cause })[];
  /** The newest first. */
  readonly byMonth: readonly (LossSum & { readonly month: string })[];
}

const NONE: LossSum = { prints: 0, hours: 0, ml: 0, money: 0 };

const added = (sum: LossSum, { hours, ml, money }: Loss): LossSum => ({
  prints: sum.prints + 1,
  hours: sum.hours + hours,
  ml: sum.ml + ml,
  money: sum.money + money,
});

function summedBy<Key>(losses: readonly LossOfPrint[], keyOf: (loss: LossOfPrint) => Key): Map<Key, LossSum> {
  const sums = new Map<Key, LossSum>();
  for (const loss of losses) sums.set(keyOf(loss), added(sums.get(keyOf(loss)) ?? NONE, loss));
  return sums;
}

/** What was lost, by cause and by month; what prevented failures would have cost is nobody's to say. */
export function sumLosses(losses: readonly LossOfPrint[]): Losses {
  return {
    total: losses.reduce(added, NONE),
    byCause: [...summedBy(losses, ({ cause }) => cause)]
      .map(([cause, sum]) => ({ cause, ...sum }))
      .sort((a, b) => b.money - a.money),
    byMonth: [...summedBy(losses, ({ month }) => month)]
      .map(([month, sum]) => ({ month, ...sum }))
      .sort((a, b) => b.month.localeCompare(a.month)),
  };
}
