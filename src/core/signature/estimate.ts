import { backwardSolve, forwardSolve, mixtureMoments, type NormalMixture } from '@/core/kit/numerics';
import { type Jaw, type PartState, pieceVariance, pooledScatter } from '@/core/measure';
import {
  type Evidence,
  gatherEvidence,
  type KeptGroups,
  type Node,
  solveReadings,
  solveWithWords,
} from './gather-evidence';
import { type Change, type Frame, frameOf } from './frame';
import type { ColumnReading } from './layout';
import { lawPrior, PARAMETER_COUNT, PARAMETER_NAMES, type LawPrior, type ParameterName } from './law';
import { groupObservations, instrumentNamed, type Observation, steadyScatter } from './observations';
import { ONLY_INSTRUMENT, type CheckReading, type Instruments, type SignatureReading } from './reading';
import { biasKey, columnOf, type ColumnKey, shiftKey, type SharedColumn } from './columns';
import { rowOfObservation } from './rows';
import { climbGrid, normaliseWeights, SCATTER_GRID, walkGrid } from './scatter-grid';
import { baseState, shiftPrior, SHIFTED_STATES, type ShiftedState, stateUnderCoat } from './states';
import { compareTries, rowOfTry, type Try } from './tries';

export interface SignatureOptions {
  readonly instruments: Instruments;
  /** Default: the prior of docs/methods.md §2 for an unknown printer. */
  readonly prior?: LawPrior;
  /** The prior before data from related profiles; default `prior`. */
  readonly ownPrior?: LawPrior;
  readonly tries?: readonly Try[];
  /** Readings of pieces of known size. */
  readonly checks?: readonly CheckReading[];
  /** What changed since some of the prints were made, oldest first. */
  readonly changes?: readonly Change[];
  /** State of the sizes that are asked about; default cured, or the one state in which all was read. */
  readonly state?: PartState;
  /** What an earlier estimate computed; brought up to date. The answer is the same without it. */
  readonly kept?: KeptGroups;
}

export interface ParameterEstimate {
  readonly name: ParameterName;
  readonly mean: number;
  readonly sd: number;
  /** Before readings and related profiles. */
  readonly priorMean: number;
  readonly priorSd: number;
  /** After related profiles, before readings; equal to the prior if there are none. */
  readonly lentSd: number;
  /** Pinned down: sd under half of the prior's. */
  readonly pinned: boolean;
  /** What narrowed it most; the prior where nothing narrowed it by a tenth. */
  readonly from: ParameterSource;
}

export type ParameterSource = 'readings' | 'relatives' | 'prior';

/** A parameter that is narrowed by less than this share counts as unchanged. */
const HARDLY = 0.9;

function sourceOf(priorSd: number, lentSd: number, sd: number): ParameterSource {
  const [relatives, readings] = [lentSd / priorSd, sd / lentSd];
  if (Math.min(relatives, readings) > HARDLY) return 'prior';
  return readings <= relatives ? 'readings' : 'relatives';
}

interface InstrumentBias {
  readonly instrument: string;
  readonly jaw: Jaw;
  readonly meanMm: number;
  readonly sdMm: number;
}

interface Moments {
  readonly mean: number;
  readonly sd: number;
}

/** How much larger sizes are in a state than in the base state, per mm. */
export interface StateShift {
  readonly state: ShiftedState;
  readonly xy: Moments;
  readonly z: Moments;
}

/** What a printer with a resin and a profile does to drawn sizes, as far as the readings tell. */
export interface Signature {
  readonly parameters: readonly ParameterEstimate[];
  /** Over the parameters, row-major. */
  readonly covariance: Float64Array;
  /** Posterior means of both scatters, mm. */
  readonly scatter: { readonly featureMm: number; readonly printMm: number };
  readonly biases: readonly InstrumentBias[];
  /** The state of the law, and the shifts of the other measured states. */
  readonly base: ShiftedState;
  readonly shifts: readonly StateShift[];
  /** State of the sizes that are asked about. */
  readonly state: PartState;
  readonly observations: readonly Observation[];
  /** Longest size measured, mm; beyond 1.5 times this a prediction reaches out. 0 without readings. */
  readonly longestMm: number;
  readonly posterior: Posterior;
}

/** The computable form: everything a prediction needs. */
export interface Posterior {
  readonly evidence: Evidence;
  readonly nodes: readonly Node[];
  /** Of the nodes; sum to one. */
  readonly weights: Float64Array;
  /** Their places on the grid, its stride, and the heaviest place. */
  readonly places: readonly number[];
  /** All places of the grid that were looked at, those too light to be nodes too. */
  readonly lookedAt: readonly number[];
  readonly stride: number;
  readonly heaviest: number;
  readonly instruments: Instruments;
  readonly prior: LawPrior;
  readonly frame: Frame;
}

