import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readReferenceJson } from '@/testing/reference';
import { deflectionAt, stressAllowing } from '../deflection';
import { viscosityAt } from '../viscosity';

interface Row {
  readonly at045: number;
  readonly at182: number;
  readonly stress_MPa: number;
  readonly expected_C: number;
}

const two = (low: number, high: number) => [
  { stressMPa: 0.45, tempC: low },
  { stressMPa: 1.82, tempC: high },
];

describe('deflection temperature at the part’s own stress', () => {
  test.each(readReferenceJson<{ deflectionTemperature: Row[] }>('resin.json').deflectionTemperature)(
    'reference: $at045 and $at182 °C at $stress_MPa MPa',
    ({ at045, at182, stress_MPa, expected_C }) => {
      expect(deflectionAt(two(at045, at182), stress_MPa)).toBeCloseTo(expected_C, 9);
    },
  );
  test('below the lower test its value holds, above the upper one nobody knows', () => {
    expect(deflectionAt(two(62, 49), 0.05)).toBe(62);
    expect(deflectionAt(two(62, 49), 0)).toBe(62);
    expect(deflectionAt(two(62, 49), 1.83)).toBeUndefined();
  });
  test('a lone upper value holds at every lower stress, a lone lower one not above its own', () => {
    expect(deflectionAt([{ stressMPa: 1.82, tempC: 49 }], 0.8)).toBe(49);
    expect(deflectionAt([{ stressMPa: 0.45, tempC: 62 }], 0.45)).toBe(62);
    expect(deflectionAt([{ stressMPa: 0.45, tempC: 62 }], 0.5)).toBeUndefined();
    expect(deflectionAt([], 0.1)).toBeUndefined();
  });
  test('the stated stress of the upper test counts: 1.80 or 1.82 MPa', () => {
    const iso = [
      { stressMPa: 0.45, tempC: 118 },
      { stressMPa: 1.8, tempC: 84 },
    ];
    // 118 − 34·ln(0.6/0.45)/ln(1.8/0.45) = 118 − 34·0.207519
    expect(deflectionAt(iso, 0.6)).toBeCloseTo(110.94436, 4);
    expect(deflectionAt(iso, 1.82)).toBeUndefined();
  });
  test('the stress that a temperature allows gives that temperature back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 200, noNaN: true }),
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (low, drop, share) => {
          const points = two(low, low - drop);
          const tempC = low - share * drop;
          expect(deflectionAt(points, stressAllowing(points, tempC)!)).toBeCloseTo(tempC, 6);
        },
      ),
    );
    expect(stressAllowing(two(62, 49), 80)).toBeUndefined();
  });
});

describe('viscosity at room temperature', () => {
  const points = [
    { mPas: 780, atC: 20 },
    { mPas: 520, atC: 25 },
  ];
  test('between two points it follows the logarithm over 1/T', () => {
    const { low, high } = viscosityAt(points, 22)!;
    // ln η at 22 °C: share (1/295.15 − 1/293.15)/(1/298.15 − 1/293.15) = 0.40407 of ln(520/780)
    expect(low).toBeCloseTo(780 * Math.exp(0.404066 * Math.log(520 / 780)), 1);
    expect(high).toBe(low);
  });
  test('one point tells a side only: thicker when colder, thinner when warmer', () => {
    expect(viscosityAt([points[1]], 18)).toEqual({ low: 520, high: Infinity });
    expect(viscosityAt([points[1]], 30)).toEqual({ low: 0, high: 520 });
    expect(viscosityAt([points[1]], 25)).toEqual({ low: 520, high: 520 });
    expect(viscosityAt([], 25)).toBeUndefined();
  });
  test('colder is never thinner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 11, max: 34 }), (atC) => {
        expect(viscosityAt(points, atC)!.low).toBeGreaterThanOrEqual(viscosityAt(points, atC + 1)!.low);
      }),
    );
  });
});
