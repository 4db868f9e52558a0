import { backwardSolve, choleskyInPlace, forwardSolve } from '@/core/numerics';
import type { Model, ModelData } from './model';

/** One node of the grid over both scatters: τ_b of a feature's habit, τ_p from print to print; mm. */
export interface Scatter {
  readonly tauB: number;
  readonly tauP: number;
}

/** The Gaussian posterior of the latent vector at one node. */
export interface Node extends Scatter {
  /** Cholesky factor of the posterior precision, latentCount × latentCount row-major. */
  readonly factor: Float64Array;
  /** Posterior mean minus prior mean, length latentCount. */
  readonly shift: Float64Array;
  /** Log marginal likelihood of the data, up to a constant common to all nodes. */
  readonly logLikelihood: number;
}

/** Covariance of the errors of one feature's rows (size × size): own habit, chance of each print, noise; factored into `into`. */
function factorBlock(
  model: Model,
  data: ModelData,
  feature: number,
  { tauB, tauP }: Scatter,
  into: Float64Array,
): number {
  const from = model.block[feature];
  const size = model.block[feature + 1] - from;
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      const samePrint = model.printOfRow[from + i] === model.printOfRow[from + j];
      into[i * size + j] = tauB * tauB + (samePrint ? tauP * tauP : 0);
    }
    into[i * size + i] += data.variance[from + i];
  }
  if (choleskyInPlace(into, size) >= 0)
    throw new RangeError('factorBlock: covariance is not positive definite');
  return size;
}

/** Arrays that one node is solved in; made once for a whole grid where only the answer is kept. */
export interface NodeWorkspace {
  readonly factor: Float64Array;
  readonly shift: Float64Array;
  readonly blockFactor: Float64Array;
  readonly blockResidual: Float64Array;
  readonly whitened: Float64Array;
}

export function nodeWorkspace(model: Model): NodeWorkspace {
  let size = 1;
  for (let f = 0; f + 1 < model.block.length; f++) size = Math.max(size, model.block[f + 1] - model.block[f]);
  return {
    factor: new Float64Array(model.latentCount ** 2),
    shift: new Float64Array(model.latentCount),
    blockFactor: new Float64Array(size * size),
    blockResidual: new Float64Array(size),
    whitened: new Float64Array(size * model.latentCount),
  };
}

/** Twice the sum of the diagonal's logarithms, few logarithms at a time. */
function logDiagonal(factor: Float64Array, size: number): number {
  let sum = 0;
  let product = 1;
  for (let i = 0; i < size; i++) {
    product *= factor[i * size + i];
    if (product > 1e250 || product < 1e-250) {
      sum += Math.log(product);
      product = 1;
    }
  }
  return 2 * (sum + Math.log(product));
}

/** Adds one feature with several rows: whitened by the block's factor, then as independent rows of variance one. */
function addBlock(
  model: Model,
  data: ModelData,
  feature: number,
  scatter: Scatter,
  work: NodeWorkspace,
): number {
  const size = factorBlock(model, data, feature, scatter, work.blockFactor);
  const from = model.block[feature];
  const latent = model.latentCount;
  const { columns, values } = model.dense[feature]!;
  const { blockResidual, whitened, factor, shift, blockFactor } = work;
  let squares = 0;
  for (let i = 0; i < size; i++) blockResidual[i] = data.residual[from + i];
  forwardSolve(blockFactor, size, blockResidual);
  for (let i = 0; i < size; i++) squares += blockResidual[i] * blockResidual[i];
  for (let a = 0; a < columns.length; a++) {
    for (let i = 0; i < size; i++) whitened[a * size + i] = values[a * size + i];
    forwardSolve(blockFactor, size, whitened, a * size);
    for (let i = 0; i < size; i++) shift[columns[a]] += whitened[a * size + i] * blockResidual[i];
    for (let b = 0; b <= a; b++) {
      let dot = 0;
      for (let i = 0; i < size; i++) dot += whitened[a * size + i] * whitened[b * size + i];
      factor[columns[a] * latent + columns[b]] += dot;
    }
  }
  return squares + logDiagonal(blockFactor, size);
}

/**
 * Solves one node in `work` (its factor and shift are the answer) and gives the log marginal likelihood, up to a
 * constant common to all nodes. Features are independent given the latent vector, so each adds its own block to the
 * precision; those with one row (nearly all) come summed by variance.
 * Cost: variance classes × latentCount² + latentCount³/6, instead of the cube of the number of rows.
 */
