import { backwardSolve, choleskyInPlace, forwardSolve } from '@/core/kit/numerics';
import type { Layout } from './layout';
import type { Scatter } from './scatter-grid';

/** Information over the shared columns as it adds up: precision (lower triangle), moment, and Σ squares + log determinants. */
export interface Sum {
  readonly precision: Float64Array;
  readonly moment: Float64Array;
  misfit: number;
}

export function startSum({ count, precision, moment, habits }: Layout, { tauB }: Scatter): Sum {
  const sum = { precision: precision.slice(), moment: moment.slice(), misfit: 0 };
  for (const habit of habits) {
    sum.precision[habit * count + habit] += 1 / (tauB * tauB);
    sum.misfit += 2 * Math.log(tauB);
  }
  return sum;
}

/** Adds what a group leaves, from its own columns to those of all. */
export function addLeft(sum: Sum, count: number, columns: Int32Array, left: Float64Array): void {
  let at = 0;
  for (let a = 0; a < columns.length; a++) {
    for (let b = 0; b <= a; b++) {
      const row = columns[a] > columns[b] ? columns[a] : columns[b];
      sum.precision[row * count + columns[a] + columns[b] - row] += left[at++];
    }
  }
  for (let a = 0; a < columns.length; a++) sum.moment[columns[a]] += left[at++];
  sum.misfit += left[at];
}

/** Solves for the posterior; `explained` is mᵀ·P·m. */
export function solve({ precision, moment }: Sum, count: number) {
  const factor = precision.slice();
  if (choleskyInPlace(factor, count) >= 0) throw new RangeError('solve: precision is not positive definite');
  const mean = moment.slice();
  forwardSolve(factor, count, mean);
  let explained = 0;
  let logDeterminant = 0;
  for (let i = 0; i < count; i++) {
    explained += mean[i] * mean[i];
    logDeterminant += 2 * Math.log(factor[i * count + i]);
  }
  backwardSolve(factor, count, mean);
  return { factor, mean, explained, logDeterminant };
}

/** Inverse of L·Lᵀ, count × count row-major. */
export function invertFactor(factor: Float64Array, count: number): Float64Array {
  const inverse = new Float64Array(count * count);
  for (let column = 0; column < count; column++) {
    const unit = new Float64Array(count);
    unit[column] = 1;
    forwardSolve(factor, count, unit);
    backwardSolve(factor, count, unit);
    inverse.set(unit, column * count);
  }
  return inverse;
}
