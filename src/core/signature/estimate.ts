import { mixtureMoments, type NormalMixture } from '@/core/numerics';
import type { Jaw } from '@/core/metrology';
import { lawPrior, PARAMETER_COUNT, PARAMETER_NAMES, type LawPrior, type ParameterName } from './law';
import {
  assembleModel,
  biasKey,
  prepareData,
  priorOffset,
  rowOfObservation,
  SAYS_NOTHING,
  type Model,
  type ModelData,
} from './model';
import { groupObservations, type Observation } from './observations';
import { SCATTER_GRID, solveGrid, weighNodes, type WeightedNodes } from './grid';
import type { Node } from './node';
import type { Instruments, SignatureReading } from './reading';
import { rowOfTry, solveNodeWithTries, type Try, type TryRow } from './tries';

export interface SignatureOptions {
  readonly instruments: Instruments;
  /** Default: the prior of docs/methods.md §2 for a printer nobody knows. */
  readonly prior?: LawPrior;
  readonly tries?: readonly Try[];
}

export interface ParameterEstimate {
  readonly name: ParameterName;
  readonly mean: number;
  readonly sd: number;
  readonly priorMean: number;
  readonly priorSd: number;
  /** Pinned down by data: sd under half of the prior's. */
  readonly pinned: boolean;
}

interface InstrumentBias {
  readonly instrument: string;
  readonly jaw: Jaw;
  readonly meanMm: number;
  readonly sdMm: number;
}

/** What a printer with a resin and a profile does to drawn sizes, as far as the readings tell. */
export interface Signature {
  readonly parameters: readonly ParameterEstimate[];
  /** Posterior means of both scatters, mm. */
  readonly scatter: { readonly featureMm: number; readonly printMm: number };
  readonly biases: readonly InstrumentBias[];
  readonly observations: readonly Observation[];
  /** Longest size measured, mm; beyond 1.5 times this a prediction reaches out. 0 without readings. */
  readonly longestMm: number;
  readonly posterior: Posterior;
}

/** The computable form: everything a prediction needs. */
export interface Posterior extends WeightedNodes {
  readonly model: Model;
  /** Data of each node, parallel to nodes (words of fit differ from node to node). */
  readonly dataOfNode: readonly ModelData[];
  readonly instruments: Instruments;
  readonly prior: LawPrior;
}

/** Residuals and variances of the model's rows; `rows` of tries say nothing yet. */
export function dataOf(model: Model, observations: readonly Observation[]): ModelData {
  const residual = new Float64Array(model.rows.length);
  const variance = new Float64Array(model.rows.length).fill(SAYS_NOTHING);
  const rowOf = observationRows(model, observations);
  observations.forEach((observation, i) => {
    const row = rowOf[i];
    residual[row] = observation.sizeMm - observation.drawnMm - priorOffset(model, row);
    variance[row] = observation.u_mm ** 2;
  });
  return prepareData(model, { residual, variance });
}

/** Row of the model for each observation: both are grouped by feature, tries come last in their feature. */
export function observationRows(model: Model, observations: readonly Observation[]): number[] {
  const taken = new Set<number>();
  return observations.map(({ feature, print, jaw, instrument, drawnMm, warmth }) => {
    const f = model.features.indexOf(feature);
    for (let row = model.block[f]; row < model.block[f + 1]; row++) {
      const candidate = model.rows[row];
      const bias = jaw === undefined ? undefined : biasKey(instrument, jaw);
      if (taken.has(row) || candidate.print !== print || candidate.biasOf !== bias) continue;
      if (candidate.drawnMm !== drawnMm || candidate.warmthOf?.key !== warmth?.sitting) continue;
      taken.add(row);
      return row;
    }
    throw new RangeError(`observationRows: no row for ${feature}`);
  });
}

function compareTries(a: Try, b: Try): number {
  const keyOf = (attempt: Try) =>
    JSON.stringify([attempt.feature, attempt.print, attempt.word, attempt.mateMm]);
  return keyOf(a) < keyOf(b) ? -1 : 1;
}

function solveWithTries(
  model: Model,
  data: ModelData,
  tries: readonly TryRow[],
): WeightedNodes & { dataOfNode: ModelData[] } {
  const solved = SCATTER_GRID.map((scatter) => solveNodeWithTries(model, data, scatter, tries));
  const dataOf = new Map<Node, ModelData>(solved.map((each) => [each.node, each.data]));
  const weighted = weighNodes(
    solved.map((each) => each.node),
    solved.map((each, i) => each.node.logLikelihood + SCATTER_GRID[i].logPrior + each.wordsLogLikelihood),
  );
  return { ...weighted, dataOfNode: weighted.nodes.map((node) => dataOf.get(node)!) };
}

