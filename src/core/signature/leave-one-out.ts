import { backwardSolve, forwardSolve, mixtureMoments } from '@/core/kit/numerics';
import { meanOf, pooledScatter, type PooledScatter, squaresAround } from '@/core/measure';
import type { Signature } from './estimate';
import { type Evidence, type Node, readyGroup, solveReadings, withNoise } from './gather-evidence';
import type { WhitenedGroup } from './group-parts';
import { whitenedGroup } from './latent-size';
import { inSteps, instrumentNamed, type Observation, observationU, steadyScatter } from './observations';
import type { Instruments, SignatureReading } from './reading';
import {
  COARSEST,
  type GridWalk,
  normaliseWeights,
  onLattice,
  rimOf,
  SCATTER_GRID,
  walkGrid,
} from './scatter-grid';

/** Returns the prediction of one observation from everything else: its predicted reading, mm. */
export interface LeftOut {
  readonly meanMm: number;
  readonly sdMm: number;
}

/** Each row of a group as all other rows of the evidence foretell it at a node: how far it lies off, mm, with which variance, mm². */
interface Foretold {
  readonly off: Float64Array;
  readonly variance: Float64Array;
}

/** Diagonal of S⁻¹ from the factor of S. */
function inverseDiagonal({ factor, size }: WhitenedGroup): Float64Array {
  const diagonal = new Float64Array(size);
  const inverse = new Float64Array(size);
  // Column by column of L⁻¹, which is lower triangular too.
  for (let column = 0; column < size; column++) {
    for (let row = column; row < size; row++) {
      let sum = row === column ? 1 : 0;
      for (let k = column; k < row; k++) sum -= factor[row * size + k] * inverse[k];
      inverse[row] = sum / factor[row * size + row];
      diagonal[column] += inverse[row] * inverse[row];
    }
  }
  return diagonal;
}

/**
 * Leaves out every row of a group in closed form: with K the covariance of all rows, row i lies [K⁻¹r]ᵢ/[K⁻¹]ᵢᵢ off and
 * its variance is 1/[K⁻¹]ᵢᵢ, where K⁻¹ = S⁻¹ − S⁻¹A·P⁻¹·AᵀS⁻¹ and K⁻¹r = S⁻¹(y − A·mean).
 * Source: C. E. Rasmussen, C. K. I. Williams, Gaussian Processes for Machine Learning (2006) 5.4.2.
 */
function foretellRows(evidence: Evidence, node: Node, group: number): Foretold {
  const { count } = evidence.layout;
  const { columns } = readyGroup(evidence, group);
  const whitened = whitenedGroup(evidence, node, group);
  const { size, factor, design } = whitened;
  const errors = whitened.offsets.slice();
  for (let key = 0; key < columns.length; key++)
    for (let i = 0; i < size; i++) errors[i] -= design[key * size + i] * node.mean[columns[key]];
  backwardSolve(factor, size, errors);
  const precisions = inverseDiagonal(whitened);
  const weighted = Float64Array.from(design);
  for (let key = 0; key < columns.length; key++) {
    const column = weighted.subarray(key * size, (key + 1) * size);
    backwardSolve(factor, size, column);
  }
  const through = new Float64Array(count);
  for (let i = 0; i < size; i++) {
    through.fill(0);
    for (let key = 0; key < columns.length; key++) through[columns[key]] += weighted[key * size + i];
    forwardSolve(node.factor, count, through);
    for (const each of through) precisions[i] -= each * each;
  }
  return {
    off: errors.map((error, i) => error / precisions[i]),
    variance: precisions.map((precision) => 1 / precision),
  };
}

/** For a z of two digits the nodes within e^-9 of the heaviest are enough, and no more than e^-6 at their rim. */
const NEGLIGIBLE = 9;
const NEGLIGIBLE_RIM = 6;

/** Leaving out a reading changes the pooled scatter, which is known to a few per cent at best: followed in steps. */
const SCATTER_STEP = 0.03;

function logDensity(miss: number, variance: number): number {
  return -0.5 * (Math.log(variance) + (miss * miss) / variance);
}

/** The evidence at one pooled scatter, solved at nodes when they are asked for. */
class EvidenceAt {
  private readonly nodes = new Map<number, Node>();
  private readonly foretold = new Map<number, Foretold>();

  constructor(
    private readonly evidence: Evidence,
    readonly noise: Float64Array,
  ) {}

  node(at: number): Node {
    const node = this.nodes.get(at) ?? solveReadings(this.evidence, at);
    this.nodes.set(at, node);
    return node;
  }

  logWeight(at: number): number {
    return this.node(at).logLikelihood + SCATTER_GRID[at].logPrior;
  }

  /** How far observation `i` lies off what all others say at a node, and the variance of that with its own noise. */
  foretell(i: number, at: number): { readonly off: number; readonly variance: number } {
    const { group, row } = this.evidence.places[i];
    const key = group * SCATTER_GRID.length + at;
    const foretold = this.foretold.get(key) ?? foretellRows(this.evidence, this.node(at), group);
    this.foretold.set(key, foretold);
    return { off: foretold.off[row], variance: foretold.variance[row] };
  }
}

/**
 * Left-out predictions of one signature, learned from readings alone. Leaving out a reading changes the pooled scatter too;
 * that is followed in steps of 3 %, so that the same evidence serves nearly all readings.
 */
