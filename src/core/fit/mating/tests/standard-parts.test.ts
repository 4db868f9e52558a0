import { describe, expect, test } from '@jest/globals';
import { BEARINGS, DOWEL_PINS_MM, dowelPinMate, mateWithin, NUTS } from '..';

describe('a bought part within what its standard allows', () => {
  test('is taken at the middle, with the spread of a rectangle: half width over √3', () => {
    const { sizeMm, u_mm } = mateWithin(21.992, 22);
    expect(sizeMm).toBeCloseTo(21.996, 12);
    expect(u_mm).toBeCloseTo(0.004 / Math.sqrt(3), 12);
  });

  // ISO 286-2, m6: up to 3 mm +2 … +8, to 6 mm +4 … +12, to 10 mm +6 … +15 µm.
  test.each([
    [3, 0.002, 0.008],
    [6, 0.004, 0.012],
    [8, 0.006, 0.015],
    [10, 0.006, 0.015],
  ])('a dowel pin of %d mm lies in m6', (mm, low, high) => {
    const { sizeMm, u_mm } = dowelPinMate(mm);
    expect(sizeMm).toBeCloseTo(mm + (low + high) / 2, 9);
    expect(u_mm).toBeCloseTo((high - low) / Math.sqrt(12), 9);
  });

  test('every dowel pin shipped has its grade', () => {
    for (const mm of DOWEL_PINS_MM) expect(dowelPinMate(mm).sizeMm).toBeGreaterThan(mm);
  });
});

describe('nuts and bearings', () => {
  test('a hexagon is 2/√3 of its flats over sharp corners, and the corners of a nut are never more', () => {
    for (const { flatsMm, cornersMm } of NUTS) {
      expect(cornersMm).toBeLessThanOrEqual((flatsMm * 2) / Math.sqrt(3));
      expect(cornersMm).toBeGreaterThan(1.07 * flatsMm);
    }
  });

  test('a larger thread has a coarser pitch or the same, a wider and thicker nut, and a larger hole', () => {
    for (let i = 1; i < NUTS.length; i++) {
      expect(NUTS[i].pitchMm).toBeGreaterThanOrEqual(NUTS[i - 1].pitchMm);
      for (const size of ['threadMm', 'flatsMm', 'thicknessMm', 'fineHoleMm', 'mediumHoleMm'] as const)
        expect(NUTS[i][size]).toBeGreaterThan(NUTS[i - 1][size]);
    }
  });

  test('a bolt passes its fine hole and more easily its medium one', () => {
    for (const { threadMm, fineHoleMm, mediumHoleMm } of NUTS) {
      expect(fineHoleMm).toBeGreaterThan(threadMm);
      expect(mediumHoleMm).toBeGreaterThan(fineHoleMm);
    }
  });

  test('no bearing stands twice', () => {
    expect(new Set(BEARINGS.map(({ boreMm, outerMm }) => `${boreMm}/${outerMm}`)).size).toBe(BEARINGS.length);
  });
});
