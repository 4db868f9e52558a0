import { keysOf } from '@/core/kit';
import type { PropertyId } from './properties';

export const FAMILIES = [
  'general',
  'tough',
  'impact',
  'flexible',
  'rubber',
  'heat',
  'clear',
  'waterWash',
  'blend',
] as const;
export type Family = (typeof FAMILIES)[number];

/** What was done to the test bar; only cured and annealed values tell about a finished part. */
export const CONDITIONS = ['green', 'cured', 'annealed'] as const;
export type Condition = (typeof CONDITIONS)[number];

const LIQUID_WORDS = {
  alcohol: 'alcohol',
  water: 'water',
  washerFluid: 'windscreen washer fluid',
  soapyWater: 'soapy water',
} as const;
export type WashLiquid = keyof typeof LIQUID_WORDS;
export const WASH_LIQUIDS = keysOf(LIQUID_WORDS);
export const describeLiquid = (liquid: WashLiquid): string => LIQUID_WORDS[liquid];

export const CLARITIES = ['clear', 'translucent', 'opaque'] as const;
export type Clarity = (typeof CLARITIES)[number];

/** Whether it may be printed undiluted: `creeps` bends under light and load when used alone, `no` is an additive. */
export const ALONE = ['yes', 'creeps', 'no'] as const;
export type Alone = (typeof ALONE)[number];

/** Where a number comes from. */
export const SOURCES = ['datasheet', 'own', 'blend', 'proof'] as const;
export type Source = (typeof SOURCES)[number];

/** One value somebody states of a resin, in the unit of its property. */
export interface Quote {
  readonly property: PropertyId;
  readonly value: number;
  /** Ends of its 95 % interval, or of the bounds of a blend; the value itself if unknown. */
  readonly low?: number;
  readonly high?: number;
  /** The truth lies beyond what was tested: `atLeast` the value, or `atMost`. */
  readonly bound?: 'atLeast' | 'atMost';
  readonly condition: Condition;
  readonly standard?: string;
  /** Stress of a deflection test, MPa: 1.80 by ISO 75-A, 1.82 by ASTM D648; temperature of a viscosity, °C. */
  readonly testMPa?: number;
  readonly atC?: number;
  readonly source: Source;
  /** Day it was stated, YYYY-MM-DD. */
  readonly on?: string;
  /** The typed value, if it was in another unit. */
  readonly typed?: string;
}

/** What is known of a resin. A fact left out is unknown, an empty list is a statement. */
export interface ResinSheet {
  readonly family: Family;
  readonly quotes: readonly Quote[];
  readonly washLiquids?: readonly WashLiquid[];
  /** Wavelengths of light engines it was made for, nm. */
  readonly lightNm?: readonly number[];
  readonly clarity?: Clarity;
  readonly alone?: Alone;
  /** What its supplier rates it for: skin, mouth, food, sterile, mains, flame, or any other word of a claim. */
  readonly rated?: readonly string[];
  /** Cautions from its safety sheet, in its words. */
  readonly cautions: readonly string[];
}

export const EMPTY_SHEET: ResinSheet = Object.freeze({ family: 'general', quotes: [], cautions: [] });

/** Stresses of the deflection tests where the datasheet states none, MPa. */
export const LOW_TEST_MPA = 0.45;
export const HIGH_TEST_MPA = 1.82;

export type ResinSheetIssue =
  | { readonly code: 'deflectionCrossed'; readonly lowC: number; readonly highC: number }
  | { readonly code: 'stressesCrossed'; readonly lowMPa: number; readonly highMPa: number }
  | { readonly code: 'cureCrossed'; readonly floorMin: number; readonly ceilingMin: number }
  | { readonly code: 'unitsMixed'; readonly modulusMPa: number; readonly strengthMPa: number }
  | { readonly code: 'viscosityWithoutTemperature'; readonly value: number }
  | { readonly code: 'saidTwice'; readonly property: PropertyId };

const CONDITION_RANK: Readonly<Record<Condition, number>> = { cured: 0, annealed: 1, green: 2 };

/** Does a quote count before another one of its property: cured before annealed, the later one of two. */
function countsBefore(quote: Quote, best: Quote): boolean {
  const apart = CONDITION_RANK[quote.condition] - CONDITION_RANK[best.condition];
  return apart < 0 || (apart === 0 && (quote.on ?? '') >= (best.on ?? ''));
}

/** The quotes that a finished part goes by, one a property; green ones never count. */
export function quotesThatCount(sheet: ResinSheet): Map<PropertyId, Quote> {
  const counting = new Map<PropertyId, Quote>();
  for (const quote of sheet.quotes) {
    if (quote.condition === 'green') continue;
    const best = counting.get(quote.property);
    if (best === undefined || countsBefore(quote, best)) counting.set(quote.property, quote);
  }
  return counting;
}

export function quoteOf(sheet: ResinSheet, property: PropertyId): Quote | undefined {
  return quotesThatCount(sheet).get(property);
}

/** A strength above a fifth of the modulus is no plastic: one of the two is in another unit. Rubbers are let be. */
function findMixedUnits(sheet: ResinSheet, modulus: PropertyId, strength: PropertyId): ResinSheetIssue[] {
  const [modulusMPa, strengthMPa] = [quoteOf(sheet, modulus)?.value, quoteOf(sheet, strength)?.value];
  if (modulusMPa === undefined || strengthMPa === undefined || sheet.family === 'rubber') return [];
  return strengthMPa > modulusMPa / 5 && modulusMPa < 50
    ? [{ code: 'unitsMixed', modulusMPa, strengthMPa }]
    : [];
}

/** Two quotes say the same thing of the same condition, temperature and day. */
function sameStatement(a: Quote, b: Quote): boolean {
  return a.property === b.property && a.condition === b.condition && a.atC === b.atC && a.on === b.on;
}

/** What contradicts itself on a sheet; empty when nothing does. */
export function findSheetIssues(sheet: ResinSheet): ResinSheetIssue[] {
  const issues: ResinSheetIssue[] = [];
  const [low, high] = [quoteOf(sheet, 'deflectionLow_C'), quoteOf(sheet, 'deflectionHigh_C')];
  if (low !== undefined && high !== undefined) {
    const [lowMPa, highMPa] = [low.testMPa ?? LOW_TEST_MPA, high.testMPa ?? HIGH_TEST_MPA];
    if (lowMPa >= highMPa) issues.push({ code: 'stressesCrossed', lowMPa, highMPa });
    if (high.value > low.value)
      issues.push({ code: 'deflectionCrossed', lowC: low.value, highC: high.value });
  }
  const [floor, ceiling] = [quoteOf(sheet, 'cureFloor_min'), quoteOf(sheet, 'cureCeiling_min')];
  if (floor !== undefined && ceiling !== undefined && floor.value > ceiling.value)
    issues.push({ code: 'cureCrossed', floorMin: floor.value, ceilingMin: ceiling.value });
  issues.push(
    ...findMixedUnits(sheet, 'tensileModulus_MPa', 'tensileStrength_MPa'),
    ...findMixedUnits(sheet, 'flexuralModulus_MPa', 'flexuralStrength_MPa'),
  );
  for (const [i, quote] of sheet.quotes.entries()) {
    if (quote.property === 'viscosity_mPas' && quote.atC === undefined)
      issues.push({ code: 'viscosityWithoutTemperature', value: quote.value });
    if (sheet.quotes.slice(0, i).some((other) => sameStatement(other, quote)))
      issues.push({ code: 'saidTwice', property: quote.property });
  }
  return issues;
}
