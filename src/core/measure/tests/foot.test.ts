import { describe, expect, test } from '@jest/globals';
import { chamferFor, DEFAULT_INSTRUMENT, flareOf, flareOfPrint } from '../index';

const instrument = { ...DEFAULT_INSTRUMENT, resolutionMm: 0.01 };
const POOLED = { sMm: 0.01, dof: 30 };

describe('the foot at the plate', () => {
  test('half of what a size is larger near the plate; inside it is smaller there', () => {
    const outside = flareOf(
      { sense: 'outside', lowMm: [20.21, 20.21, 20.21], highMm: [20.03, 20.03, 20.03], instrument },
      POOLED,
    )!;
    expect(outside.flareMm).toBeCloseTo(0.09, 12);
    // Two means of three readings and two displays: √(2·(0.01²/3 + 0.01²/12))/2.
    expect(outside.u_mm).toBeCloseTo(Math.sqrt(2 * (1e-4 / 3 + 1e-4 / 12)) / 2, 12);
    const inside = flareOf({ sense: 'inside', lowMm: [5.8], highMm: [6], instrument }, POOLED)!;
    expect(inside.flareMm).toBeCloseTo(0.1, 12);
    expect(flareOf({ sense: 'pitch', lowMm: [1], highMm: [1], instrument })).toBeUndefined();
    expect(flareOf({ sense: 'outside', lowMm: [], highMm: [1], instrument })).toBeUndefined();
  });

  test('several sizes together are surer, unless they lie apart', () => {
    const alike = flareOfPrint([0.09, 0.1].map((flareMm) => ({ flareMm, u_mm: 0.01, count: 1 })))!;
    expect(alike.flareMm).toBeCloseTo(0.095, 12);
    expect(alike.u_mm).toBeCloseTo(0.01 / Math.SQRT2, 12);
    const apart = flareOfPrint([0.02, 0.18].map((flareMm) => ({ flareMm, u_mm: 0.01, count: 1 })))!;
    expect(apart.u_mm).toBeCloseTo(0.08, 2);
    expect(flareOfPrint([])).toBeUndefined();
  });

  test('the chamfer reaches to the end of the interval in whole layers, and only a proven foot has one', () => {
    expect(chamferFor({ flareMm: 0.09, u_mm: 0.01, count: 2 }, 0.05)).toEqual({ legMm: 0.15, layers: 3 });
    expect(chamferFor({ flareMm: 0.0804, u_mm: 0.01, count: 1 }, 0.05)).toEqual({ legMm: 0.1, layers: 2 });
    expect(chamferFor({ flareMm: 0.01, u_mm: 0.01, count: 1 }, 0.05)).toBeUndefined();
  });
});
