import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { PROPERTY_IDS } from '../properties';
import { convertValue, unitsFor } from '../units';

test.each([
  ['deflectionLow_C', 302, '°F', 150],
  ['deflectionLow_C', 302, 'degF', 150],
  ['flexuralModulus_MPa', 290_000, 'psi', 1999.47953],
  ['tensileStrength_MPa', 7, 'ksi', 48.263299],
  ['tensileModulus_MPa', 2.1, 'GPa', 2100],
  ['elongation', 38, '%', 0.38],
  ['density_g_ml', 1120, 'kg/m³', 1.12],
  ['viscosity_mPas', 0.52, 'Pa·s', 520],
  ['viscosity_mPas', 520, 'cP', 520],
  ['impact_J_m', 2, 'ft-lb/in', 106.7574],
  ['cureFloor_min', 90, 's', 1.5],
  ['flexuralModulus_MPa', 2300, '', 2300],
] as const)('%s: %f %s is %f in its own unit', (property, value, unit, expected) => {
  expect(expectOk(convertValue(property, value, unit))).toBeCloseTo(expected, 6);
});

test('a unit of another quantity is refused with those that are understood', () => {
  expect(convertValue('flexuralModulus_MPa', 2300, '°C')).toEqual({
    ok: false,
    issue: { code: 'unitUnknown', unit: '°C', known: ['MPa', 'N/mm2', 'GPa', 'kPa', 'psi', 'ksi'] },
  });
});

test('zero density and a negative modulus are named as what they are', () => {
  expect(convertValue('density_g_ml', 0, 'g/ml')).toMatchObject({ issue: { code: 'zeroDensity' } });
  expect(convertValue('tensileModulus_MPa', -5, 'MPa')).toMatchObject({ issue: { code: 'negativeModulus' } });
  expect(convertValue('elongation', 380, 'share')).toMatchObject({ issue: { code: 'valueOutOfRange' } });
});

test('every property takes its own unit first', () => {
  for (const property of PROPERTY_IDS) expect(unitsFor(property).length).toBeGreaterThan(0);
});
