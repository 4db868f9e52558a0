import { fail, ok, type Result } from '@/core/kit';
import { mixtureMoments, mixtureQuantile, type NormalMixture } from '@/core/kit/numerics';
import { EDGE_SLOPE } from '@/core/signature';

/** Growth of edges as a print at one exposure showed it; mm on each face. */
export interface EdgeObservation {
  readonly exposureS: number;
  readonly edgeMm: number;
  readonly sdMm: number;
}

export interface ExposureChangeAsk {
  /** The exposure that is printed with now, s. */
  readonly exposureS: number;
  /** Growth of edges at it, before these observations: the signature's e. */
  readonly prior: { readonly mean: number; readonly sd: number };
  readonly observations: readonly EdgeObservation[];
  /** Where strips put zero growth: ln of an exposure in s, and its sd. */
  readonly zeroNear?: { readonly lnS: number; readonly sdLn: number };
}

export type ExposureChangeIssue =
  | { readonly code: 'badExposure'; readonly exposureS: number }
  | { readonly code: 'badSd'; readonly at: number }
  | { readonly code: 'badEdge'; readonly at: number };

/** Edge growth against exposure, e(t) = e₀ + a·ln(t/t₀): a Gaussian in e₀ at each node of a. */
export interface EdgeLaw {
  readonly exposureS: number;
  readonly slopes: Float64Array;
  readonly edge: NormalMixture;
}

/** Nodes of ln a over ± six of its sd; enough that more change nothing a reading could show. */
const NODES = 241;
const REACH = 6;
const LONGEST_S = 3600;

function findExposureChangeIssue({
  exposureS,
  prior,
  observations,
}: ExposureChangeAsk): ExposureChangeIssue | undefined {
  const isExposure = (seconds: number) => seconds > 0 && seconds < LONGEST_S;
  if (!isExposure(exposureS)) return { code: 'badExposure', exposureS };
  if (!(prior.sd > 0)) return { code: 'badSd', at: -1 };
  for (const [at, { exposureS: own, edgeMm, sdMm }] of observations.entries()) {
    if (!isExposure(own)) return { code: 'badExposure', exposureS: own };
    if (!(sdMm > 0)) return { code: 'badSd', at };
    if (!Number.isFinite(edgeMm)) return { code: 'badEdge', at };
  }
  return undefined;
}

/** e₀ given a slope, by Bayes' rule, with the ln of the evidence's density up to a constant. */
function givenSlope(slope: number, { exposureS, prior, observations, zeroNear }: ExposureChangeAsk) {
  let [mean, variance, ln] = [prior.mean, prior.sd * prior.sd, 0];
  const take = (value: number, own: number) => {
    const spread = variance + own;
    ln -= (Math.log(spread) + (value - mean) ** 2 / spread) / 2;
    const gain = variance / spread;
    mean += gain * (value - mean);
    variance *= 1 - gain;
  };
  for (const { exposureS: at, edgeMm, sdMm } of observations)
    take(edgeMm - slope * Math.log(at / exposureS), sdMm * sdMm);
  // e(t) = 0 there: e₀ = −a·ln(t/t₀), as sure as the ln of t is.
  if (zeroNear !== undefined)
    take(-slope * (zeroNear.lnS - Math.log(exposureS)), (slope * zeroNear.sdLn) ** 2);
  return { mean, variance, ln };
}

/** Posterior of edge growth against exposure on a grid of slopes (docs/methods.md §5). */
export function learnEdgeLaw(ask: ExposureChangeAsk): Result<EdgeLaw, ExposureChangeIssue> {
  const issue = findExposureChangeIssue(ask);
  if (issue !== undefined) return fail(issue);
  const slopes = new Float64Array(NODES);
  const [weights, means, variances] = [slopes.slice(), slopes.slice(), slopes.slice()];
  for (let i = 0; i < NODES; i++) {
    const z = REACH * ((2 * i) / (NODES - 1) - 1);
    slopes[i] = EDGE_SLOPE.medianMm * Math.exp(z * EDGE_SLOPE.sdLn);
    const { mean, variance, ln } = givenSlope(slopes[i], ask);
    [weights[i], means[i], variances[i]] = [ln - (z * z) / 2, mean, variance];
  }
  const highest = weights.reduce((most, ln) => Math.max(most, ln), -Infinity);
  let total = 0;
  for (let i = 0; i < NODES; i++) total += weights[i] = Math.exp(weights[i] - highest);
  for (let i = 0; i < NODES; i++) weights[i] /= total;
  return ok({ exposureS: ask.exposureS, slopes, edge: { weights, means, variances } });
}

