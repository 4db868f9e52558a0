import { fail, ok, type Result } from '@/core/kit';

/** A part let fall on a hard floor, once. */
export interface DropTrial {
  readonly heightM: number;
  readonly broke: boolean;
}

export interface DropResult {
  /** Greatest height from which it stayed whole in every trial, with none broken from lower; m, 0 when none. */
  readonly heightM: number;
  readonly trials: number;
  /** Chance to survive that the trials at and above this height show at 95 % confidence. */
  readonly survivesAtLeast: number;
  /** Nothing broke: it may stand more. */
  readonly atLeast: boolean;
}

export type DropIssue = { readonly code: 'noDrops' } | { readonly code: 'heightNotPositive' };

/**
 * What drops prove: n falls without a break from a height or above show a survival of at least 0.05^(1/n).
 * Source: C. Clopper and E. Pearson, Biometrika 26 (1934), for no failure in n. Example: five falls → 0.549.
 */
export function judgeDrops(trials: readonly DropTrial[]): Result<DropResult, DropIssue> {
  if (trials.length === 0) return fail({ code: 'noDrops' });
  if (!trials.every(({ heightM }) => heightM > 0)) return fail({ code: 'heightNotPositive' });
  const broken = Math.min(...trials.filter(({ broke }) => broke).map(({ heightM }) => heightM));
  const whole = trials
    .filter(({ broke, heightM }) => !broke && heightM < broken)
    .map(({ heightM }) => heightM);
  const heightM = Math.max(0, ...whole);
  const count = whole.filter((height) => height >= heightM - 1e-9).length;
  return ok({
    heightM,
    trials: count,
    survivesAtLeast: count === 0 ? 0 : 0.05 ** (1 / count),
    atLeast: broken === Infinity,
  });
}