/** Biases of jaws that read anything; a perfect instrument would need an infinite precision: a nanometre stands in. */
function biasColumns(observations: readonly Observation[], instruments: Instruments): SharedColumn[] {
  const used = new Map<string, SharedColumn>();
  for (const { instrument, jaw } of observations) {
    if (jaw === undefined) continue;
    const key = biasKey(instrument, jaw);
    const { mpeMm } = instrumentNamed(instruments, instrument);
    used.set(key, { key, mean: 0, sd: Math.max(mpeMm, 1e-6) / Math.sqrt(3) });
  }
  return [...used.values()];
}

function shiftColumns(states: ReadonlySet<ShiftedState>, base: ShiftedState): SharedColumn[] {
  return SHIFTED_STATES.filter((state) => state !== base && states.has(state)).flatMap((state) =>
    (['xy', 'z'] as const).map((along) => ({ key: shiftKey(state, along), ...shiftPrior(state, base) })),
  );
}

/** Check pieces as readings of the biases: noise of one reading, the display's step and the piece's own u. */
function checkReadings(
  observations: readonly Observation[],
  { checks = [], instruments }: SignatureOptions,
): ColumnReading[] {
  const pooled = steadyScatter(
    pooledScatter(observations.map(({ readings }) => readings.map(({ readingMm }) => readingMm))),
  );
  return checks.map(({ instrument: name = ONLY_INSTRUMENT, jaw, knownMm, u_mm, readingMm }) => ({
    key: biasKey(name, jaw),
    value: readingMm - knownMm,
    variance: pieceVariance(u_mm, instrumentNamed(instruments, name), pooled),
  }));
}

/**
 * Returns observations, hand fits and reference pieces as evidence, with the state that each row is about and the state
 * that is asked for.
 */
export function evidenceOf(
  observations: readonly Observation[],
  options: SignatureOptions,
): { readonly evidence: Evidence; readonly frame: Frame; readonly state: PartState } {
  const { instruments, prior = lawPrior(), tries = [], changes = [], kept } = options;
  const read = [...observations.map(({ state }) => state), ...tries.map(({ state }) => state ?? 'cured')];
  const base = read.length === 0 ? 'cured' : baseState(read);
  const state = options.state ?? base;
  const states = new Set([...read, state].map(stateUnderCoat));
  const frame = frameOf({ base, states, prior, changes });
  const evidence = gatherEvidence(
    {
      prior,
      rows: observations.map((observation) => rowOfObservation(observation, frame)),
      words: [...tries].sort(compareTries).map((word) => ({ row: rowOfTry(word, frame), word })),
      columns: [...shiftColumns(states, base), ...frame.columns, ...biasColumns(observations, instruments)],
      columnReadings: checkReadings(observations, options),
    },
    kept,
  );
  return { evidence, frame, state };
}

/** Hand fits are applied at nodes within e^-14 of the heaviest: they are matched to a millionth. */
const WORDED = 14;

/** Visits the nodes that carry weight: readings alone lead there, hand fits are applied where it matters. */
function weighNodes(
  evidence: Evidence,
): Pick<Posterior, 'nodes' | 'weights' | 'places' | 'lookedAt' | 'stride' | 'heaviest'> {
  const nodeOf = new Map<number, Node>();
  const logWeightOf = (at: number) => {
    const node = nodeOf.get(at) ?? solveReadings(evidence, at);
    nodeOf.set(at, node);
    return node.logLikelihood + SCATTER_GRID[at].logPrior;
  };
  const { stride, ...walk } = walkGrid(climbGrid(logWeightOf), logWeightOf);
  const most = walk.logWeights.reduce((a, b) => Math.max(a, b));
  const worded = evidence.groups.some(({ words }) => words.length > 0);
  const kept = walk.nodes.filter((_, i) => !worded || walk.logWeights[i] > most - WORDED);
  const nodes = kept.map((at) => (worded ? solveWithWords(evidence, at, nodeOf.get(at)!) : nodeOf.get(at)!));
  const logWeights = nodes.map(({ logLikelihood }, i) => logLikelihood + SCATTER_GRID[kept[i]].logPrior);
  const weights = normaliseWeights(logWeights);
  const heaviest = weights.indexOf(weights.reduce((a, b) => Math.max(a, b)));
  return { nodes, weights, places: kept, lookedAt: walk.lookedAt, stride, heaviest: kept[heaviest] };
}

/** Column `at` of the inverse of L·Lᵀ. */
function covarianceColumn(factor: Float64Array, count: number, at: number): Float64Array {
  const unit = new Float64Array(count);
  unit[at] = 1;
  forwardSolve(factor, count, unit);
  backwardSolve(factor, count, unit);
  return unit;
}

