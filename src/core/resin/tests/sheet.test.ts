import { expect, test } from '@jest/globals';
import { findSheetIssues, quoteOf, type Quote, type ResinSheet } from '../sheet';
import { SHIPPED_SHELF } from '../shipped-shelf';

const quote = (property: Quote['property'], value: number, more: Partial<Quote> = {}): Quote => ({
  property,
  value,
  condition: 'cured',
  source: 'datasheet',
  ...more,
});
const sheet = (...quotes: Quote[]): ResinSheet => ({ family: 'general', quotes, cautions: [] });

test('no shipped sheet contradicts itself, and each name stands once', () => {
  for (const { sheet: shipped } of SHIPPED_SHELF) expect(findSheetIssues(shipped)).toEqual([]);
  expect(new Set(SHIPPED_SHELF.map(({ name }) => name)).size).toBe(8);
});

test('more deflection temperature at the higher load than at the lower is a contradiction', () => {
  expect(findSheetIssues(sheet(quote('deflectionLow_C', 49), quote('deflectionHigh_C', 62)))).toEqual([
    { code: 'deflectionCrossed', lowC: 49, highC: 62 },
  ]);
});

test('a lower test at the stress of the upper one is told', () => {
  const crossed = sheet(
    quote('deflectionLow_C', 62, { testMPa: 1.82 }),
    quote('deflectionHigh_C', 49, { testMPa: 0.45 }),
  );
  expect(findSheetIssues(crossed)).toEqual([{ code: 'stressesCrossed', lowMPa: 1.82, highMPa: 0.45 }]);
});

test('a modulus in gigapascals beside a strength in megapascals is told', () => {
  expect(
    findSheetIssues(sheet(quote('flexuralModulus_MPa', 2.3), quote('flexuralStrength_MPa', 55))),
  ).toEqual([{ code: 'unitsMixed', modulusMPa: 2.3, strengthMPa: 55 }]);
});

test('a cure floor above its ceiling and a viscosity without temperature are told', () => {
  const issues = findSheetIssues(
    sheet(quote('cureFloor_min', 20), quote('cureCeiling_min', 8), quote('viscosity_mPas', 400)),
  );
  expect(issues.map(({ code }) => code)).toEqual(['cureCrossed', 'viscosityWithoutTemperature']);
});

test('a finished part goes by cured values, annealed where no other is known, green never', () => {
  const green = quote('tensileModulus_MPa', 900, { condition: 'green' });
  const annealed = quote('tensileModulus_MPa', 2500, { condition: 'annealed' });
  const cured = quote('tensileModulus_MPa', 2100);
  expect(quoteOf(sheet(green), 'tensileModulus_MPa')).toBeUndefined();
  expect(quoteOf(sheet(green, annealed), 'tensileModulus_MPa')?.value).toBe(2500);
  expect(quoteOf(sheet(annealed, cured, green), 'tensileModulus_MPa')?.value).toBe(2100);
});

test('of two cured values the later one counts', () => {
  const both = sheet(
    quote('elongation', 0.3, { on: '2026-01-01' }),
    quote('elongation', 0.2, { on: '2025-01-01' }),
  );
  expect(quoteOf(both, 'elongation')?.value).toBe(0.3);
});
