import { heatAt, modulusOf, viscosityOf, type Evidence, type Interval } from './evidence-of';
import { ASSUMED_STRESS_MPA, hottestOf, IMPACT_NEEDS, ratingsNeeded, type Requirement } from './requirement';
import type { Quote } from './sheet';

/** What can be required of every resin. */
export type PlainAsked =
  | 'alone'
  | 'heat'
  | 'strain'
  | 'impact'
  | 'stiffnessLeast'
  | 'stiffnessMost'
  | 'hardness'
  | 'clear'
  | 'wash'
  | 'room'
  | 'feature'
  | 'light'
  | 'water';

/** A rating names its use. */
type Rated = `rated:${string}`;

/** What is required. */
export type Asked = PlainAsked | Rated;

const RATED = 'rated:';

/** Whether a rating is required. */
export const isRated = (asked: Asked): asked is Rated => asked.startsWith(RATED);

/** The use that a required rating is for. */
export const ratingOf = (asked: Rated): string => asked.slice(RATED.length);

type CheckState = 'pass' | 'fails' | 'unknown';

/** One hard requirement held against what is known. */
export interface Check {
  readonly requirement: Asked;
  readonly state: CheckState;
  readonly need: number;
  /** The value of the resin, on the cautious side if it passes; null if unknown. */
  readonly have: number | null;
  /** Positive when there is room: always in the direction of passing. */
  readonly margin: number | null;
  readonly quote?: Quote;
}

/** Hardness is a feel: so many points to either side are the same. */
const HARDNESS_ROOM = 8;
/** Thicker than this at room temperature it does not flow back under the part in time, mPa·s. */
const MOST_VISCOSITY_MPAS = 2500;
/** A feature takes at least so many pixels. */
const PIXELS_PER_FEATURE = 3;

interface Side extends Interval {
  readonly value: number;
  readonly quote?: Quote;
}

/** Passes only where even the low end reaches the need, fails only where even the high end does not. */
function atLeast(requirement: Asked, need: number, have: Side | undefined): Check {
  if (have === undefined) return { requirement, state: 'unknown', need, have: null, margin: null };
  const state = have.low >= need ? 'pass' : have.high < need ? 'fails' : 'unknown';
  const ends = { pass: have.low, fails: have.high, unknown: have.value };
  return { requirement, state, need, have: ends[state], margin: ends[state] - need, quote: have.quote };
}

/** The mirror of it, for what must not be exceeded. */
function atMost(requirement: Asked, need: number, have: Side | undefined): Check {
  const mirrored = have && { low: -have.high, high: -have.low, value: -have.value, quote: have.quote };
  const { state, have: found, margin, quote } = atLeast(requirement, -need, mirrored);
  return { requirement, state, need, have: found === null ? null : -found, margin, quote };
}

const exactly = (value: number): Side => ({ value, low: value, high: value });

/** Yes or no, where a fact left out is unknown. */
function factual(requirement: Asked, fact: boolean | undefined): Check {
  return atLeast(requirement, 1, fact === undefined ? undefined : exactly(fact ? 1 : 0));
}

function checkImpact(evidence: Evidence, wanted: NonNullable<Requirement['impact']>): Check {
  const { izodJ_m, dropM } = IMPACT_NEEDS[wanted];
  const drop = evidence.of('dropHeight_m');
  const fall = drop && atLeast('impact', dropM, { ...drop, high: Infinity });
  // A fall that ended in pieces below the height is a failure that no sheet outranks.
  if (drop !== undefined && drop.quote.bound === undefined && drop.value < dropM)
    return atLeast('impact', dropM, { ...exactly(drop.value), quote: drop.quote });
  if (fall?.state === 'pass') return fall;
  return atLeast('impact', izodJ_m, evidence.of('impact_J_m'));
}

function checkHardness(evidence: Evidence, shoreA: number): Check {
  const have = evidence.of('shoreA');
  if (have === undefined) return atLeast('hardness', shoreA, undefined);
  const away = Math.abs(have.value - shoreA);
  const check = atMost('hardness', HARDNESS_ROOM, { ...exactly(away), quote: have.quote });
  return { ...check, need: shoreA, have: have.value };
}

