import type { WashLiquid } from './sheet';

export const IMPACTS = ['low', 'medium', 'high'] as const;
export type Impact = (typeof IMPACTS)[number];

/**
 * Impact needed for each word: notched Izod in J/m, or whole after falls from a height in metres. A convention of this
 * project, with heights that a person would test: knee, table, overhead.
 */
export const IMPACT_NEEDS: Readonly<Record<Impact, { readonly izodJ_m: number; readonly dropM: number }>> =
  Object.freeze({
    low: { izodJ_m: 15, dropM: 0.5 },
    medium: { izodJ_m: 30, dropM: 1 },
    high: { izodJ_m: 60, dropM: 1.8 },
  });

/** Assumed as the part's own stress while it is unknown: that of the upper test by ISO 75-A, which D648's covers. */
export const ASSUMED_STRESS_MPA = 1.8;

export const CRITERIA = ['heat', 'toughness', 'stiffness', 'detail', 'cost'] as const;
export type Criterion = (typeof CRITERIA)[number];
export type Weights = Readonly<Record<Criterion, number>>;

/** What a part must survive; null or empty is not asked. The names are those of the requirement file. */
export interface Requirement {
  readonly serviceMax_C: number | null;
  /** Heat of making: forming over it, casting into it, steam. */
  readonly processMax_C: number | null;
  /** The part's own largest stress; null: taken as that of the upper test. */
  readonly stress_MPa: number | null;
  /** Elongation at break that it needs, as a share. */
  readonly strainMax: number | null;
  readonly impact: Impact | null;
  readonly stiffness_MPa: readonly [least: number | null, most: number | null];
  readonly shoreA: number | null;
  readonly clear: boolean;
  readonly skinContact: boolean;
  /** What it touches and what it is claimed for: each asks for a resin that is rated for it. */
  readonly contact: readonly string[];
  readonly claims: readonly string[];
  readonly margin_K: number;
  /** Liquids that are at hand; empty: any. */
  readonly washWith: readonly WashLiquid[];
  readonly room_C: number | null;
  readonly smallestFeature_mm: number | null;
  /** Maximum water uptake in a day, as a fraction: what stays wet swells out of its fit. */
  readonly waterUptakeMax: number | null;
  readonly weights: Weights;
}

export const EVEN_WEIGHTS: Weights = Object.freeze({
  heat: 1,
  toughness: 1,
  stiffness: 1,
  detail: 1,
  cost: 1,
});

export const NO_REQUIREMENT: Requirement = Object.freeze({
  serviceMax_C: null,
  processMax_C: null,
  stress_MPa: null,
  strainMax: null,
  impact: null,
  stiffness_MPa: [null, null] as const,
  shoreA: null,
  clear: false,
  skinContact: false,
  contact: [],
  claims: [],
  margin_K: 15,
  washWith: [],
  room_C: null,
  smallestFeature_mm: null,
  waterUptakeMax: null,
  weights: EVEN_WEIGHTS,
});

/** Highest temperature of its life, including production; undefined if none was entered. */
export function hottestOf({ serviceMax_C, processMax_C }: Requirement): number | undefined {
  if (serviceMax_C === null && processMax_C === null) return undefined;
  return Math.max(serviceMax_C ?? -Infinity, processMax_C ?? -Infinity);
}

/** Everything that a resin must be rated for, each once. */
export function ratingsNeeded({ skinContact, contact, claims }: Requirement): string[] {
  return [...new Set([...(skinContact ? ['skin'] : []), ...contact, ...claims])];
}

export type RequirementIssue =
  | { readonly code: 'stiffnessCrossed'; readonly leastMPa: number; readonly mostMPa: number }
  | { readonly code: 'weightNegative'; readonly criterion: Criterion }
  | { readonly code: 'stressNegative'; readonly stressMPa: number };

/** What contradicts itself in a requirement. */
export function findRequirementIssue(wanted: Requirement): RequirementIssue | undefined {
  const [leastMPa, mostMPa] = wanted.stiffness_MPa;
  if (leastMPa !== null && mostMPa !== null && leastMPa > mostMPa)
    return { code: 'stiffnessCrossed', leastMPa, mostMPa };
  if (wanted.stress_MPa !== null && wanted.stress_MPa < 0)
    return { code: 'stressNegative', stressMPa: wanted.stress_MPa };
  const negative = CRITERIA.find((criterion) => !(wanted.weights[criterion] >= 0));
  return negative && { code: 'weightNegative', criterion: negative };
}
