import { regularisedBeta } from '@/core/kit/numerics';

/** Something that is used up print by print. */
export interface StockAsk {
  /** What was left when somebody counted, and the prints since then. */
  readonly counted: number;
  readonly printsSince: number;
  readonly perPrint: number;
  /** Days that more of it takes to come. */
  readonly leadDays: number;
  /** How often it is printed here: so many prints in so many days. */
  readonly pace: { readonly prints: number; readonly days: number };
}

export interface Stock {
  readonly left: number;
  /** Prints that it still lasts for; infinite where a print takes none. */
  readonly printsLeft: number;
  /** Chance that it runs out before more has come, if it is ordered today. */
  readonly runOut: number;
  readonly isDue: boolean;
}

const DUE_FROM = 0.05;

/**
 * Chance of more than n prints in so many days, the pace itself known from a count: gamma-Poisson with Jeffreys' prior, so
 * negative binomial, whose distribution is an incomplete beta (N. L. Johnson, A. W. Kemp, S. Kotz 2005, §5.6).
 * Example: 10 prints in 10 days, more than 10 in the next 10: about 0.45.
 */
export function moreThan(n: number, days: number, pace: StockAsk['pace']): number {
  if (days <= 0) return 0;
  const days0 = Math.max(1e-9, pace.days);
  return 1 - regularisedBeta(days0 / (days0 + days), pace.prints + 0.5, n + 1);
}

/** What is left, how long it lasts, and whether more of it is to be ordered now. */
export function stockOf({ counted, printsSince, perPrint, leadDays, pace }: StockAsk): Stock {
  const left = Math.max(0, counted - perPrint * printsSince);
  const printsLeft = perPrint > 0 ? Math.floor(left / perPrint + 1e-9) : Infinity;
  const runOut = printsLeft === Infinity ? 0 : printsLeft === 0 ? 1 : moreThan(printsLeft, leadDays, pace);
  return { left, printsLeft, runOut, isDue: runOut > DUE_FROM };
}
