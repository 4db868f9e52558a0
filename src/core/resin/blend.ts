import { fail, ok, type Result } from '@/core/kit';
import { evidenceOf, modulusOf, type Evidence, type ResinFile } from './evidence-of';
import { WASH_LIQUIDS, type Quote, type ResinSheet } from './sheet';

/** One resin of a blend with its share of the volume. */
export interface BlendPart {
  readonly resin: ResinFile;
  readonly fraction: number;
}

export type BlendIssue =
  | { readonly code: 'partCount'; readonly given: number }
  | { readonly code: 'fractionsSum'; readonly sum: number }
  | { readonly code: 'fractionNotPositive'; readonly resin: string; readonly fraction: number }
  | { readonly code: 'resinTwice'; readonly resin: string }
  | { readonly code: 'zeroDensity'; readonly resin: string }
  | {
      readonly code: 'overAdditiveLimit';
      readonly resin: string;
      readonly fraction: number;
      readonly most: number;
    };

/** Bounds of a modulus, with the mean of the logarithms between them. */
interface ModulusBounds {
  readonly reussMPa: number;
  readonly voigtMPa: number;
  readonly logMixMPa: number;
}

const KELVIN = 273.15;

/**
 * Modulus of a mixture by volume fraction: Reuss 1/Σ(φ/E), Voigt Σ(φE), log-mix exp Σ(φ ln E).
 * Source: W. Voigt (1889), A. Reuss (1929). Example: half 2400, half 60 → 117.07, 1230, 379.47 MPa.
 */
export function modulusBounds(phi: readonly number[], modulusMPa: readonly number[]): ModulusBounds {
  const sum = (term: (fraction: number, modulus: number) => number) =>
    phi.reduce((total, fraction, i) => total + term(fraction, modulusMPa[i]), 0);
  return {
    reussMPa: 1 / sum((fraction, modulus) => fraction / modulus),
    voigtMPa: sum((fraction, modulus) => fraction * modulus),
    logMixMPa: Math.exp(sum((fraction, modulus) => fraction * Math.log(modulus))),
  };
}

/**
 * Glass transition of a mixture by mass fraction, 1/Tg = Σ(w/Tg) in kelvin; °C in and out.
 * Source: T. G. Fox, Bull. Am. Phys. Soc. 1 (1956) 123. Example: half 105, half −12 → 35.79 °C.
 */
export function foxTransition(mass: readonly number[], transitionC: readonly number[]): number {
  return 1 / mass.reduce((sum, share, i) => sum + share / (transitionC[i] + KELVIN), 0) - KELVIN;
}

/** Parts as a batch is measured out. */
interface BatchLine {
  readonly resin: string;
  readonly fraction: number;
  readonly ml: number;
  /** Undefined where its density is unknown: measure it by volume. */
  readonly grams?: number;
}

function densityOf(resin: ResinFile): number | undefined {
  return evidenceOf(resin).of('density_g_ml')?.value;
}

/** What prevents a blend; above the limit of an additive it can be mixed, but whether it prints is unknown. */
export function findBlendIssue(parts: readonly BlendPart[]): BlendIssue | undefined {
  if (parts.length < 2 || parts.length > 3) return { code: 'partCount', given: parts.length };
  const names = parts.map(({ resin }) => resin.name);
  const twice = names.find((name, i) => names.indexOf(name) < i);
  if (twice !== undefined) return { code: 'resinTwice', resin: twice };
  const bad = parts.find(({ fraction }) => !(fraction > 0 && fraction < 1));
  if (bad !== undefined)
    return { code: 'fractionNotPositive', resin: bad.resin.name, fraction: bad.fraction };
  const sum = parts.reduce((total, { fraction }) => total + fraction, 0);
  if (Math.abs(sum - 1) > 0.0005) return { code: 'fractionsSum', sum };
  const empty = parts.find(({ resin }) => densityOf(resin) === 0);
  if (empty !== undefined) return { code: 'zeroDensity', resin: empty.resin.name };
  for (const { resin, fraction } of parts) {
    const most = evidenceOf(resin).of('additiveMost')?.value;
    if (most !== undefined && fraction > most + 1e-9)
      return { code: 'overAdditiveLimit', resin: resin.name, fraction, most };
  }
  return undefined;
}

/** Millilitres and grams of each part for a batch. */
export function batchOf(parts: readonly BlendPart[], totalMl: number): BatchLine[] {
  return parts.map(({ resin, fraction }) => {
    const density = densityOf(resin);
    const ml = fraction * totalMl;
    return { resin: resin.name, fraction, ml, grams: density === undefined ? undefined : ml * density };
  });
}

/** Mass fractions; undefined while a density is unknown. */
export function massFractions(parts: readonly BlendPart[]): number[] | undefined {
  const masses = batchOf(parts, 1).map(({ grams }) => grams);
  if (!masses.every((mass) => mass !== undefined)) return undefined;
  const total = masses.reduce((sum, mass) => sum + mass, 0);
  return masses.map((mass) => mass / total);
}