/** Growth of edges at an exposure, mm: mean and sd. */
export function edgeAt({ exposureS, slopes, edge }: EdgeLaw, seconds: number) {
  const ln = Math.log(seconds / exposureS);
  return mixtureMoments({ ...edge, means: edge.means.map((mean, i) => mean + slopes[i] * ln) });
}

/** A point of the curve of edge growth: exposure, s, mean and sd of the growth, mm on each face. */
export interface EdgePoint {
  readonly exposureS: number;
  readonly mean: number;
  readonly sd: number;
}

/** Points of an edge curve: more are not visible in a chart. */
const CURVE_POINTS = 40;
/** A curve reaches from this share of the present exposure to this multiple of it. */
const CURVE_REACH = [0.25, 1.6] as const;
/** Exposures beyond this factor are not shown: nobody prints there. */
const CURVE_LIMIT = 20;

/**
 * Returns edge growth over the exposure, for a chart: points in equal ratio around the present exposure, and around the
 * exposure with true edges if that is within a factor of 20.
 */
export function edgeCurve(law: EdgeLaw): EdgePoint[] {
  const { exposureS } = law;
  const trueS = exposureS * zeroRatio(law).median;
  const isShown = trueS > exposureS / CURVE_LIMIT && trueS < exposureS * CURVE_LIMIT;
  const ends = [
    ...CURVE_REACH.map((factor) => factor * exposureS),
    ...(isShown ? [0.8 * trueS, 1.25 * trueS] : []),
  ];
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  return Array.from({ length: CURVE_POINTS }, (_, i) => {
    const at = from * (to / from) ** (i / (CURVE_POINTS - 1));
    return { exposureS: at, ...edgeAt(law, at) };
  });
}

/** How steep it is, mm for a factor e of exposure: mean and sd. */
export function slopeOf({ slopes, edge }: EdgeLaw) {
  return mixtureMoments({ ...edge, means: slopes, variances: new Float64Array(slopes.length) });
}

/** The ratio to the exposure now at which edges neither grow nor shrink, exp(−e₀/a): median and 95 %. */
export function zeroRatio({ slopes, edge }: EdgeLaw): {
  readonly median: number;
  readonly low: number;
  readonly high: number;
} {
  const ln: NormalMixture = {
    weights: edge.weights,
    means: edge.means.map((mean, i) => -mean / slopes[i]),
    variances: edge.variances.map((variance, i) => variance / slopes[i] ** 2),
  };
  const [low, median, high] = [0.025, 0.5, 0.975].map((p) => Math.exp(mixtureQuantile(ln, p)));
  return { median, low, high };
}

/** One step of a trim moves the exposure no further, then it is measured again. */
const STEP = { least: 0.75, most: 1.33 } as const;
/** Never below a depth of so many layers: what holds only just comes off. */
const LEAST_LAYERS = 1.5;

/** A step of the exposure, and what kept it from being the whole way. */
export interface ExposureChangeStep {
  readonly exposureS: number;
  readonly ratio: number;
  readonly limitedBy?: 'step' | 'depth';
}

/** The exposure below which a layer does not hold to the one before it, s. */
export function leastExposure(
  curve: { readonly dpMm: number; readonly lnEc: number },
  layerMm: number,
): number {
  return Math.exp(curve.lnEc + (LEAST_LAYERS * layerMm) / curve.dpMm);
}

/**
 * The next step of a trim towards a ratio: at most −25 % or +33 %, and never below `leastS`. Where the exposure is below that
 * already it goes up to it, within one step.
 */
export function stepOfExposureChange(exposureS: number, ratio: number, leastS = 0): ExposureChangeStep {
  const stepped = Math.min(STEP.most, Math.max(STEP.least, ratio));
  const floor = Math.min(STEP.most, leastS / exposureS);
  const own = Math.max(stepped, floor);
  const limitedBy = own > stepped ? 'depth' : stepped === ratio ? undefined : 'step';
  return { exposureS: exposureS * own, ratio: own, limitedBy };
}
