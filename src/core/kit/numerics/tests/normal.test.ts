import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalCdf, normalDensity, normalQuantile } from '../index';

// Abramowitz and Stegun, table 26.1, and the far tail from its asymptotic series.
test.each([
  [0, 0.5],
  [1, 0.8413447460685429],
  [1.959963984540054, 0.975],
  [-3, 0.0013498980316300946],
  [-8, 6.220960574271786e-16],
])('P(Z ≤ %d)', (z, expected) => {
  expect(Math.abs(normalCdf(z) / expected - 1)).toBeLessThan(1e-12);
});

test('the quantile undoes the distribution function', () => {
  fc.assert(
    fc.property(fc.double({ min: 1e-12, max: 1 - 1e-12, noNaN: true }), (p) => {
      expect(Math.abs(normalCdf(normalQuantile(p)) / p - 1)).toBeLessThan(1e-9);
    }),
    { seed: 2 },
  );
});

test('the density is the slope of the distribution function', () => {
  for (const z of [-2.5, -0.3, 0, 1.7]) {
    expect((normalCdf(z + 1e-5) - normalCdf(z - 1e-5)) / 2e-5).toBeCloseTo(normalDensity(z), 9);
  }
});

test('no quantile exists at nought and one', () => {
  expect(() => normalQuantile(0)).toThrow(RangeError);
  expect(() => normalQuantile(1)).toThrow(RangeError);
});
