import { seededRandom } from '@/core/kit/numerics';

/** Things of one print of which some failed, by their places in the list. */
export interface Stratum {
  readonly size: number;
  readonly failed: readonly number[];
}

/** How often random choices do as well. */
export interface Permuted {
  readonly statistic: number;
  /** Ways to choose as many failed ones in every print; Infinity where they are past counting. */
  readonly arrangements: number;
  readonly p: number;
  /** Every arrangement was looked at; else 20 000 seeded draws. */
  readonly isExact: boolean;
}

/** How thoroughly: up to so many arrangements one by one, else so many draws. */
export interface Thoroughness {
  readonly seed?: number;
  readonly exactUpTo?: number;
  readonly draws?: number;
}

const EXACT_UP_TO = 200_000;
const DRAWS = 20_000;
/** Sums in another order differ by this much. */
const SAME = 1e-9;

function choose(n: number, k: number): number {
  let ways = 1;
  for (let i = 1; i <= Math.min(k, n - k); i++) ways = (ways * (n - Math.min(k, n - k) + i)) / i;
  return Math.round(ways);
}

/** All ways to choose k of n, each in rising order. */
function combinations(n: number, k: number): number[][] {
  const all: number[][] = [];
  const chosen = Array.from({ length: k }, (_, i) => i);
  for (;;) {
    all.push([...chosen]);
    let at = k - 1;
    while (at >= 0 && chosen[at] === n - k + at) at--;
    if (at < 0) return all;
    chosen[at]++;
    for (let i = at + 1; i < k; i++) chosen[i] = chosen[i - 1] + 1;
  }
}

/** Every choice in every print, one after another. */
function visitAll(strata: readonly Stratum[], visit: (chosen: readonly (readonly number[])[]) => void): void {
  const lists = strata.map(({ size, failed }) => combinations(size, failed.length));
  const at = lists.map(() => 0);
  for (;;) {
    visit(at.map((i, stratum) => lists[stratum][i]));
    let stratum = lists.length - 1;
    while (stratum >= 0 && ++at[stratum] === lists[stratum].length) at[stratum--] = 0;
    if (stratum < 0) return;
  }
}

/** k of n without repetition (R. Floyd's algorithm). */
function draw(n: number, k: number, uniform: () => number): number[] {
  if (k === 1) return [Math.floor(uniform() * n)];
  const chosen = new Set<number>();
  for (let j = n - k; j < n; j++) {
    const pick = Math.floor(uniform() * (j + 1));
    chosen.add(chosen.has(pick) ? j : pick);
  }
  return [...chosen];
}

/**
 * Share of arrangements whose statistic is as small as the one seen, prints kept apart: exact up to 200 000 arrangements,
 * else (1 + hits)/(1 + draws) over 20 000 seeded draws. Source: permutation tests, R. A. Fisher 1935; B. Phipson,
 * G. K. Smyth, Stat. Appl. Genet. Mol. Biol. 9 (2010) 39.
 */
export function permutationTest(
  strata: readonly Stratum[],
  statisticOf: (chosen: readonly (readonly number[])[]) => number,
  { seed = 1, exactUpTo = EXACT_UP_TO, draws = DRAWS }: Thoroughness = {},
): Permuted {
  const statistic = statisticOf(strata.map(({ failed }) => failed));
  const arrangements = strata.reduce((all, { size, failed }) => all * choose(size, failed.length), 1);
  const limit = statistic + SAME * Math.max(1, Math.abs(statistic));
  let hits = 0;
  if (arrangements <= exactUpTo) {
    visitAll(strata, (chosen) => {
      if (statisticOf(chosen) <= limit) hits++;
    });
    return { statistic, arrangements, p: hits / arrangements, isExact: true };
  }
  const { uniform } = seededRandom(seed);
  for (let i = 0; i < draws; i++) {
    const chosen = strata.map(({ size, failed }) => draw(size, failed.length, uniform));
    if (statisticOf(chosen) <= limit) hits++;
  }
  return { statistic, arrangements, p: (1 + hits) / (1 + draws), isExact: false };
}
