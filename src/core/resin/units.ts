import { fail, ok, type Result } from '@/core/kit';
import { PROPERTIES, type PropertyId, type Unit } from './properties';

export type UnitIssue =
  | { readonly code: 'unitUnknown'; readonly unit: string; readonly known: readonly string[] }
  | { readonly code: 'zeroDensity' }
  | { readonly code: 'negativeModulus'; readonly property: PropertyId }
  | {
      readonly code: 'valueOutOfRange';
      readonly property: PropertyId;
      readonly value: number;
      readonly low: number;
      readonly high: number;
    };

type Conversion = (value: number) => number;

const times =
  (factor: number): Conversion =>
  (value) =>
    value * factor;

/** Remaining depth behind the notch of a standard Izod bar, mm: energy per area becomes energy per width. */
const IZOD_DEPTH_MM = 8;

/**
 * Units that sheets use, by the unit a property is kept in. 1 psi = 6.894757e-3 MPa; 1 ft·lbf/in = 53.3787 J/m.
 * kJ/m² becomes J/m by the 8 mm behind the notch of ISO 180: near enough to choose by, not to certify.
 */
const CONVERSIONS: Readonly<Record<Unit, Readonly<Record<string, Conversion>>>> = {
  MPa: {
    MPa: times(1),
    'N/mm2': times(1),
    GPa: times(1000),
    kPa: times(0.001),
    psi: times(6.894757e-3),
    ksi: times(6.894757),
  },
  share: { share: times(1), '1': times(1), '%': times(0.01) },
  'J/m': { 'J/m': times(1), 'kJ/m2': times(IZOD_DEPTH_MM), 'ft·lb/in': times(53.3787) },
  Shore: { Shore: times(1) },
  '°C': { '°C': times(1), '°F': (value) => ((value - 32) * 5) / 9, K: (value) => value - 273.15 },
  'g/ml': { 'g/ml': times(1), 'g/cm3': times(1), 'kg/l': times(1), 'kg/m3': times(0.001) },
  'mPa·s': { 'mPa·s': times(1), cP: times(1), 'Pa·s': times(1000) },
  mm: { mm: times(1), um: times(0.001), in: times(25.4) },
  min: { min: times(1), s: times(1 / 60), h: times(60) },
  s: { s: times(1), min: times(60) },
  'per litre': { 'per litre': times(1) },
  'mJ/cm²': { 'mJ/cm²': times(1), 'J/m²': times(0.1) },
  m: { m: times(1), cm: times(0.01), mm: times(0.001) },
  'µm/m·K': { 'µm/m·K': times(1), '1e-6/K': times(1), 'mm/m·K': times(1000), '1/K': times(1e6) },
};

/** Other spellings of the same unit, after spaces are gone and letters are small. */
const SPELLINGS: Readonly<Record<string, string>> = {
  mpa: 'MPa',
  'n/mm²': 'N/mm2',
  'n/mm2': 'N/mm2',
  gpa: 'GPa',
  kpa: 'kPa',
  lbf_in2: 'psi',
  '': '',
  percent: '%',
  'j/m': 'J/m',
  'kj/m²': 'kJ/m2',
  'kj/m2': 'kJ/m2',
  'ft-lb/in': 'ft·lb/in',
  'ftlb/in': 'ft·lb/in',
  'ft·lbf/in': 'ft·lb/in',
  shore: 'Shore',
  shorea: 'Shore',
  shored: 'Shore',
  c: '°C',
  '°c': '°C',
  degc: '°C',
  f: '°F',
  '°f': '°F',
  degf: '°F',
  k: 'K',
  'g/cm³': 'g/cm3',
  'g/cc': 'g/cm3',
  'kg/m³': 'kg/m3',
  'mpa·s': 'mPa·s',
  mpas: 'mPa·s',
  'mpa.s': 'mPa·s',
  cp: 'cP',
  cps: 'cP',
  'pa·s': 'Pa·s',
  pas: 'Pa·s',
  µm: 'um',
  '"': 'in',
  minutes: 'min',
  'mj/cm2': 'mJ/cm²',
  'mj/cm²': 'mJ/cm²',
  'j/m2': 'J/m²',
  'j/m²': 'J/m²',
  '/l': 'per litre',
  perlitre: 'per litre',
  'um/mk': 'µm/m·K',
  'µm/mk': 'µm/m·K',
  'um/m·k': 'µm/m·K',
  'µm/m·k': 'µm/m·K',
  'um/m/k': 'µm/m·K',
  'ppm/k': 'µm/m·K',
  '10^-6/k': '1e-6/K',
  '1e-6/k': '1e-6/K',
  '1/k': '1/K',
};

/** `mpas` is a viscosity and `MPa` a stress: spelled letters decide only after the unit as written did not. */
function conversionOf(kept: Unit, written: string): Conversion | undefined {
  const known = CONVERSIONS[kept];
  const plain = written.trim();
  if (plain === '') return known[kept];
  const squeezed = plain.replace(/\s+/g, '').toLowerCase();
  const spelled = SPELLINGS[squeezed];
  const name = [plain, squeezed, spelled].find((each) => each !== undefined && Object.hasOwn(known, each));
  return name === undefined ? undefined : known[name];
}

/**
 * A value of a property in the unit it is kept in; a blank unit is taken as that one.
 * Refuses units of another quantity and values that no resin has.
 * Example: 302 °F as deflection temperature → 150 °C; 290000 psi as modulus → 1999.48 MPa.
 */
export function convertValue(property: PropertyId, value: number, unit: string): Result<number, UnitIssue> {
  const { unit: kept, range } = PROPERTIES[property];
  const convert = conversionOf(kept, unit);
  if (convert === undefined)
    return fail({ code: 'unitUnknown', unit: unit.trim(), known: Object.keys(CONVERSIONS[kept]) });
  const converted = convert(value);
  if (property === 'density_g_ml' && converted === 0) return fail({ code: 'zeroDensity' });
  if (property.includes('Modulus') && converted < 0) return fail({ code: 'negativeModulus', property });
  const [low, high] = range;
  return converted >= low && converted <= high
    ? ok(converted)
    : fail({ code: 'valueOutOfRange', property, value: converted, low, high });
}

/** Units that are understood for a property, the one it is kept in first. */
export function unitsFor(property: PropertyId): readonly string[] {
  return Object.keys(CONVERSIONS[PROPERTIES[property].unit]);
}
