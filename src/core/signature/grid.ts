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
export const SCATTER_GRID: readonly (Scatter & { readonly logPrior: number })[] = logSteps(TAU_B).flatMap((tauB) =>
  logSteps(TAU_P).map((tauP) => ({
    tauB,
    tauP,
    logPrior: logPrior(tauB, TAU_B.median) + logPrior(tauP, TAU_P.median),
  })),
);

/** Nodes whose posteriors are mixed, with weights that sum to one. */
export interface WeightedNodes {
  readonly nodes: readonly Node[];
  readonly weights: Float64Array;
}

/** Weights in proportion to exp(logWeight), summing to one. */
export function normaliseWeights(logWeights: readonly number[]): Float64Array {
  const most = Math.max(...logWeights);
  const raw = Float64Array.from(logWeights, (value) => Math.exp(value - most));
  const total = raw.reduce((sum, value) => sum + value, 0);
  return raw.map((value) => value / total);
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