export function solveNodeIn(work: NodeWorkspace, model: Model, data: ModelData, scatter: Scatter): number {
  const latent = model.latentCount;
  const { factor, shift } = work;
  factor.set(model.priorPrecision);
  shift.fill(0);
  const spread = scatter.tauB * scatter.tauB + scatter.tauP * scatter.tauP;
  // Σ squares of whitened residuals + log determinants
  let misfit = 0;
  for (const { variance, count, gram, moment, squares } of data.classes) {
    const weight = 1 / (variance + spread);
    misfit += weight * squares - count * Math.log(weight);
    for (let row = 0; row < latent; row++) {
      shift[row] += weight * moment[row];
      const end = row * latent + row;
      for (let i = row * latent; i <= end; i++) factor[i] += weight * gram[i];
    }
  }
  for (let feature = 0; feature < model.dense.length; feature++) {
    if (model.dense[feature] !== undefined) misfit += addBlock(model, data, feature, scatter, work);
  }
  if (choleskyInPlace(factor, latent) >= 0)
    throw new RangeError('solveNode: precision is not positive definite');
  forwardSolve(factor, latent, shift);
  let explained = 0;
  for (let i = 0; i < latent; i++) explained += shift[i] * shift[i];
  backwardSolve(factor, latent, shift);
  return -0.5 * (misfit + logDiagonal(factor, latent) - explained);
}

/** The posterior of one node in arrays of its own. */
export function solveNode(model: Model, data: ModelData, scatter: Scatter): Node {
  const work = nodeWorkspace(model);
  const logLikelihood = solveNodeIn(work, model, data, scatter);
  return { tauB: scatter.tauB, tauP: scatter.tauP, factor: work.factor, shift: work.shift, logLikelihood };
}

/** A feature's printed size at one node as a linear function of the latent vector, its own rows taken into account. */
export interface LatentSize {
  /** Mean of size − drawn, mm. */
  readonly offsetMm: number;
  /** Variance, mm²; without the drift of a print that the model has not seen. */
  readonly variance: number;
  /** Whitened coefficients L⁻¹a over the latent vector: dot products give covariances between features. */
  readonly whitened: Float64Array;
  /** Covariance of habit and chance with the rows of its own feature, whitened by their block; length rows. */
  readonly own: Float64Array;
  readonly feature: number;
}

interface LatentQuery {
  readonly columns: readonly number[];
  readonly values: readonly number[];
  /** Index into model.features, −1 when never measured. */
  readonly feature: number;
  /** Index into model.prints, −1 for a print to come. */
  readonly print: number;
}

/** Posterior of one feature's size at one node: the law's part plus its own habit (and chance, in a print already made). */
export function latentSize(
  model: Model,
  data: ModelData,
  node: Pick<Node, keyof Scatter | 'factor' | 'shift'>,
  query: LatentQuery,
): LatentSize {
  const latent = model.latentCount;
  const coefficients = new Float64Array(latent);
  let offset = 0;
  query.columns.forEach((column, i) => {
    coefficients[column] = query.values[i];
    offset += query.values[i] * model.priorMean[column];
  });
  const from = query.feature < 0 ? 0 : model.block[query.feature];
  const size = query.feature < 0 ? 0 : model.block[query.feature + 1] - from;
  const own = new Float64Array(size);
  let variance = node.tauB ** 2 + node.tauP ** 2;
  if (size > 0) {
    const factor = new Float64Array(size * size);
    factorBlock(model, data, query.feature, node, factor);
    for (let i = 0; i < size; i++) {
      own[i] = node.tauB ** 2 + (model.printOfRow[from + i] === query.print ? node.tauP ** 2 : 0);
    }
    forwardSolve(factor, size, own);
    const gain = own.slice();
    backwardSolve(factor, size, gain);
    for (let i = 0; i < size; i++) {
      variance -= own[i] * own[i];
      offset += gain[i] * data.residual[from + i];
      for (let at = model.start[from + i]; at < model.start[from + i + 1]; at++) {
        coefficients[model.column[at]] -= gain[i] * model.value[at];
      }
    }
  }
  for (let i = 0; i < latent; i++) offset += coefficients[i] * node.shift[i];
  forwardSolve(node.factor, latent, coefficients);
  for (let i = 0; i < latent; i++) variance += coefficients[i] * coefficients[i];
  return { offsetMm: offset, variance, whitened: coefficients, own, feature: query.feature };
}

/** Posterior covariance of two sizes at one node, mm²; `sharedMm2`: prior covariance of their habits and chances. */
export function latentCovariance(a: LatentSize, b: LatentSize, sharedMm2: number): number {
  let covariance = sharedMm2;
  for (let i = 0; i < a.whitened.length; i++) covariance += a.whitened[i] * b.whitened[i];
  if (a.feature >= 0 && a.feature === b.feature) {
    for (let i = 0; i < a.own.length; i++) covariance -= a.own[i] * b.own[i];
  }
  return covariance;
}
