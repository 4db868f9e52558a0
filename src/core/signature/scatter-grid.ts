/** Scatters of the model: τ_b of repeatable deviations, τ_p from print to print; mm. */
export interface Scatter {
  readonly tauB: number;
  readonly tauP: number;
}

/** A node of the grid over both scatters with its log prior (normal in ln τ). */
export interface ScatterNode extends Scatter {
  readonly logPrior: number;
}

/**
 * Nodes are in equal steps of ln τ. 13 per axis are enough while a scatter is poorly known; 25 or 49 once it is known
 * well.
 */
const SIDE = 49;
export const COARSEST = 4;
const TAU_B = { low: 0.002, high: 0.2, median: 0.02 };
const TAU_P = { low: 0.0015, high: 0.15, median: 0.012 };
const SIGMA_LN = 0.7;

function stepOf({ low, high, median }: typeof TAU_B, step: number): { tau: number; logPrior: number } {
  const tau = low * Math.exp((step * Math.log(high / low)) / (SIDE - 1));
  const z = Math.log(tau / median) / SIGMA_LN;
  return { tau, logPrior: -0.5 * z * z };
}

/** The finest grid; node `at` is step floor(at / 49) of τ_b and step at % 49 of τ_p. */
export const SCATTER_GRID: readonly ScatterNode[] = Array.from({ length: SIDE * SIDE }, (_, at) => {
  const habit = stepOf(TAU_B, Math.floor(at / SIDE));
  const chance = stepOf(TAU_P, at % SIDE);
  return { tauB: habit.tau, tauP: chance.tau, logPrior: habit.logPrior + chance.logPrior };
});

/** Nodes lighter than the heaviest by this (natural log) carry less than 2e-8 of the weight each. */
const NEGLIGIBLE = 18;

function neighboursOf(at: number, stride: number): number[] {
  const [row, column] = [Math.floor(at / SIDE), at % SIDE];
  const near: number[] = [];
  if (row >= stride) near.push(at - stride * SIDE);
  if (row + stride < SIDE) near.push(at + stride * SIDE);
  if (column >= stride) near.push(at - stride);
  if (column + stride < SIDE) near.push(at + stride);
  return near;
}

/** Climbs from the middle of the grid to a node that no neighbour at the coarsest stride outweighs. */
export function climbGrid(logWeightOf: (at: number) => number): number {
  let top = Math.floor(SCATTER_GRID.length / 2);
  let most = logWeightOf(top);
  for (;;) {
    const before = top;
    for (const near of neighboursOf(before, COARSEST)) {
      const weight = logWeightOf(near);
      if (weight > most) [top, most] = [near, weight];
    }
    if (top === before) return top;
  }
}

interface Walk {
  /** Steps of the finest grid from node to node. */
  readonly stride: number;
  /** Nodes lighter than the heaviest by this (natural log) are left out. */
  readonly negligible: number;
}

/** Log weights of the nodes that were visited, by node. */
type Visited = Map<number, number>;

interface Looked {
  /** Those that weigh. */
  readonly kept: Visited;
  readonly lookedAt: readonly number[];
}

/**
 * Walks a grid of this stride outward from `from` and stops where a node weighs nothing beside the heaviest seen.
 * What can be missed is a second hill behind so deep a valley; visiting all nodes took three times as long.
 */
function spread(from: number, { stride, negligible }: Walk, logWeightOf: (at: number) => number): Looked {
  const visited: Visited = new Map();
  const queued = new Set([from]);
  let heaviest = -Infinity;
  for (const at of queued) {
    const weight = logWeightOf(at);
    visited.set(at, weight);
    heaviest = Math.max(heaviest, weight);
    if (weight > heaviest - negligible) for (const near of neighboursOf(at, stride)) queued.add(near);
  }
  const kept: Visited = new Map([...visited].filter(([, weight]) => weight > heaviest - negligible));
  return { kept, lookedAt: [...visited.keys()] };
}

/** A sum over steps stands for the integral to about 1 % while the spread along either scatter is more than half a step. */
const LEAST_VARIANCE = 0.3;

function isTooCoarse(visited: Visited, stride: number): boolean {
  const weights = normaliseWeights([...visited.values()]);
  const steps = [...visited.keys()].map((at) => [Math.floor(at / SIDE) / stride, (at % SIDE) / stride]);
  return [0, 1].some((along) => {
    let [mean, square] = [0, 0];
    steps.forEach((step, i) => {
      mean += weights[i] * step[along];
      square += weights[i] * step[along] ** 2;
    });
    return square - mean * mean < LEAST_VARIANCE;
  });
}

/** Where a distribution over the grid lives: nodes of one stride, with log weights. */
export interface GridWalk {
  readonly stride: number;
  readonly nodes: readonly number[];
  readonly logWeights: readonly number[];
  /** All that were looked at, those too light to count too. */
  readonly lookedAt: readonly number[];
}

/** Visits the nodes that weigh, from a node near the top, at a stride that suits how well the scatters are known. */
export function walkGrid(
  from: number,
  logWeightOf: (at: number) => number,
  { stride = COARSEST, negligible = NEGLIGIBLE }: Partial<Walk> = {},
): GridWalk {
  const { kept, lookedAt } = spread(from, { stride, negligible }, logWeightOf);
  if (stride === 1 || !isTooCoarse(kept, stride))
    return { stride, nodes: [...kept.keys()], logWeights: [...kept.values()], lookedAt };
  const top = [...kept].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
  return walkGrid(top, logWeightOf, { stride: stride / 2, negligible });
}

/** Do two nodes lie whole strides apart along both scatters? */
export function onLattice(a: number, b: number, stride: number): boolean {
  const rows = Math.floor(a / SIDE) - Math.floor(b / SIDE);
  return rows % stride === 0 && ((a % SIDE) - (b % SIDE)) % stride === 0;
}

/** Nodes that have a neighbour outside of those looked at: what lies beyond them is not known. */
export function rimOf(nodes: readonly number[], lookedAt: readonly number[], stride: number): Uint8Array {
  const inside = new Set(lookedAt);
  return Uint8Array.from(nodes, (at) => (neighboursOf(at, stride).every((near) => inside.has(near)) ? 0 : 1));
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
