import { checkResin, type Check, type PrinterFacts } from './check';
import { evidenceOf, heatAt, modulusOf, type Evidence, type ResinFile } from './evidence-of';
import { ASSUMED_STRESS_MPA, CRITERIA, hottestOf, type Criterion, type Requirement } from './requirement';

/** What one criterion adds: its merit from 0 to 1, its weight, and null where it was not asked. */
type Merits = Readonly<Record<Criterion, number | null>>;

export interface Ranked {
  readonly resin: string;
  readonly verdict: 'passes' | 'fails' | 'unknown';
  /** Weighted mean of the merits, 0 to 1; nothing of it depends on the other resins. */
  readonly score: number;
  readonly merits: Merits;
  readonly checks: readonly Check[];
  /** No other passing resin is as good in every merit and better in one. */
  readonly pareto: boolean;
}

/** What printing takes on top, for the cost. */
export interface CostFacts {
  /** Resin of a usual print, and what changing a vat over loses, ml. */
  readonly printMl: number;
  readonly changeoverMl: number;
  /** Names of the resins that stand in a vat now. */
  readonly inVat: readonly string[];
}

export const COST_FACTS: CostFacts = Object.freeze({ printMl: 50, changeoverMl: 30, inVat: [] });

/** Where a merit reaches 1 − 1/e: kelvin of room, share of elongation, J/m, cost of a print. */
const SCALES = { heatK: 30, elongation: 0.1, izodJ_m: 40, cost: 5 } as const;

/** From 0 at nothing to spare towards 1 with ever more; rises everywhere. */
const rising = (spare: number, scale: number) => 1 - Math.exp(-Math.max(0, spare) / scale);

function heatMerit(evidence: Evidence, wanted: Requirement): number | null {
  const hottest = hottestOf(wanted);
  if (hottest === undefined) return null;
  const have = heatAt(evidence, wanted.stress_MPa ?? ASSUMED_STRESS_MPA);
  return have === undefined ? 0 : rising(have.low - hottest - wanted.margin_K, SCALES.heatK);
}

function toughnessMerit(evidence: Evidence, wanted: Requirement): number {
  const [elongation, izod] = [evidence.of('elongation'), evidence.of('impact_J_m')];
  const stretch = elongation ? rising(elongation.low - (wanted.strainMax ?? 0), SCALES.elongation) : 0;
  const knock = izod ? rising(izod.low, SCALES.izodJ_m) : 0;
  return (stretch + knock) / 2;
}

/** Room to the nearer end of the band that was asked for, in shares of that end. */
function stiffnessMerit(evidence: Evidence, { stiffness_MPa: [least, most] }: Requirement): number | null {
  if (least === null && most === null) return null;
  const have = modulusOf(evidence);
  if (have === undefined) return 0;
  const over = least === null ? Infinity : have.low / least - 1;
  const under = most === null ? Infinity : 1 - have.high / most;
  return rising(Math.min(over, under), 0.5);
}

function detailMerit(evidence: Evidence, { smallestFeature_mm: wantedMm }: Requirement): number | null {
  if (wantedMm === null) return null;
  const have = evidence.of('leastFeature_mm');
  return have === undefined ? 0 : rising(1 - have.high / wantedMm, 0.5);
}

function costMerit(evidence: Evidence, { printMl, changeoverMl, inVat }: CostFacts): number {
  const price = evidence.of('price_litre');
  if (price === undefined) return 0;
  const ml = printMl + (inVat.includes(evidence.name) ? 0 : changeoverMl);
  return Math.exp(-(price.high * ml) / 1000 / SCALES.cost);
}

/** Score of a resin in each criterion; an unknown value scores zero. */
export function meritsOf(evidence: Evidence, wanted: Requirement, costs: CostFacts = COST_FACTS): Merits {
  return {
    heat: heatMerit(evidence, wanted),
    toughness: toughnessMerit(evidence, wanted),
    stiffness: stiffnessMerit(evidence, wanted),
    detail: detailMerit(evidence, wanted),
    cost: costMerit(evidence, costs),
  };
}

