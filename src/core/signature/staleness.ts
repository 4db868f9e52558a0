/** Why a signature is doubted: two strong misses in a row, or a slow walk away. */
export type Staleness =
  | { readonly kind: 'holds' }
  | { readonly kind: 'twoInARow'; readonly at: number }
  | { readonly kind: 'slowWalk'; readonly at: number; readonly side: 'over' | 'under' };

const STRONG = 3;
const SLACK = 0.5;
const ALARM = 4;

/**
 * Does a signature still hold? `z`: one-step-ahead z of a control feature, print after print, oldest first.
 * Two-sided CUSUM with slack 0.5 and alarm at 4; or |z| > 3 twice running. `at` is the index that raised it.
 * Source: E. S. Page, Biometrika 41 (1954) 100.
 */
export function judgeStaleness(z: readonly number[]): Staleness {
  let over = 0;
  let under = 0;
  for (let at = 0; at < z.length; at++) {
    if (at > 0 && Math.abs(z[at]) > STRONG && Math.abs(z[at - 1]) > STRONG) return { kind: 'twoInARow', at };
    over = Math.max(0, over + z[at] - SLACK);
    under = Math.max(0, under - z[at] - SLACK);
    if (over > ALARM) return { kind: 'slowWalk', at, side: 'over' };
    if (under > ALARM) return { kind: 'slowWalk', at, side: 'under' };
  }
  return { kind: 'holds' };
}
