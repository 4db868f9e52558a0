import { choleskyInPlace, forwardSolve } from '@/core/numerics';
import type { Sites, WordSizes } from './group-parts';
import { solve, type Sum } from './shared-sum';
import { takeWords, type Try } from './tries';

/** The words of one group at one node. */
interface GroupWords {
  /** Column of each key of the group. */
  readonly columns: Int32Array;
  readonly sizes: WordSizes;
  readonly words: readonly Try[];
}

/** Moments of the sizes that words speak of, under the posterior of the shared columns so far. */
function momentsOf({ columns, sizes }: GroupWords, count: number, factor: Float64Array, mean: Float64Array) {
  const words = sizes.ownMm.length;
  const means = sizes.ownMm.slice();
  const covariance = sizes.covariance.slice();
  const through = new Float64Array(words * count);
  for (let word = 0; word < words; word++) {
    for (let key = 0; key < columns.length; key++) {
      const coefficient = sizes.coefficients[word * columns.length + key];
      means[word] += coefficient * mean[columns[key]];
      through[word * count + columns[key]] = coefficient;
    }
    forwardSolve(factor, count, through, word * count);
    for (let other = 0; other <= word; other++) {
      let dot = 0;
      for (let i = 0; i < count; i++) dot += through[word * count + i] * through[other * count + i];
      covariance[word * words + other] += dot;
      if (other < word) covariance[other * words + word] += dot;
    }
  }
  return { means, covariance };
}

/** Adds words to the sum as readings of their sizes, each with the variance that it amounts to. */
function addWords(sum: Sum, count: number, { columns, sizes }: GroupWords, sites: Sites): void {
  const told = sites.flatMap((site, word) => (site === undefined ? [] : [{ ...site, word }]));
  const words = told.length;
  const errors = new Float64Array(words * words);
  const misses = new Float64Array(words);
  const rows = new Float64Array(columns.length * words);
  told.forEach(({ word, variance, offsetMm }, i) => {
    told.forEach((other, j) => {
      errors[i * words + j] = sizes.covariance[word * sites.length + other.word] + (i === j ? variance : 0);
    });
    misses[i] = offsetMm - sizes.ownMm[word];
    for (let key = 0; key < columns.length; key++)
      rows[key * words + i] = sizes.coefficients[word * columns.length + key];
  });
  if (choleskyInPlace(errors, words) >= 0)
    throw new RangeError('addWords: covariance is not positive definite');
  forwardSolve(errors, words, misses);
  for (let key = 0; key < columns.length; key++) forwardSolve(errors, words, rows, key * words);
  for (let a = 0; a < columns.length; a++) {
    for (let i = 0; i < words; i++) sum.moment[columns[a]] += rows[a * words + i] * misses[i];
    for (let b = 0; b <= a; b++) {
      let dot = 0;
      for (let i = 0; i < words; i++) dot += rows[a * words + i] * rows[b * words + i];
      const row = Math.max(columns[a], columns[b]);
      sum.precision[row * count + columns[a] + columns[b] - row] += dot;
    }
  }
}

/** Takes a group's words in under the posterior so far, and adds what they amount to. */
export function takeGroupWords(
  sum: Sum,
  count: number,
  group: GroupWords,
): { readonly sites: Sites; readonly logLikelihood: number } {
  const { factor, mean } = solve(sum, count);
  const taken = takeWords(group.words, momentsOf(group, count, factor, mean));
  addWords(sum, count, group, taken.sites);
  return taken;
}
