import { permutationTest, type Permuted } from './permutation';

/** A number of each thing of one print (the area of each layer, the distance of each piece to the edge), and which failed. */
export interface RanksOfPrint {
  readonly values: readonly number[];
  readonly failed: readonly number[];
}

/** Place of each value among those of its print, 0 … 1; equal ones share the middle of theirs. */
function midRanks(values: readonly number[]): Float64Array {
  const order = [...values.keys()].sort((a, b) => values[a] - values[b]);
  const ranks = new Float64Array(values.length);
  for (let from = 0; from < order.length;) {
    let to = from;
    while (to < order.length && values[order[to]] === values[order[from]]) to++;
    for (let i = from; i < to; i++) ranks[order[i]] = (from + to) / 2 / order.length;
    from = to;
  }
  return ranks;
}

/** Failed ones have high values, or low ones. */
export type Side = 'high' | 'low';

/**
 * Do failures lie where a value is high (or low)? Statistic: the mean rank of the failed among what was printed, from 0 at
 * the wanted end; by permutation within each print. undefined without a failure.
 */
export function rankTest(prints: readonly RanksOfPrint[], side: Side, seed?: number): Permuted | undefined {
  const failing = prints.filter(({ failed }) => failed.length > 0);
  if (failing.length === 0) return undefined;
  const ranks = failing.map(({ values }) => {
    const own = midRanks(values);
    return side === 'low' ? own : own.map((rank) => 1 - rank);
  });
  const failures = failing.reduce((sum, { failed }) => sum + failed.length, 0);
  const strata = failing.map(({ values, failed }) => ({ size: values.length, failed }));
  const meanRank = (chosen: readonly (readonly number[])[]) => {
    let sum = 0;
    for (let print = 0; print < chosen.length; print++)
      for (const at of chosen[print]) sum += ranks[print][at];
    return sum / failures;
  };
  return permutationTest(strata, meanRank, { seed });
}
