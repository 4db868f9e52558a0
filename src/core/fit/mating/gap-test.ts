/** What the hand finds at one step of a gap test. `free` and `sloppy` both came free. */
export const GAP_STEP_OUTCOMES = ['fused', 'stiff', 'free', 'sloppy'] as const;
export type GapStepOutcome = (typeof GAP_STEP_OUTCOMES)[number];

/** What the hand finds at a joint printed in place; broken: it broke before it came free. */
export const JOINT_OUTCOMES = ['free', 'stiff', 'fused', 'broken'] as const;
export type JointOutcome = (typeof JOINT_OUTCOMES)[number];

export interface GapStep {
  /** Drawn gap per side, mm. */
  readonly gapMm: number;
  readonly outcome: GapStepOutcome;
  /** How unsure it is as a gap of today, sd in mm: it was tried before the exposure changed. Default 0. */
  readonly unsureMm?: number;
}

/** Posterior of the threshold and its width on a grid: what every question about freeing is answered from. */
export interface GapTest {
  readonly g50Mm: Float64Array;
  readonly widthMm: Float64Array;
  /** Same length, sums to one. */
  readonly weights: Float64Array;
  readonly rungs: readonly GapStep[];
}

const PRIOR = { lnG50: Math.log(0.25), lnWidth: Math.log(0.03), sd: 0.6 };
/** Nodes of ln g50 and of ln w, over ± 4.5 prior standard deviations; doubling both moves no figure by 0.3 %. */
const G_NODES = 241;
const W_NODES = 81;
const REACH = 4.5;
const BLUR = Math.sqrt(Math.PI / 8);

export function cameFree(outcome: GapStepOutcome): boolean {
  return outcome === 'free' || outcome === 'sloppy';
}

/** ln(1/(1+e^−x)), without overflow. */
function logLogistic(x: number): number {
  return x > 0 ? -Math.log1p(Math.exp(-x)) : x - Math.log1p(Math.exp(x));
}

/**
 * Returns the posterior of the logistic curve P(free | g) = 1/(1 + exp(−(g − g50)/w)) over the drawn gap, with
 * lognormal priors on both parameters. Without any step it is the prior. Source: docs/methods.md §3; Bayesian logistic
 * regression on a grid.
 */
export function estimateGapTest(rungs: readonly GapStep[]): GapTest {
  const g50Mm = new Float64Array(G_NODES * W_NODES);
  const widthMm = new Float64Array(G_NODES * W_NODES);
  const log = new Float64Array(G_NODES * W_NODES);
  for (let i = 0; i < G_NODES; i++) {
    const zG = REACH * ((2 * i) / (G_NODES - 1) - 1);
    for (let j = 0; j < W_NODES; j++) {
      const zW = REACH * ((2 * j) / (W_NODES - 1) - 1);
      const at = i * W_NODES + j;
      g50Mm[at] = Math.exp(PRIOR.lnG50 + PRIOR.sd * zG);
      widthMm[at] = Math.exp(PRIOR.lnWidth + PRIOR.sd * zW);
      log[at] = -0.5 * (zG * zG + zW * zW);
      for (const { gapMm, outcome, unsureMm = 0 } of rungs) {
        // A logistic curve blurred by a normal is all but a wider one (D. J. C. MacKay, Neural Computation 4 (1992) 720).
        const width = unsureMm === 0 ? widthMm[at] : Math.hypot(widthMm[at], BLUR * unsureMm);
        const x = (gapMm - g50Mm[at]) / width;
        log[at] += logLogistic(cameFree(outcome) ? x : -x);
      }
    }
  }
  const most = log.reduce((best, value) => Math.max(best, value), -Infinity);
  const weights = log.map((value) => Math.exp(value - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return { g50Mm, widthMm, weights: weights.map((weight) => weight / total), rungs };
}

/** Chance that a joint drawn with this gap frees itself, averaged over the posterior. */
export function chanceFree({ g50Mm, widthMm, weights }: GapTest, gapMm: number): number {
  let chance = 0;
  for (let i = 0; i < weights.length; i++)
    chance += weights[i] / (1 + Math.exp(-(gapMm - g50Mm[i]) / widthMm[i]));
  return chance;
}

/** The smallest drawn gap that frees itself with a chance, mm, by bisection to a nanometre. */
export function gapForChance(ladder: GapTest, chance: number): number {
  if (!(chance > 0 && chance < 1)) throw new RangeError('gapForChance: the chance must lie between 0 and 1');
  let low = 0;
  let high = 1;
  while (chanceFree(ladder, high) < chance) high *= 2;
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    if (chanceFree(ladder, middle) < chance) low = middle;
    else high = middle;
  }
  return high;
}

/** Result of a gap test; lengths mm. */
export interface GapTestSummary {
  readonly g50Mm: number;
  readonly widthMm: number;
  /** Smallest gap with P(free) ≥ 0.95 averaged over the posterior. */
  readonly recommendedMm: number;
  readonly interval95Mm: readonly [number, number];
}

export const WANTED_FREE = 0.95;

function quantileOf(values: Float64Array, weights: Float64Array, p: number): number {
  const sums = new Map<number, number>();
  values.forEach((value, i) => sums.set(value, (sums.get(value) ?? 0) + weights[i]));
  const sorted = [...sums].sort((a, b) => a[0] - b[0]);
  let below = 0;
  for (let i = 0; i < sorted.length; i++) {
    const [value, weight] = sorted[i];
    if (below + weight / 2 >= p) {
      if (i === 0) return value;
      const [before, weightBefore] = sorted[i - 1];
      const from = below - weightBefore / 2;
      return before + ((value - before) * (p - from)) / (below + weight / 2 - from);
    }
    below += weight;
  }
  return sorted[sorted.length - 1][0];
}

export function summariseGapTest(ladder: GapTest): GapTestSummary {
  const mean = (values: Float64Array) => values.reduce((sum, value, i) => sum + value * ladder.weights[i], 0);
  return {
    g50Mm: mean(ladder.g50Mm),
    widthMm: mean(ladder.widthMm),
    recommendedMm: gapForChance(ladder, WANTED_FREE),
    interval95Mm: [0.025, 0.975].map((p) => quantileOf(ladder.g50Mm, ladder.weights, p)) as [number, number],
  };
}

/** What the outcomes themselves leave open. */
export type GapTestNote =
  | { readonly code: 'noRungs' }
  | { readonly code: 'allFused'; readonly mostMm: number }
  | { readonly code: 'allFree'; readonly leastMm: number }
  | { readonly code: 'crossed'; readonly freeMm: number; readonly fusedMm: number };

/** All fused, all free, or a fused step above a free one: still computed, and reported. */
export function findGapTestNote(rungs: readonly GapStep[]): GapTestNote | undefined {
  if (rungs.length === 0) return { code: 'noRungs' };
  const free = rungs.filter(({ outcome }) => cameFree(outcome)).map(({ gapMm }) => gapMm);
  const fused = rungs.filter(({ outcome }) => !cameFree(outcome)).map(({ gapMm }) => gapMm);
  if (free.length === 0) return { code: 'allFused', mostMm: Math.max(...fused) };
  if (fused.length === 0) return { code: 'allFree', leastMm: Math.min(...free) };
  const [freeMm, fusedMm] = [Math.min(...free), Math.max(...fused)];
  return fusedMm > freeMm ? { code: 'crossed', freeMm, fusedMm } : undefined;
}