/** Moments of latent variable `at`, over the mixture of nodes. */
function latentMoments(
  { model, nodes, weights }: Pick<Posterior, 'model' | 'nodes' | 'weights'>,
  at: number,
) {
  const mixture: NormalMixture = {
    weights,
    means: Float64Array.from(nodes, (node) => model.priorMean[at] + node.shift[at]),
    variances: Float64Array.from(nodes, (node) => varianceOfLatent(node, model.latentCount, at)),
  };
  return mixtureMoments(mixture);
}

/** Diagonal entry of the inverse of L·Lᵀ. */
function varianceOfLatent({ factor }: Node, latent: number, at: number): number {
  const unit = new Float64Array(latent);
  let sum = 0;
  for (let row = at; row < latent; row++) {
    let rest = row === at ? 1 : 0;
    for (let k = at; k < row; k++) rest -= factor[row * latent + k] * unit[k];
    unit[row] = rest / factor[row * latent + row];
    sum += unit[row] * unit[row];
  }
  return sum;
}

function estimateParameters(posterior: Posterior): ParameterEstimate[] {
  return PARAMETER_NAMES.map((name, at) => {
    const { mean, sd } = latentMoments(posterior, at);
    const priorSd = Math.sqrt(posterior.prior.covariance[at * PARAMETER_COUNT + at]);
    return { name, mean, sd, priorMean: posterior.prior.mean[at], priorSd, pinned: sd < priorSd / 2 };
  });
}

function estimateBiases(posterior: Posterior): InstrumentBias[] {
  const { model } = posterior;
  return model.biases.map(({ key }, i) => {
    const [instrument, jaw] = JSON.parse(key) as [string, Jaw];
    const { mean, sd } = latentMoments(posterior, PARAMETER_COUNT + 2 * model.prints.length + i);
    return { instrument, jaw, meanMm: mean, sdMm: sd };
  });
}

function meanScatter(weighted: WeightedNodes, of: (node: Node) => number): number {
  return weighted.nodes.reduce((sum, node, i) => sum + weighted.weights[i] * of(node), 0);
}

/** Estimates a signature from observations already grouped; see estimateSignature. */
export function estimateFromObservations(
  observations: readonly Observation[],
  options: SignatureOptions,
): Signature {
  const { instruments, prior = lawPrior(), tries = [] } = options;
  const sorted = [...tries].sort(compareTries);
  const rows = [...observations.map(rowOfObservation), ...sorted.map(rowOfTry)];
  const model = assembleModel(rows, prior, instruments);
  const data = dataOf(model, observations);
  let solved: WeightedNodes & { dataOfNode: ModelData[] };
  if (sorted.length === 0) {
    const weighted = solveGrid(model, data);
    solved = { ...weighted, dataOfNode: weighted.nodes.map(() => data) };
  } else {
    const used = new Set(observationRows(model, observations));
    const free = model.rows.map((_, row) => row).filter((row) => !used.has(row));
    solved = solveWithTries(model, data, pairTries(model, free, sorted));
  }
  const posterior: Posterior = { ...solved, model, instruments, prior };
  return {
    parameters: estimateParameters(posterior),
    scatter: {
      featureMm: meanScatter(solved, (node) => node.tauB),
      printMm: meanScatter(solved, (node) => node.tauP),
    },
    biases: estimateBiases(posterior),
    observations,
    longestMm: Math.max(0, ...observations.map((observation) => observation.drawnMm)),
    posterior,
  };
}

function pairTries(model: Model, rows: readonly number[], tries: readonly Try[]): TryRow[] {
  const free = new Set(rows);
  return tries.map((attempt) => {
    const row = [...free].find(
      (at) => model.rows[at].feature === attempt.feature && model.rows[at].print === attempt.print,
    );
    if (row === undefined) throw new RangeError(`pairTries: no row for ${attempt.feature}`);
    free.delete(row);
    return { row, attempt };
  });
}

/**
 * The signature of a process: a hierarchical linear model of offset = size − drawn, with the habits of features, the
 * drift of prints and one bias per instrument and jaw; both scatters integrated over a fixed grid.
 * No readings at all give the prior. Equal inputs give equal outputs (nothing is sampled).
 * Source: the model of docs/methods.md §2; closed form after A. Gelman et al., Bayesian Data Analysis (2013) ch. 15.
 */
export function estimateSignature(
  readings: readonly SignatureReading[],
  options: SignatureOptions,
): Signature {
  return estimateFromObservations(groupObservations(readings, options.instruments), options);
}
