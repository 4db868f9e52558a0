import { fail, ok, type Result } from '@/core/kit';

type NotPositiveDefinite = { readonly code: 'notPositiveDefinite'; readonly pivot: number };

/**
 * In-place Cholesky factor of a symmetric positive definite matrix.
 * `matrix`: row-major size × size (only its lower triangle is read); on return the lower triangle holds L with A = L·Lᵀ.
 * Gives the index of the first pivot that is not positive and finite, or −1. The raw form for inner loops.
 */
export function choleskyInPlace(matrix: Float64Array, size: number): number {
  for (let row = 0; row < size; row++) {
    const rowStart = row * size;
    for (let column = 0; column <= row; column++) {
      const columnStart = column * size;
      let sum = matrix[rowStart + column];
      for (let k = 0; k < column; k++) sum -= matrix[rowStart + k] * matrix[columnStart + k];
      if (column < row) matrix[rowStart + column] = sum / matrix[columnStart + column];
      else if (sum > 0 && sum < Infinity) matrix[rowStart + row] = Math.sqrt(sum);
      else return row;
    }
  }
  return -1;
}

/** Solves L·x = b in place, L lower triangular row-major size × size; `b` starts at `start` in `vector`. */
export function forwardSolve(factor: Float64Array, size: number, vector: Float64Array, start = 0): void {
  for (let row = 0; row < size; row++) {
    let sum = vector[start + row];
    const rowStart = row * size;
    for (let k = 0; k < row; k++) sum -= factor[rowStart + k] * vector[start + k];
    vector[start + row] = sum / factor[rowStart + row];
  }
}

/** Solves Lᵀ·x = b in place, L lower triangular row-major size × size. */
export function backwardSolve(factor: Float64Array, size: number, vector: Float64Array): void {
  for (let row = size - 1; row >= 0; row--) {
    let sum = vector[row];
    for (let k = row + 1; k < size; k++) sum -= factor[k * size + row] * vector[k];
    vector[row] = sum / factor[row * size + row];
  }
}

/**
 * Solves A·x = b for a symmetric positive definite A given row-major; neither argument is changed.
 * Refuses a matrix that is singular, indefinite or not finite, naming the pivot.
 */
export function solveSymmetric(
  matrix: Float64Array,
  rightSide: Float64Array,
): Result<Float64Array, NotPositiveDefinite> {
  const size = rightSide.length;
  if (matrix.length !== size * size) throw new RangeError('solveSymmetric: matrix must be size × size');
  const factor = matrix.slice();
  const pivot = choleskyInPlace(factor, size);
  if (pivot >= 0) return fail({ code: 'notPositiveDefinite', pivot });
  const solution = rightSide.slice();
  forwardSolve(factor, size, solution);
  backwardSolve(factor, size, solution);
  return ok(solution);
}

/** Inverse of a symmetric positive definite matrix, row-major. */
export function invertSymmetric(
  matrix: Float64Array,
  size: number,
): Result<Float64Array, NotPositiveDefinite> {
  const factor = matrix.slice();
  const pivot = choleskyInPlace(factor, size);
  if (pivot >= 0) return fail({ code: 'notPositiveDefinite', pivot });
  const inverse = new Float64Array(size * size);
  const unit = new Float64Array(size);
  for (let column = 0; column < size; column++) {
    unit.fill(0);
    unit[column] = 1;
    forwardSolve(factor, size, unit);
    backwardSolve(factor, size, unit);
    for (let row = 0; row < size; row++) inverse[row * size + column] = unit[row];
  }
  return ok(inverse);
}