/** Warm enough for it by its own least temperature; where none is stated, by whether it flows. */
function checkRoom(evidence: Evidence, roomC: number): Check {
  const least = evidence.of('leastRoom_C');
  if (least !== undefined) {
    const check = atMost('room', roomC, least);
    return { ...check, need: check.have ?? roomC, have: roomC };
  }
  const thick = viscosityOf(evidence, roomC);
  if (thick === undefined) return { ...atLeast('room', roomC, undefined) };
  return atMost('room', MOST_VISCOSITY_MPAS, {
    ...thick,
    value: Number.isFinite(thick.high) ? thick.high : thick.low,
  });
}

/** The least it resolves: its own, and three pixels where the printer's are known. */
function checkFeature(evidence: Evidence, featureMm: number, pixelMm: number | undefined): Check {
  const own = evidence.of('leastFeature_mm');
  const byPixel = pixelMm === undefined ? undefined : PIXELS_PER_FEATURE * pixelMm;
  if (own === undefined && byPixel !== undefined && byPixel > featureMm)
    return atMost('feature', featureMm, exactly(byPixel));
  if (own === undefined) return atMost('feature', featureMm, undefined);
  const least = Math.max(own.value, byPixel ?? 0);
  return atMost('feature', featureMm, { ...exactly(least), quote: own.quote });
}

/** Light engines this near to the one a resin was made for cure it alike, nm. */
const SAME_LIGHT_NM = 10;

/** Is the printer's light one that the resin was made for? Not asked while either is unknown. */
function checkLight({ sheet }: Evidence, lightNm: number | undefined): Check | undefined {
  if (lightNm === undefined || sheet.lightNm === undefined || sheet.lightNm.length === 0) return undefined;
  const away = sheet.lightNm.map((nm) => Math.abs(nm - lightNm));
  const nearest = sheet.lightNm[away.indexOf(Math.min(...away))];
  const check = atMost('light', SAME_LIGHT_NM, exactly(Math.min(...away)));
  return { ...check, need: lightNm, have: nearest };
}

/** What a check needs of the printer; left out: judged by the resin alone. */
export interface PrinterFacts {
  readonly pixelMm?: number;
  /** Wavelength it cures with, nm. */
  readonly lightNm?: number;
}

/**
 * Holds a resin against every hard requirement. An unknown value is never a pass; a value with an interval passes only as
 * a whole. Stress left out counts as that of the upper deflection test.
 */
export function checkResin(evidence: Evidence, wanted: Requirement, printer: PrinterFacts = {}): Check[] {
  const checks: Check[] = [];
  const { sheet } = evidence;
  if (sheet.alone === 'no') checks.push(factual('alone', false));
  const hottest = hottestOf(wanted);
  if (hottest !== undefined)
    checks.push(
      atLeast('heat', hottest + wanted.margin_K, heatAt(evidence, wanted.stress_MPa ?? ASSUMED_STRESS_MPA)),
    );
  if (wanted.strainMax !== null) checks.push(atLeast('strain', wanted.strainMax, evidence.of('elongation')));
  if (wanted.impact !== null) checks.push(checkImpact(evidence, wanted.impact));
  const [least, most] = wanted.stiffness_MPa;
  if (least !== null) checks.push(atLeast('stiffnessLeast', least, modulusOf(evidence)));
  if (most !== null) checks.push(atMost('stiffnessMost', most, modulusOf(evidence)));
  if (wanted.shoreA !== null) checks.push(checkHardness(evidence, wanted.shoreA));
  if (wanted.clear) checks.push(factual('clear', sheet.clarity && sheet.clarity === 'clear'));
  if (wanted.washWith.length > 0) {
    const { washLiquids } = sheet;
    checks.push(
      factual('wash', washLiquids && wanted.washWith.some((liquid) => washLiquids.includes(liquid))),
    );
  }
  if (wanted.room_C !== null) checks.push(checkRoom(evidence, wanted.room_C));
  if (wanted.smallestFeature_mm !== null)
    checks.push(checkFeature(evidence, wanted.smallestFeature_mm, printer.pixelMm));
  const light = checkLight(evidence, printer.lightNm);
  if (light !== undefined) checks.push(light);
  if (wanted.waterUptakeMax !== null)
    checks.push(atMost('water', wanted.waterUptakeMax, evidence.of('waterUptake')));
  for (const claim of ratingsNeeded(wanted))
    checks.push(factual(`rated:${claim}`, sheet.rated?.includes(claim)));
  return checks;
}
