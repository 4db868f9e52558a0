import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readReferenceJson } from '@/testing/reference';
import { correctReading, estimateSize, pooledScatter, scatterOfReading } from '../index';

interface Case {
  readonly readings: number[];
  readonly mpe_mm: number;
  readonly resolution_mm: number;
  readonly expected: Record<'mean' | 's' | 'uA' | 'u' | 'nuEff' | 'k' | 'U', number>;
}

describe('readings to a size', () => {
  const { cases } = readReferenceJson<{ cases: Case[] }>('readings.json');

  test.each(cases.map((each) => [each.readings.length, each] as const))(
    '%d readings give the reference budget',
    (_, each) => {
      const instrument = { mpeMm: each.mpe_mm, resolutionMm: each.resolution_mm };
      const size = estimateSize(each.readings, { instrument, warmthU: 0 });
      const relative = (found: number, expected: number) => Math.abs(found / expected - 1);
      const { expected } = each;
      expect(relative(size.sizeMm, expected.mean)).toBeLessThan(1e-9);
      expect(relative(size.sMm, expected.s)).toBeLessThan(1e-9);
      expect(relative(size.uTypeA_mm, expected.uA)).toBeLessThan(1e-9);
      expect(relative(size.u_mm, expected.u)).toBeLessThan(1e-9);
      expect(relative(size.nuEff, expected.nuEff)).toBeLessThan(1e-9);
      expect(relative(size.k, expected.k)).toBeLessThan(1e-6);
      expect(relative(size.expandedU_mm, expected.U)).toBeLessThan(1e-6);
    },
  );

  test('scaling readings, limit of error and resolution scales size and U alike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 9.9, max: 10.1, noNaN: true }), { minLength: 2, maxLength: 6 }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (readings, scale) => {
          const plain = estimateSize(readings, {
            instrument: { mpeMm: 0.02, resolutionMm: 0.01 },
            warmthU: 0,
          });
          const instrument = { mpeMm: 0.02 * scale, resolutionMm: 0.01 * scale };
          const scaled = estimateSize(
            readings.map((value) => value * scale),
            { instrument, warmthU: 0 },
          );
          expect(scaled.sizeMm / scale).toBeCloseTo(plain.sizeMm, 9);
          expect(scaled.expandedU_mm / scale).toBeCloseTo(plain.expandedU_mm, 9);
        },
      ),
      { seed: 4, numRuns: 50 },
    );
  });

  test('halving the spread of readings halves the Type A uncertainty', () => {
    const instrument = { mpeMm: 0.02, resolutionMm: 0.01 };
    const wide = estimateSize([9.98, 10, 10.02], { instrument });
    const narrow = estimateSize([9.99, 10, 10.01], { instrument });
    expect(narrow.uTypeA_mm).toBeCloseTo(wide.uTypeA_mm / 2, 12);
  });

  test('the limit of error does not average away', () => {
    const instrument = { mpeMm: 0.03, resolutionMm: 0.01 };
    const many = Array.from({ length: 400 }, (_, i) => 10 + (i % 2) * 0.01);
    expect(estimateSize(many, { instrument, warmthU: 0 }).u_mm).toBeGreaterThan(0.03 / Math.sqrt(3));
  });

  test('an unknown temperature costs 3 K of the difference between resin and steel', () => {
    const instrument = { mpeMm: 0, resolutionMm: 0 };
    // 100 mm × (90 − 11.5)e-6 /K × 3 K = 0.02355 mm
    expect(estimateSize([100, 100], { instrument }).u_mm).toBeCloseTo(0.02355, 10);
  });

  test('no reading is a mistake of the caller', () => {
    expect(() => estimateSize([], { instrument: { mpeMm: 0.02, resolutionMm: 0.01 } })).toThrow(RangeError);
  });
});

describe('pooled scatter', () => {
  test('weighs groups by their degrees of freedom', () => {
    // squares 2·0.01² and 0.02²/2 over 2 + 1 degrees of freedom
    const pooled = pooledScatter([[9.99, 10, 10.01], [20, 20.02], [5]]);
    expect(pooled?.dof).toBe(3);
    expect(pooled?.sMm).toBeCloseTo(Math.sqrt((2e-4 + 2e-4) / 3), 12);
  });

  test('is unknown before anything was read twice', () => {
    expect(pooledScatter([[1], [2]])).toBeUndefined();
  });

  test('a lone reading is never better than the display', () => {
    const instrument = { mpeMm: 0.02, resolutionMm: 0.01 };
    expect(scatterOfReading(1, instrument, { sMm: 0.001, dof: 5 })).toBe(0.01);
    expect(scatterOfReading(3, instrument, { sMm: 0.001, dof: 5 })).toBe(0.001);
    expect(scatterOfReading(1, { ...instrument, repeatabilityMm: 0.004 })).toBe(0.004);
  });
});

describe('corrections of a reading', () => {
  const bore = { sense: 'inside', shape: 'round' };

  test('flats of 0.5 mm read an 8 mm bore small by 16 µm', () => {
    // √(7.98² + 0.5²) = 7.99565
    expect(correctReading(7.98, bore, { mpeMm: 0.02, resolutionMm: 0.01, jawFlatMm: 0.5 })).toBeCloseTo(
      7.99565,
      5,
    );
  });

  test('flats touch neither slots nor shafts, and an unknown flat corrects nothing', () => {
    const caliper = { mpeMm: 0.02, resolutionMm: 0.01, jawFlatMm: 0.5 };
    expect(correctReading(8, { sense: 'inside', shape: 'flat' }, caliper)).toBe(8);
    expect(correctReading(8, { sense: 'outside', shape: 'round' }, caliper)).toBe(8);
    expect(correctReading(8, bore, { ...caliper, jawFlatMm: 'unknown' })).toBe(8);
  });

  test('a warm part read with a cool caliper is shorter at 20 °C', () => {
    const caliper = { mpeMm: 0.02, resolutionMm: 0.01 };
    // 100·(1 + 11.5e-6·0 − 90e-6·10) = 99.91
    expect(
      correctReading(100, { sense: 'outside', shape: 'flat' }, caliper, { partC: 30, instrumentC: 20 }),
    ).toBeCloseTo(99.91, 9);
  });

  test('the zero is taken off', () => {
    expect(correctReading(10.03, bore, { mpeMm: 0.02, resolutionMm: 0.01 }, { zeroMm: 0.02 })).toBeCloseTo(
      10.01,
      12,
    );
  });
});
