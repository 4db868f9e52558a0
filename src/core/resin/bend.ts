import { fail, ok, type Result } from '@/core/kit';
import { mixtureQuantile, normalQuantile, studentTQuantile } from '@/core/kit/numerics';
import { barStiffness, GRAVITY, type Bar, type Bend } from './bar';

/** A weight hung on the bar and where its pointer then stood. */
interface LoadStep {
  readonly massG: number;
  /** Read from any fixed point: only differences count. */
  readonly readingMm: number;
}

/** What the bench's instruments may be wrong by: half widths of rectangular distributions, the same for all readings. */
export interface BenchLimits {
  readonly caliperMm: number;
  readonly resolutionMm: number;
  /** Span or free length, by a rule. */
  readonly spanMm: number;
  /** Weights, as a share of themselves. */
  readonly massShare: number;
}

export const BENCH_LIMITS: BenchLimits = Object.freeze({
  caliperMm: 0.02,
  resolutionMm: 0.01,
  spanMm: 0.3,
  massShare: 0.005,
});

export interface BendTest {
  readonly bend: Bend;
  readonly spanMm: number;
  /** Readings along the bar. */
  readonly widthsMm: readonly number[];
  readonly thicknessesMm: readonly number[];
  readonly steps: readonly LoadStep[];
  readonly limits: BenchLimits;
}

export type BendIssue =
  | { readonly code: 'tooFewLoads'; readonly needed: number; readonly given: number }
  | { readonly code: 'barNotPositive' }
  | { readonly code: 'loadsAllEqual' }
  | { readonly code: 'bendsBackwards' }
  | { readonly code: 'lostInNoise'; readonly wanderMm: number; readonly rangeMm: number };

/** Why the modulus should be taken with care. */
export type BendNote =
  | { readonly code: 'curved'; readonly share: number }
  | { readonly code: 'deep'; readonly deflectionMm: number; readonly limitMm: number }
  | { readonly code: 'stubby'; readonly ratio: number };

export interface BendResult {
  readonly modulusMPa: number;
  /** Ends of the 95 % interval. */
  readonly lowMPa: number;
  readonly highMPa: number;
  /** Newtons per millimetre of deflection. */
  readonly stiffnessN_mm: number;
  /** Largest residual from the line, mm. */
  readonly residualMm: number;
  readonly isLinear: boolean;
  readonly notes: readonly BendNote[];
}

const LEAST_LOADS = 3;
/** ISO 178 asks for a span of 16 thicknesses: shear hides below it. */
const SLENDER = 16;
/** Beyond a tenth of the span the bar is no longer a shallow beam. */
const SHALLOW = 0.1;
/** A bend in the line that changes the slope by less is let be. */
const CURVE_SHARE = 0.05;

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

interface Line {
  readonly slopeMm_N: number;
  readonly interceptMm: number;
  readonly squares: number;
  /** Σ(F − mean F)². */
  readonly spread: number;
}

/** Deflections against forces by least squares: the forces are known better than the readings. */
function lineThrough(forces: readonly number[], readings: readonly number[]): Line {
  const [meanF, meanY] = [mean(forces), mean(readings)];
  const spread = forces.reduce((sum, force) => sum + (force - meanF) ** 2, 0);
  const slopeMm_N =
    forces.reduce((sum, force, i) => sum + (force - meanF) * (readings[i] - meanY), 0) / spread;
  const interceptMm = meanY - slopeMm_N * meanF;
  const squares = forces.reduce(
    (sum, force, i) => sum + (readings[i] - interceptMm - slopeMm_N * force) ** 2,
    0,
  );
  return { slopeMm_N, interceptMm, squares, spread };
}

/** Change of slope over the loads as a share of it, and how many of its own standard errors that is; `floorMm` the least scatter. */
function curvatureOf(forces: readonly number[], readings: readonly number[], line: Line, floorMm: number) {
  const meanF = mean(forces);
  const raw = forces.map((force) => (force - meanF) ** 2);
  const bow = lineThrough(forces, raw);
  const rest = raw.map((value, i) => value - bow.interceptMm - bow.slopeMm_N * forces[i]);
  const norm = rest.reduce((sum, value) => sum + value * value, 0);
  if (norm < 1e-12 * line.spread ** 2) return { share: 0, errors: 0 };
  const bend = rest.reduce((sum, value, i) => sum + value * readings[i], 0) / norm;
  const range = Math.max(...forces) - Math.min(...forces);
  const left = Math.max(0, line.squares - bend * bend * norm) / (forces.length - 3);
  const sMm = Math.max(Math.sqrt(left), floorMm);
  return {
    share: Math.abs((2 * bend * range) / line.slopeMm_N),
    errors: Math.abs(bend) / (sMm / Math.sqrt(norm)),
  };
}

/** Standard uncertainty of a mean of readings in its own unit, its normal part widened for few repeats; mm. */
function meanU(values: readonly number[], resolutionMm: number): number {
  const step = resolutionMm / Math.sqrt(12);
  if (values.length < 2) return step;
  const centre = mean(values);
  const squares = values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
  const dof = values.length - 1;
  return Math.hypot(step, widened(Math.sqrt(squares / dof / values.length), dof));
}

/** A standard deviation of few degrees of freedom as that of the normal with the same 95 % interval. */
function widened(s: number, dof: number): number {
  return Number.isFinite(dof) ? (s * studentTQuantile(0.975, dof)) / normalQuantile(0.975) : s;
}

/** Nodes that stand for a rectangular distribution; each is as wide as its share of it. */
const NODES = 5;

