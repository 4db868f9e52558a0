import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import {
  boxProbability,
  choleskyInPlace,
  invertSymmetric,
  mixtureCdf,
  mixtureInterval,
  mixtureMoments,
  mixtureQuantile,
  normalCdf,
  seededRandom,
  seedFrom,
  solveSymmetric,
} from '../index';

/** A·Aᵀ + I for a random A: symmetric and positive definite. */
function spdMatrix(size: number, seed: number): Float64Array {
  const random = seededRandom(seed);
  const a = Array.from({ length: size * size }, () => random.normal());
  const matrix = new Float64Array(size * size);
  for (let i = 0; i < size; i++) {
    for (let j = 0; j < size; j++) {
      for (let k = 0; k < size; k++) matrix[i * size + j] += a[i * size + k] * a[j * size + k];
    }
    matrix[i * size + i] += 1;
  }
  return matrix;
}

describe('symmetric systems', () => {
  test('the solution put back gives the right side', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 1e6 }), (size, seed) => {
        const matrix = spdMatrix(size, seed);
        const right = Float64Array.from({ length: size }, (_, i) => i - 2.5);
        const solution = expectOk(solveSymmetric(matrix, right));
        for (let row = 0; row < size; row++) {
          const back = solution.reduce((sum, value, column) => sum + matrix[row * size + column] * value, 0);
          expect(back).toBeCloseTo(right[row], 8);
        }
      }),
      { seed: 3, numRuns: 40 },
    );
  });

  test('a singular and an indefinite matrix are refused with the pivot', () => {
    const singular = Float64Array.from([1, 2, 2, 4]);
    expect(solveSymmetric(singular, Float64Array.of(1, 1))).toEqual({
      ok: false,
      issue: { code: 'notPositiveDefinite', pivot: 1 },
    });
    expect(invertSymmetric(Float64Array.of(-1), 1).ok).toBe(false);
    expect(choleskyInPlace(Float64Array.of(NaN), 1)).toBe(0);
  });

  test('the arguments stay as they were', () => {
    const matrix = Float64Array.from([4, 1, 1, 3]);
    const right = Float64Array.of(1, 2);
    solveSymmetric(matrix, right);
    expect([...matrix, ...right]).toEqual([4, 1, 1, 3, 1, 2]);
  });
});

describe('mixture of normals', () => {
  const mixture = {
    weights: Float64Array.of(0.3, 0.7),
    means: Float64Array.of(-1, 2),
    variances: Float64Array.of(0.25, 4),
  };

  test('has mean Σwm and variance Σw(v + (m − mean)²)', () => {
    // mean 1.1; variance 0.3(0.25 + 4.41) + 0.7(4 + 0.81) = 4.765
    const { mean, sd } = mixtureMoments(mixture);
    expect(mean).toBeCloseTo(1.1, 12);
    expect(sd ** 2).toBeCloseTo(4.765, 12);
  });

  test('quantiles undo its distribution function', () => {
    for (const p of [0.001, 0.3, 0.5, 0.975])
      expect(mixtureCdf(mixture, mixtureQuantile(mixture, p))).toBeCloseTo(p, 10);
    expect(() => mixtureQuantile(mixture, 0)).toThrow(RangeError);
  });

  test('an interval turned round holds nothing', () => {
    expect(mixtureInterval(mixture, 1, 0)).toBe(0);
    expect(mixtureInterval(mixture, -100, 100)).toBeCloseTo(1, 12);
  });
});

describe('chance that all coordinates are inside', () => {
  test('independent coordinates multiply', () => {
    const factor = Float64Array.of(1, 0, 0, 2);
    const limits = { lower: Float64Array.of(-1, -2), upper: Float64Array.of(1, 4) };
    const expected = (normalCdf(1) - normalCdf(-1)) * (normalCdf(2) - normalCdf(-1));
    expect(boxProbability(factor, limits, 512)).toBeCloseTo(expected, 3);
  });

  test('two coordinates both above zero: 1/4 + asin ρ/2π', () => {
    const rho = 0.6;
    const factor = Float64Array.of(1, 0, rho, Math.sqrt(1 - rho * rho));
    const limits = { lower: Float64Array.of(0, 0), upper: Float64Array.of(40, 40) };
    expect(boxProbability(factor, limits, 4096)).toBeCloseTo(0.25 + Math.asin(rho) / (2 * Math.PI), 3);
  });
});

describe('seeded chance', () => {
  test('the same seed repeats and another does not', () => {
    const take = (seed: number) => Array.from({ length: 4 }, seededRandom(seed).uniform);
    expect(take(7)).toEqual(take(7));
    expect(take(7)).not.toEqual(take(8));
    expect(seedFrom(1, 'a')).not.toBe(seedFrom(1, 'b'));
  });

  test('normals have mean 0 and variance 1', () => {
    const random = seededRandom(42);
    const values = Array.from({ length: 20000 }, () => random.normal());
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(variance - 1)).toBeLessThan(0.04);
  });
});
