import { describe, expect, test } from '@jest/globals';
import { estimateSize, jawBias } from '../index';

const CALIPER = { mpeMm: 0.02, resolutionMm: 0.01 };
const piece = (readingMm: number, u_mm = 0) => ({ knownMm: 10, u_mm, readingMm });

describe('what the jaws add', () => {
  test('before any check the limit of error is all that is known', () => {
    const { meanMm, u_mm } = jawBias([], CALIPER);
    expect(meanMm).toBe(0);
    expect(u_mm).toBeCloseTo(0.02 / Math.sqrt(3), 12);
  });

  test('one reading of 10.02 on a piece of 10.000', () => {
    // Prior 0.02²/3 = 1.3333e-4; noise 0.01² + 0.01²/12 = 1.0833e-4 mm². Weights 7500 and 9230.8.
    const { meanMm, u_mm } = jawBias([piece(10.02)], CALIPER);
    expect(meanMm).toBeCloseTo((0.02 * 9230.77) / 16730.77, 7);
    expect(u_mm).toBeCloseTo(1 / Math.sqrt(16730.77), 7);
  });

  test('a piece that is known badly tells little', () => {
    expect(jawBias([piece(10.02, 0.1)], CALIPER).u_mm).toBeGreaterThan(0.99 * (0.02 / Math.sqrt(3)));
  });

  test('it is taken off a size, and what is left of it stands in U where the limit of error did', () => {
    const options = { instrument: CALIPER, pooled: { sMm: 0.005, dof: 20 }, warmthU: 0 };
    const bias = jawBias([piece(10.02), piece(10.02), piece(10.02)], CALIPER, options.pooled);
    const [plain, checked] = [estimateSize([20.05], options), estimateSize([20.05], { ...options, bias })];
    expect(checked.sizeMm).toBeCloseTo(20.05 - bias.meanMm, 12);
    expect(checked.uTypeB_mm).toBeCloseTo(Math.hypot(bias.u_mm, 0.01 / Math.sqrt(12)), 12);
    expect(checked.expandedU_mm).toBeLessThan(0.75 * plain.expandedU_mm);
  });
});