export class LeaveOneOut {
  private readonly byScatter = new Map<number | undefined, EvidenceAt>();
  private readonly pooled: PooledScatter | undefined;
  private readonly squares: Float64Array;
  private readonly sum: { squares: number; dof: number };
  /** Every second node serves: a z needs two digits. */
  private readonly stride: number;
  /** Nodes that weigh before anything is left out, and which of them lie at the rim. */
  private readonly nodes: readonly number[];
  private readonly rim: Uint8Array;
  /** By node, of the reading that is left out. */
  private readonly means = new Float64Array(SCATTER_GRID.length);
  private readonly variances = new Float64Array(SCATTER_GRID.length);

  constructor(
    private readonly signature: Signature,
    private readonly instruments: Instruments,
  ) {
    const { observations } = signature;
    const values = observations.map(valuesOf);
    this.pooled = steadyScatter(pooledScatter(values));
    this.squares = Float64Array.from(values, squaresAround);
    this.sum = { squares: 0, dof: 0 };
    observations.forEach(({ readings }, i) => {
      this.sum.squares += this.squares[i];
      this.sum.dof += readings.length - 1;
    });
    const noise = Float64Array.from(observations, ({ u_mm }) => u_mm ** 2);
    const { posterior } = signature;
    const here = new EvidenceAt(posterior.evidence, noise);
    const most = posterior.places.reduce(
      (heaviest, node) => Math.max(heaviest, here.logWeight(node)),
      -Infinity,
    );
    this.stride = Math.min(2 * posterior.stride, COARSEST);
    this.nodes = posterior.places.filter(
      (node) => onLattice(node, posterior.heaviest, this.stride) && here.logWeight(node) > most - NEGLIGIBLE,
    );
    this.rim = rimOf(this.nodes, posterior.lookedAt, this.stride);
    this.byScatter.set(this.pooled?.sMm, here);
  }

  /**
   * Returns the prediction for one more reading of observation `at` from everything except its reading `dropped` (all
   * its readings if left out): its share of the pooled scatter and of the node weights is removed too.
   */
  without(at: number, dropped?: SignatureReading): LeftOut {
    const observation = this.signature.observations[at];
    const keptValues =
      dropped === undefined
        ? []
        : observation.readings.filter((reading) => reading !== dropped).map(({ readingMm }) => readingMm);
    const pooled = this.pooledWith(at, keptValues);
    const evidence = this.evidenceWith(pooled);
    const instrument = instrumentNamed(this.instruments, observation.instrument);
    const noise = observationU(1, instrument, pooled) ** 2;
    const kept =
      keptValues.length === 0
        ? undefined
        : { mean: meanOf(keptValues), noise: observationU(keptValues.length, instrument, pooled) ** 2 };
    const logWeightOf = (node: number) => {
      const { off, variance } = evidence.foretell(at, node);
      let mean = observation.sizeMm - off;
      let latent = Math.max(variance - evidence.noise[at], 0);
      let logWeight = evidence.logWeight(node) - logDensity(off, variance);
      if (kept !== undefined) {
        const miss = kept.mean - mean;
        const gain = latent / (latent + kept.noise);
        logWeight += logDensity(miss, latent + kept.noise);
        mean += gain * miss;
        latent *= 1 - gain;
      }
      this.means[node] = mean;
      this.variances[node] = latent + noise;
      return logWeight;
    };
    const { nodes, logWeights } = this.weigh(logWeightOf);
    const { mean, sd } = mixtureMoments({
      weights: normaliseWeights(logWeights),
      means: Float64Array.from(nodes, (node) => this.means[node]),
      variances: Float64Array.from(nodes, (node) => this.variances[node]),
    });
    return { meanMm: mean, sdMm: sd };
  }

  /**
   * Most readings do not move the scatters: the nodes of the signature are used. Where the weight moves to their rim,
   * as with an outlier, the grid is searched again.
   */
  private weigh(logWeightOf: (node: number) => number): Pick<GridWalk, 'nodes' | 'logWeights'> {
    const logWeights = this.nodes.map(logWeightOf);
    const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
    const isInside = logWeights.every((weight, i) => this.rim[i] === 0 || weight < most - NEGLIGIBLE_RIM);
    if (isInside && logWeights.length > 0) return { nodes: this.nodes, logWeights };
    const { heaviest } = this.signature.posterior;
    return walkGrid(heaviest, logWeightOf, { stride: this.stride, negligible: NEGLIGIBLE });
  }

  /** The pooled scatter with only the kept readings of one observation, in steps from that of all. */
  private pooledWith(at: number, keptValues: readonly number[]): PooledScatter | undefined {
    const own = this.signature.observations[at].readings.length - 1;
    const dof = this.sum.dof - own + Math.max(0, keptValues.length - 1);
    if (dof === 0) return undefined;
    const kept = keptValues.length > 1 ? squaresAround(keptValues) : 0;
    const squares = Math.max(0, this.sum.squares - this.squares[at] + kept);
    const all = Math.sqrt(this.sum.squares / this.sum.dof);
    const left = inSteps(Math.sqrt(squares / dof), all, SCATTER_STEP);
    return { sMm: left === all ? this.pooled!.sMm : (left / all) * this.pooled!.sMm, dof };
  }

  private evidenceWith(pooled: PooledScatter | undefined): EvidenceAt {
    const known = this.byScatter.get(pooled?.sMm);
    if (known !== undefined) return known;
    const uOf = (observation: Observation) =>
      observationU(
        observation.readings.length,
        instrumentNamed(this.instruments, observation.instrument),
        pooled,
      );
    const { observations } = this.signature;
    const noise = Float64Array.from(observations, (observation) => uOf(observation) ** 2);
    const made = new EvidenceAt(withNoise(this.signature.posterior.evidence, noise), noise);
    this.byScatter.set(pooled?.sMm, made);
    return made;
  }
}

function valuesOf({ readings }: Observation): number[] {
  return readings.map(({ readingMm }) => readingMm);
}
