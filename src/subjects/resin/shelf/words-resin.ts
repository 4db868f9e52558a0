import {
  type Alone,
  type Bend,
  type Clarity,
  type Condition,
  type Family,
  type Impact,
  PROPERTIES,
  type PropertyId,
  type Quote,
  type Source,
} from '@/core/resin';

const PROPERTY_WORDS: Readonly<Record<PropertyId, string>> = {
  tensileModulus_MPa: 'Tensile modulus',
  flexuralModulus_MPa: 'Flexural modulus',
  tensileStrength_MPa: 'Tensile strength',
  flexuralStrength_MPa: 'Flexural strength',
  elongation: 'Elongation at break',
  impact_J_m: 'Notched impact',
  shoreA: 'Hardness, Shore A',
  shoreD: 'Hardness, Shore D',
  deflectionLow_C: 'Deflection temperature, lower load',
  deflectionHigh_C: 'Deflection temperature, upper load',
  expansion_um_mK: 'Thermal expansion',
  glassTransition_C: 'Glass transition',
  density_g_ml: 'Density',
  viscosity_mPas: 'Viscosity',
  leastRoom_C: 'Minimum room temperature',
  linearShrink: 'Linear shrinkage',
  waterUptake: 'Water uptake',
  leastFeature_mm: 'Smallest feature',
  supportTip_mm: 'Support tip diameter',
  lightDepth_mm: 'Penetration depth (Dp)',
  criticalDose_mJ_cm2: 'Critical dose (Ec)',
  shake_s: 'Shake time before use',
  cureFloor_min: 'Cure time, minimum',
  cureCeiling_min: 'Cure time, maximum',
  additiveMost: 'Maximum share as an additive',
  price_litre: 'Price per litre',
  dropHeight_m: 'Drop height survived',
};

export function describeProperty(property: PropertyId): string {
  return PROPERTY_WORDS[property];
}

const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  general: 'general detail',
  tough: 'tough, for wear',
  impact: 'impact',
  flexible: 'flexible',
  rubber: 'rubber-like',
  heat: 'high heat',
  clear: 'clear',
  waterWash: 'water wash',
  blend: 'blend',
};

export const describeFamily = (family: Family): string => FAMILY_WORDS[family];

const CONDITION_WORDS: Readonly<Record<Condition, string>> = {
  green: 'green, as printed',
  cured: 'cured',
  annealed: 'annealed with heat',
};

export const describeCondition = (condition: Condition): string => CONDITION_WORDS[condition];

const SOURCE_WORDS: Readonly<Record<Source, string>> = {
  datasheet: 'datasheet',
  own: 'typed here',
  blend: 'estimated from its parts',
  proof: 'tested in this shop',
};

export const describeSource = (source: Source): string => SOURCE_WORDS[source];

const ALONE_WORDS: Readonly<Record<Alone, string>> = {
  yes: 'can be used undiluted',
  creeps: 'deforms permanently over time when undiluted',
  no: 'additive, never undiluted',
};

export const describeAlone = (alone: Alone): string => ALONE_WORDS[alone];

export const describeClarity = (clarity: Clarity): string => clarity;

const IMPACT_WORDS: Readonly<Record<Impact, string>> = {
  low: 'light knocks, a fall from knee height',
  medium: 'falls from bench height',
  high: 'falls from above head height',
};

export const describeImpact = (impact: Impact): string => IMPACT_WORDS[impact];

export const describeBend = (bend: Bend): string =>
  bend === 'threePoint' ? 'on two supports, loaded in the middle' : 'clamped, loaded at its end';

/** Digits that a value deserves: whole from a hundred on, two places under ten. */
export function plain(value: number): string {
  if (!Number.isFinite(value)) return 'open';
  const size = Math.abs(value);
  const digits = size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3;
  return String(Number(value.toFixed(digits))).replace('-', '−');
}

/** A value with its unit as people say it: shares in per cent. */
export function formatProperty(property: PropertyId, value: number): string {
  const { unit } = PROPERTIES[property];
  if (unit === 'share') return `${plain(value * 100)} %`;
  if (unit === 'Shore' || unit === 'per litre') return plain(value);
  return `${plain(value)} ${unit}`;
}

/** A quote as a line: its value, interval or bound. */
export function describeQuote(quote: Quote): string {
  const { property, value, low, high, bound } = quote;
  const shown = formatProperty(property, value);
  if (bound !== undefined) return `${bound === 'atLeast' ? 'at least' : 'at most'} ${shown}`;
  return low !== undefined && high !== undefined
    ? `${shown}, between ${formatProperty(property, low)} and ${formatProperty(property, high)}`
    : shown;
}