/** Every pair of sums of two lists. */
const sums = (a: readonly number[], b: readonly number[]) => a.flatMap((x) => b.map((y) => x + y));

/**
 * Half width of the 95 % interval of ln E. The instruments' biases are few and rectangular, so that the usual k = 1.96
 * would cover too much where one of them leads: they are taken whole, as a mixture of normals over their nodes.
 */
function halfWidth(test: BendTest, bar: Bar, line: Line, sMm: number, dof: number): number {
  const { limits } = test;
  const rectangular = [
    limits.caliperMm * (1 / bar.widthMm + 3 / bar.thicknessMm),
    (3 * limits.spanMm) / bar.spanMm,
    limits.massShare,
  ];
  const normal = Math.hypot(
    widened(sMm / Math.sqrt(line.spread) / Math.abs(line.slopeMm_N), dof),
    meanU(test.widthsMm, limits.resolutionMm) / bar.widthMm,
    (3 * meanU(test.thicknessesMm, limits.resolutionMm)) / bar.thicknessMm,
  );
  const nodes = rectangular.map((half) =>
    Array.from({ length: NODES }, (_, i) => (half * (2 * i + 1 - NODES)) / NODES),
  );
  const sd = Math.hypot(normal, ...rectangular.map((half) => half / NODES / Math.sqrt(3)));
  const means = nodes.reduce(sums, [0]);
  const weights = new Float64Array(means.length).fill(1 / means.length);
  const variances = new Float64Array(means.length).fill(sd * sd);
  return mixtureQuantile({ weights, means: Float64Array.from(means), variances }, 0.975);
}

function findBendIssue({ spanMm, widthsMm, thicknessesMm, steps }: BendTest): BendIssue | undefined {
  if (steps.length < LEAST_LOADS) return { code: 'tooFewLoads', needed: LEAST_LOADS, given: steps.length };
  const lengths = [spanMm, ...widthsMm, ...thicknessesMm];
  if (widthsMm.length === 0 || thicknessesMm.length === 0 || !lengths.every((mm) => mm > 0))
    return { code: 'barNotPositive' };
  const masses = steps.map(({ massG }) => massG);
  return new Set(masses).size < 2 ? { code: 'loadsAllEqual' } : undefined;
}

/**
 * Young's modulus in bending from weights and deflections, with the interval that holds 95 % when each instrument's bias
 * is rectangular within its limit and shared by all its readings. Refuses fewer than three loads, no bar, a bar that
 * rises under weight, and deflections lost in the scatter.
 * Source: ISO 178 (three-point), Euler–Bernoulli beam (cantilever); JCGM 101:2008 5.1 for the propagation of
 * distributions, here summed over their nodes instead of drawn.
 * Example: span 80, bar 10 × 4, 0/100/200/300 g giving 0/0.0981/0.1961/0.2942 mm → 2000 MPa.
 */
export function estimateModulus(test: BendTest): Result<BendResult, BendIssue> {
  const issue = findBendIssue(test);
  if (issue !== undefined) return fail(issue);
  // 1. The line through the readings, and its scatter.
  const forces = test.steps.map(({ massG }) => (massG / 1000) * GRAVITY);
  const readings = test.steps.map(({ readingMm }) => readingMm);
  const line = lineThrough(forces, readings);
  const slopeMm_N = Math.abs(line.slopeMm_N);
  const dof = forces.length - 2;
  const floorMm = test.limits.resolutionMm / Math.sqrt(12);
  const scatterMm = Math.sqrt(line.squares / dof);
  const sMm = Math.max(scatterMm, floorMm);
  const rangeMm = slopeMm_N * (Math.max(...forces) - Math.min(...forces));
  if (line.slopeMm_N < 0 && rangeMm > 3 * sMm) return fail({ code: 'bendsBackwards' });
  if (rangeMm < 8 * sMm) return fail({ code: 'lostInNoise', wanderMm: sMm, rangeMm });
  // 2. The modulus, and its spread.
  const bar: Bar = {
    bend: test.bend,
    spanMm: test.spanMm,
    widthMm: mean(test.widthsMm),
    thicknessMm: mean(test.thicknessesMm),
  };
  const half = halfWidth(test, bar, line, sMm, scatterMm < floorMm ? Infinity : dof);
  const modulusMPa = 1 / (slopeMm_N * barStiffness(bar));
  // 3. What speaks against it.
  const notes: BendNote[] = [];
  const curve = forces.length > 3 ? curvatureOf(forces, readings, line, floorMm) : { share: 0, errors: 0 };
  const isLinear = !(curve.share > CURVE_SHARE && curve.errors > 3);
  if (!isLinear) notes.push({ code: 'curved', share: curve.share });
  if (rangeMm > SHALLOW * test.spanMm)
    notes.push({ code: 'deep', deflectionMm: rangeMm, limitMm: SHALLOW * test.spanMm });
  if (bar.spanMm < SLENDER * bar.thicknessMm && test.bend === 'threePoint')
    notes.push({ code: 'stubby', ratio: bar.spanMm / bar.thicknessMm });
  return ok({
    modulusMPa,
    lowMPa: modulusMPa * Math.exp(-half),
    highMPa: modulusMPa * Math.exp(half),
    stiffnessN_mm: 1 / slopeMm_N,
    residualMm: Math.max(
      ...forces.map((f, i) => Math.abs(readings[i] - line.interceptMm - line.slopeMm_N * f)),
    ),
    isLinear,
    notes,
  });
}
