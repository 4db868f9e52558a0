import type { Model, ModelData } from './model';
import { solveNode, type Node, type Scatter } from './node';

/** Nodes in equal steps of ln τ; 13 a side holds the reference figures (a 31 × 31 grid) to their tolerances. */
const STEPS = 13;
const TAU_B = { low: 0.002, high: 0.2, median: 0.02 };
const TAU_P = { low: 0.0015, high: 0.15, median: 0.012 };
const SIGMA_LN = 0.7;

function logSteps({ low, high }: { low: number; high: number }): number[] {
  const step = Math.log(high / low) / (STEPS - 1);
  return Array.from({ length: STEPS }, (_, i) => low * Math.exp(i * step));
}

function logPrior(tau: number, median: number): number {
  const z = Math.log(tau / median) / SIGMA_LN;
  return -0.5 * z * z;
}

/** The fixed grid over both scatters with the log prior (normal in ln τ) of each node. */
export const SCATTER_GRID: readonly (Scatter & { readonly logPrior: number })[] = logSteps(TAU_B).flatMap(
  (tauB) =>
    logSteps(TAU_P).map((tauP) => ({
      tauB,
      tauP,
      logPrior: logPrior(tauB, TAU_B.median) + logPrior(tauP, TAU_P.median),
    })),
);

/** Nodes lighter than the heaviest by this (natural log) carry less than 1e-13 of the weight each. */
const NEGLIGIBLE = 30;

function neighboursOf(at: number): number[] {
  const [row, column] = [Math.floor(at / STEPS), at % STEPS];
  const near: number[] = [];
  if (row > 0) near.push(at - STEPS);
  if (row < STEPS - 1) near.push(at + STEPS);
  if (column > 0) near.push(at - 1);
  if (column < STEPS - 1) near.push(at + 1);
  return near;
}

/**
 * Walks the grid outward from `from`, uphill first by nature, and stops where a node weighs nothing beside the
 * heaviest seen; `logWeightOf` is asked once a node. Gives log weights, −Infinity where it did not go.
 * What can be missed is a second hill behind a valley deeper than e^-30; visiting all nodes took three times as long.
 */
export function walkGrid(from: number, logWeightOf: (at: number, heaviest: number) => number): Float64Array {
  const logWeights = new Float64Array(SCATTER_GRID.length).fill(-Infinity);
  const queued = new Set([from]);
  let heaviest = -Infinity;
  for (const at of queued) {
    logWeights[at] = logWeightOf(at, heaviest);
    heaviest = Math.max(heaviest, logWeights[at]);
    if (logWeights[at] > heaviest - NEGLIGIBLE) for (const near of neighboursOf(at)) queued.add(near);
  }
  return logWeights;
}

/** Is a node worth looking into, when the heaviest so far weighs `heaviest`? */
export function isNegligible(logWeight: number, heaviest: number): boolean {
  return logWeight < heaviest - NEGLIGIBLE;
}

/** Nodes whose posteriors are mixed, with weights that sum to one. */
export interface WeightedNodes {
  readonly nodes: readonly Node[];
  readonly weights: Float64Array;
}

/** Weights in proportion to exp(logWeight), summing to one. */
export function normaliseWeights(logWeights: ArrayLike<number>): Float64Array {
  let most = -Infinity;
  for (let i = 0; i < logWeights.length; i++) most = Math.max(most, logWeights[i]);
  const weights = new Float64Array(logWeights.length);
  let total = 0;
  for (let i = 0; i < weights.length; i++) total += weights[i] = Math.exp(logWeights[i] - most);
  for (let i = 0; i < weights.length; i++) weights[i] /= total;
  return weights;
}

/** Weights from log weights, normalised; those below 1e-10 of the sum are dropped with their nodes. */
export function weighNodes(nodes: readonly Node[], logWeights: readonly number[]): WeightedNodes {
  const weights = normaliseWeights(logWeights);
  const kept = nodes.map((_, i) => i).filter((i) => weights[i] > 1e-10);
  const total = kept.reduce((sum, i) => sum + weights[i], 0);
  return { nodes: kept.map((i) => nodes[i]), weights: Float64Array.from(kept, (i) => weights[i] / total) };
}

/** Solves every node of the grid and weighs it by marginal likelihood × prior. */
export function solveGrid(model: Model, data: ModelData): WeightedNodes {
  const nodes = SCATTER_GRID.map((scatter) => solveNode(model, data, scatter));
  return weighNodes(
    nodes,
    nodes.map((node, i) => node.logLikelihood + SCATTER_GRID[i].logPrior),
  );
}