function allOf<Value>(values: readonly (Value | undefined)[]): readonly Value[] | undefined {
  return values.every((value) => value !== undefined) ? values : undefined;
}

const estimate = { condition: 'cured', source: 'blend' } as const;

function mixedModulus(phi: readonly number[], evidence: readonly Evidence[]): Quote[] {
  const moduli = allOf(evidence.map((each) => modulusOf(each)));
  if (moduli === undefined) return [];
  const middle = modulusBounds(
    phi,
    moduli.map(({ value }) => value),
  );
  const low = modulusBounds(
    phi,
    moduli.map((each) => each.low),
  ).reussMPa;
  const high = modulusBounds(
    phi,
    moduli.map((each) => each.high),
  ).voigtMPa;
  return [{ ...estimate, property: 'flexuralModulus_MPa', value: middle.logMixMPa, low, high }];
}

function mixedTransition(parts: readonly BlendPart[], evidence: readonly Evidence[]): Quote[] {
  const mass = massFractions(parts);
  const transitions = allOf(evidence.map((each) => each.of('glassTransition_C')?.value));
  if (mass === undefined || transitions === undefined) return [];
  return [{ ...estimate, property: 'glassTransition_C', value: foxTransition(mass, transitions) }];
}

/** Mean by volume of what mixes by volume; known only where every part's is. */
function mixedMean(
  property: 'density_g_ml' | 'price_litre',
  phi: readonly number[],
  evidence: readonly Evidence[],
): Quote[] {
  const values = allOf(evidence.map((each) => each.of(property)?.value));
  if (values === undefined) return [];
  return [{ ...estimate, property, value: values.reduce((sum, value, i) => sum + phi[i] * value, 0) }];
}

/** The strictest of the parts: the longest floor, the shortest ceiling, the warmest room. */
function strictest(
  property: 'cureFloor_min' | 'cureCeiling_min' | 'leastRoom_C' | 'leastFeature_mm',
  evidence: readonly Evidence[],
): Quote[] {
  const values = allOf(evidence.map((each) => each.of(property)?.value));
  if (values === undefined) return [];
  const pick = property === 'cureCeiling_min' ? Math.min : Math.max;
  return [{ ...estimate, property, value: pick(...values) }];
}

function sharedLiquids(evidence: readonly Evidence[]): ResinSheet['washLiquids'] {
  const lists = allOf(evidence.map(({ sheet }) => sheet.washLiquids));
  return lists && WASH_LIQUIDS.filter((liquid) => lists.every((list) => list.includes(liquid)));
}

/**
 * What can be said of a blend before a bar of it was tested: bounds of its modulus, an estimate of its glass transition,
 * what mixes by volume, the strictest handling of its parts. Heat, elongation, impact and hardness stay unknown: a
 * network cured together may leave every bound. It is rated for nothing.
 */
export function blendSheet(parts: readonly BlendPart[]): Result<ResinSheet, BlendIssue> {
  const issue = findBlendIssue(parts);
  if (issue !== undefined && issue.code !== 'overAdditiveLimit') return fail(issue);
  const phi = parts.map(({ fraction }) => fraction);
  const evidence = parts.map(({ resin }) => evidenceOf(resin));
  const quotes = [
    ...mixedModulus(phi, evidence),
    ...mixedTransition(parts, evidence),
    ...mixedMean('density_g_ml', phi, evidence),
    ...mixedMean('price_litre', phi, evidence),
    ...(['cureFloor_min', 'cureCeiling_min', 'leastRoom_C', 'leastFeature_mm'] as const).flatMap((property) =>
      strictest(property, evidence),
    ),
  ];
  const clarities = allOf(evidence.map(({ sheet }) => sheet.clarity));
  return ok({
    family: 'blend',
    quotes,
    washLiquids: sharedLiquids(evidence),
    clarity: clarities && (clarities.every((clarity) => clarity === 'clear') ? undefined : 'translucent'),
    rated: [],
    cautions: [...new Set(evidence.flatMap(({ sheet }) => sheet.cautions))],
  });
}

/** A blend's modulus bounds and transition over the share of its first part, for a chart; two parts only. */
interface BlendCurvePoint {
  readonly fraction: number;
  readonly modulus?: ModulusBounds;
  readonly transitionC?: number;
}

export function blendCurve(first: ResinFile, second: ResinFile, points = 41): BlendCurvePoint[] {
  const evidence = [evidenceOf(first), evidenceOf(second)];
  const moduli = allOf(evidence.map((each) => modulusOf(each)?.value));
  const transitions = allOf(evidence.map((each) => each.of('glassTransition_C')?.value));
  return Array.from({ length: points }, (_, i) => {
    const fraction = i / (points - 1);
    const phi = [fraction, 1 - fraction];
    const mass = massFractions([
      { resin: first, fraction: phi[0] },
      { resin: second, fraction: phi[1] },
    ]);
    return {
      fraction,
      modulus: moduli && modulusBounds(phi, moduli),
      transitionC: transitions && mass && foxTransition(mass, transitions),
    };
  });
}