/** Σ weight·merit / Σ weight over the criteria that were asked; 0 when none weighs. */
function scoreOf(merits: Merits, { weights }: Requirement): number {
  let [sum, total] = [0, 0];
  for (const criterion of CRITERIA) {
    const merit = merits[criterion];
    if (merit === null) continue;
    sum += weights[criterion] * merit;
    total += weights[criterion];
  }
  return total === 0 ? 0 : sum / total;
}

function verdictOf(checks: readonly Check[]): Ranked['verdict'] {
  if (checks.some(({ state }) => state === 'fails')) return 'fails';
  return checks.some(({ state }) => state === 'unknown') ? 'unknown' : 'passes';
}

const coordinates = (merits: Merits) => CRITERIA.map((criterion) => merits[criterion] ?? 0);

function dominates(a: readonly number[], b: readonly number[]): boolean {
  return a.every((value, i) => value >= b[i]) && a.some((value, i) => value > b[i]);
}

/** Names of those that nothing beats in everything: only what has a higher sum can, so one pass over the front is enough. */
function paretoNames(passing: readonly Omit<Ranked, 'pareto'>[]): Set<string> {
  const points = passing.map(({ resin, merits }) => {
    const at = coordinates(merits);
    return { resin, at, sum: at.reduce((sum, value) => sum + value, 0) };
  });
  points.sort((a, b) => b.sum - a.sum);
  const front: typeof points = [];
  for (const point of points) if (!front.some(({ at }) => dominates(at, point.at))) front.push(point);
  return new Set(front.map(({ resin }) => resin));
}

const VERDICTS = ['passes', 'unknown', 'fails'] as const;

/** Better first: verdict, then score, then name, so that the order of the input does not matter. */
function compare(a: Omit<Ranked, 'pareto'>, b: Omit<Ranked, 'pareto'>): number {
  return (
    VERDICTS.indexOf(a.verdict) - VERDICTS.indexOf(b.verdict) ||
    b.score - a.score ||
    (a.resin < b.resin ? -1 : a.resin > b.resin ? 1 : 0)
  );
}

/**
 * Every resin held against a requirement: those that pass first, by a score of their own, then those nobody can tell of,
 * then those that fail. Adding or taking away a resin moves no other.
 */
export function rankResins(
  resins: readonly ResinFile[],
  wanted: Requirement,
  options: { readonly printer?: PrinterFacts; readonly costs?: CostFacts } = {},
): Ranked[] {
  const ranked = resins.map((resin) => {
    const evidence = evidenceOf(resin);
    const checks = checkResin(evidence, wanted, options.printer);
    const merits = meritsOf(evidence, wanted, options.costs);
    return { resin: resin.name, verdict: verdictOf(checks), score: scoreOf(merits, wanted), merits, checks };
  });
  ranked.sort(compare);
  const front = paretoNames(ranked.filter(({ verdict }) => verdict === 'passes'));
  return ranked.map((each) => ({ ...each, pareto: front.has(each.resin) }));
}

/** How far a failing check is from passing, in steps that a person would count alike. */
const STEP: Readonly<Record<string, (check: Check) => number>> = {
  heat: () => 15,
  strain: ({ need }) => need,
  impact: ({ need }) => need,
  stiffnessLeast: ({ need }) => need,
  stiffnessMost: ({ need }) => need,
  hardness: () => 10,
  room: () => 5,
  feature: ({ need }) => need,
  water: ({ need }) => need,
  light: () => 10,
};

/** Sum of the shortfalls of what fails, in steps; a plain no counts three, an unknown one. */
function distanceOf({ checks }: Pick<Ranked, 'checks'>): number {
  return checks.reduce((sum, check) => {
    if (check.state === 'pass') return sum;
    if (check.state === 'unknown') return sum + 1;
    const step = STEP[check.requirement]?.(check);
    return sum + (step === undefined ? 3 : Math.min(3, -(check.margin ?? 0) / step));
  }, 0);
}

/** Those that come nearest where none passes. */
export function nearestResins(ranked: readonly Ranked[], count = 3): Ranked[] {
  return ranked
    .filter(({ verdict }) => verdict !== 'passes')
    .map((each) => ({ each, distance: distanceOf(each) }))
    .sort((a, b) => a.distance - b.distance || compare(a.each, b.each))
    .slice(0, count)
    .map(({ each }) => each);
}