/** Moments of one shared column over the mixture of nodes. */
function momentsOf({ evidence, nodes, weights }: Posterior, key: ColumnKey): Moments {
  const { count, at } = evidence.layout;
  const column = at.get(key)!;
  const mixture: NormalMixture = {
    weights,
    means: Float64Array.from(nodes, ({ mean }) => mean[column]),
    variances: Float64Array.from(nodes, ({ factor }) => covarianceColumn(factor, count, column)[column]),
  };
  return mixtureMoments(mixture);
}

/** Covariance of the law's parameters over the mixture: spread within the nodes and between them. */
function lawCovariance({ evidence, nodes, weights }: Posterior, means: readonly number[]): Float64Array {
  const covariance = new Float64Array(PARAMETER_COUNT ** 2);
  nodes.forEach(({ factor, mean }, node) => {
    for (let j = 0; j < PARAMETER_COUNT; j++) {
      const column = covarianceColumn(factor, evidence.layout.count, j);
      for (let i = 0; i < PARAMETER_COUNT; i++) {
        const between = (mean[i] - means[i]) * (mean[j] - means[j]);
        covariance[i * PARAMETER_COUNT + j] += weights[node] * (column[i] + between);
      }
    }
  });
  return covariance;
}

function estimateParameters(posterior: Posterior, ownPrior: LawPrior) {
  const means = PARAMETER_NAMES.map((_, at) =>
    posterior.nodes.reduce((sum, { mean }, node) => sum + posterior.weights[node] * mean[at], 0),
  );
  const covariance = lawCovariance(posterior, means);
  const parameters = PARAMETER_NAMES.map((name, at): ParameterEstimate => {
    const diagonal = at * PARAMETER_COUNT + at;
    const sd = Math.sqrt(covariance[diagonal]);
    const priorSd = Math.sqrt(ownPrior.covariance[diagonal]);
    const lentSd = Math.sqrt(posterior.prior.covariance[diagonal]);
    return {
      name,
      mean: means[at],
      sd,
      priorMean: ownPrior.mean[at],
      priorSd,
      lentSd,
      pinned: sd < priorSd / 2,
      from: sourceOf(priorSd, lentSd, sd),
    };
  });
  return { parameters, covariance };
}

function estimateBiases(posterior: Posterior, columns: readonly SharedColumn[]): InstrumentBias[] {
  return columns.flatMap(({ key }) => {
    const column = columnOf(key);
    if (column.kind !== 'bias') return [];
    const { mean, sd } = momentsOf(posterior, key);
    return [{ instrument: column.instrument, jaw: column.jaw, meanMm: mean, sdMm: sd }];
  });
}

function estimateShifts(posterior: Posterior): StateShift[] {
  return SHIFTED_STATES.filter((state) => posterior.evidence.layout.at.has(shiftKey(state, 'xy'))).map(
    (state) => ({
      state,
      xy: momentsOf(posterior, shiftKey(state, 'xy')),
      z: momentsOf(posterior, shiftKey(state, 'z')),
    }),
  );
}

/** Estimates a signature from observations already grouped; see estimateSignature. */
export function estimateFromObservations(
  observations: readonly Observation[],
  options: SignatureOptions,
): Signature {
  const { instruments, prior = lawPrior() } = options;
  const { evidence, frame, state } = evidenceOf(observations, options);
  const weighed = weighNodes(evidence);
  const posterior: Posterior = { evidence, frame, ...weighed, instruments, prior };
  const meanOf = (of: (node: Node) => number) =>
    weighed.nodes.reduce((sum, node, i) => sum + weighed.weights[i] * of(node), 0);
  return {
    ...estimateParameters(posterior, options.ownPrior ?? prior),
    scatter: { featureMm: meanOf(({ tauB }) => tauB), printMm: meanOf(({ tauP }) => tauP) },
    biases: estimateBiases(posterior, evidence.layout.extra),
    base: frame.base,
    shifts: estimateShifts(posterior),
    state,
    observations,
    longestMm: observations.reduce((longest, { drawnMm }) => Math.max(longest, drawnMm), 0),
    posterior,
  };
}

/**
 * Returns the signature of a process: a hierarchical linear model of offset = size − drawn, with repeatable deviations
 * of features, drifts of prints, shifts between states and one bias per instrument and jaw; both scatters are
 * integrated over a grid. Without readings it is the prior. Equal inputs give equal outputs (nothing is sampled).
 * Groups that share no print and no feature are eliminated separately and leave a small matrix over the shared columns
 * at each node; with `kept`, one more reading costs one such group and a sum. Source: the model of docs/methods.md §2;
 * closed form after A. Gelman et al., Bayesian Data Analysis (2013) ch. 15.
 */
export function estimateSignature(
  readings: readonly SignatureReading[],
  options: SignatureOptions,
): Signature {
  return estimateFromObservations(groupObservations(readings, options.instruments), options);
}
