import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readReferenceJson } from '@/testing/reference';
import { normalQuantile, regularisedBeta, studentTQuantile, logGamma } from '../index';

describe('Student t quantile', () => {
  const { t975 } = readReferenceJson<{ t975: Record<string, number> }>('statistics.json');

  test.each(Object.entries(t975))('with %s degrees of freedom is what scipy says to 1e-9', (nu, expected) => {
    expect(Math.abs(studentTQuantile(0.975, Number(nu)) / expected - 1)).toBeLessThan(1e-9);
  });

  // Closed forms: one degree of freedom is Cauchy, two have t = (2p − 1)·√(2 / (4p(1 − p))).
  test.each([0.6, 0.9, 0.975, 0.999, 0.999999])('agrees with the closed forms at p = %d', (p) => {
    const cauchy = Math.tan(Math.PI * (p - 0.5));
    const two = (2 * p - 1) * Math.sqrt(2 / (4 * p * (1 - p)));
    expect(Math.abs(studentTQuantile(p, 1) / cauchy - 1)).toBeLessThan(1e-9);
    expect(Math.abs(studentTQuantile(p, 2) / two - 1)).toBeLessThan(1e-9);
  });

  test('without limit to its degrees of freedom it is the normal quantile', () => {
    expect(studentTQuantile(0.975, Infinity)).toBe(normalQuantile(0.975));
    // First term of the expansion: z(1 + (z² + 1)/4ν)
    const z = normalQuantile(0.975);
    expect(studentTQuantile(0.975, 1e9) / (z * (1 + (z * z + 1) / 4e9)) - 1).toBeCloseTo(0, 13);
  });

  test('the two ways of computing it meet where they take over from each other', () => {
    for (const p of [0.6, 0.975, 0.999999]) {
      // The slope in ν is below 1e-5 here: a change of 1e-6 in ν moves neither.
      expect(Math.abs(studentTQuantile(p, 2000) / studentTQuantile(p, 2000 + 1e-6) - 1)).toBeLessThan(1e-9);
    }
  });

  test('falls as degrees of freedom grow and is odd around one half', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 0.51, max: 0.999, noNaN: true }),
        (nu, p) => {
          const t = studentTQuantile(p, nu);
          expect(studentTQuantile(p, nu * 1.5)).toBeLessThan(t);
          expect(studentTQuantile(1 - p, nu)).toBeCloseTo(-t, 6);
        },
      ),
      { seed: 1, numRuns: 60 },
    );
  });

  test('refuses a probability of one and degrees of freedom below a half', () => {
    expect(() => studentTQuantile(1, 3)).toThrow(RangeError);
    expect(() => studentTQuantile(0.9, 0.1)).toThrow(RangeError);
    expect(() => studentTQuantile(0.9, NaN)).toThrow(RangeError);
  });
});

test('ln Γ holds factorials and Γ(1/2) = √π', () => {
  expect(logGamma(11)).toBeCloseTo(Math.log(3628800), 12);
  expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 13);
});

test('the incomplete beta function of (1, b) is 1 − (1 − x)^b', () => {
  for (const x of [0.01, 0.3, 0.77]) expect(regularisedBeta(x, 1, 3.5)).toBeCloseTo(1 - (1 - x) ** 3.5, 13);
});
