import { choleskyInPlace, forwardSolve } from '@/core/kit/numerics';
import type { WordSizes } from './group-parts';
import type { WordRow } from './groups';
import type { Sum } from './shared-sum';
import { type Sites, takeWords, type Try } from './tries';

/** The words of one group at one node. */
interface GroupWords {
  /** Column of each key of the group. */
  readonly columns: Int32Array;
  readonly sizes: WordSizes;
  readonly words: readonly WordRow<Try>[];
}

/** Posterior of the shared columns as words move it: mean, and covariance count × count row-major. */
export interface Moments {
  readonly mean: Float64Array;
  readonly covariance: Float64Array;
}

/** Σ·aᵀ of each word's coefficients a, words × count row-major. */
function throughColumns({ columns, sizes }: GroupWords, { mean, covariance }: Moments): Float64Array {
  const count = mean.length;
  const words = sizes.ownMm.length;
  const through = new Float64Array(words * count);
  for (let word = 0; word < words; word++) {
    for (let key = 0; key < columns.length; key++) {
      const coefficient = sizes.coefficients[word * columns.length + key];
      if (coefficient === 0) continue;
      const row = columns[key] * count;
      for (let i = 0; i < count; i++) through[word * count + i] += coefficient * covariance[row + i];
    }
  }
  return through;
}

/** Moments of the sizes that hand fits are about. */
function sizeMoments({ columns, sizes }: GroupWords, { mean }: Moments, through: Float64Array) {
  const count = mean.length;
  const words = sizes.ownMm.length;
  const means = sizes.ownMm.slice();
  const covariance = sizes.covariance.slice();
  for (let word = 0; word < words; word++) {
    for (let key = 0; key < columns.length; key++) {
      const coefficient = sizes.coefficients[word * columns.length + key];
      means[word] += coefficient * mean[columns[key]];
      for (let other = 0; other < words; other++)
        covariance[word * words + other] += coefficient * through[other * count + columns[key]];
    }
  }
  return { means, covariance };
}

/** Moves the posterior by words that amount to readings with these variances; `before`: their moments before any was taken. */
function move(
  { mean, covariance }: Moments,
  through: Float64Array,
  before: { readonly means: Float64Array; readonly covariance: Float64Array },
  sites: Sites,
): void {
  const count = mean.length;
  const told = sites.flatMap((site, word) => (site === undefined ? [] : [{ ...site, word }]));
  const words = told.length;
  if (words === 0) return;
  const spread = new Float64Array(words * words);
  const misses = new Float64Array(words);
  const gains = new Float64Array(count * words);
  told.forEach(({ word, variance, offsetMm }, i) => {
    told.forEach((other, j) => {
      spread[i * words + j] = before.covariance[word * sites.length + other.word] + (i === j ? variance : 0);
    });
    misses[i] = offsetMm - before.means[word];
    for (let column = 0; column < count; column++) gains[column * words + i] = through[word * count + column];
  });
  if (choleskyInPlace(spread, words) >= 0) throw new RangeError('move: covariance is not positive definite');
  forwardSolve(spread, words, misses);
  for (let column = 0; column < count; column++) forwardSolve(spread, words, gains, column * words);
  for (let a = 0; a < count; a++) {
    for (let i = 0; i < words; i++) {
      const gain = gains[a * words + i];
      mean[a] += gain * misses[i];
      for (let b = 0; b < count; b++) covariance[a * count + b] -= gain * gains[b * words + i];
    }
  }
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

/** Takes a group's words in under the posterior so far, moves it, and adds what they amount to. */
export function takeGroupWords(
  sum: Sum,
  posterior: Moments,
  group: GroupWords,
): { readonly sites: Sites; readonly logLikelihood: number } {
  const through = throughColumns(group, posterior);
  const before = sizeMoments(group, posterior, through);
  const taken = takeWords(group.words, {
    means: before.means.slice(),
    covariance: before.covariance.slice(),
  });
  move(posterior, through, before, taken.sites);
  addWords(sum, posterior.mean.length, group, taken.sites);
  return taken;
}
