import {
  boxProbability,
  choleskyInPlace,
  mixtureInterval,
  mixtureMoments,
  type NormalMixture,
} from '@/core/kit/numerics';
import type { FeatureKind, Limits, PartState } from '@/core/measure';
import type { Signature } from './estimate';
import { heaviestNodes } from './heaviest-nodes';
import { latentCovariance } from './latent-size';
import { sharedParts } from './layout';
import type { PlatePlace } from './law';
import { latentSizes, mixtureOf, predictOffset, predictSize, reachesBeyond, type SizeQuery } from './predict';

/** A size wanted of the finished part. */
export interface Target extends Limits {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly targetMm: number;
  /** Its place on the plate; left out if unknown. */
  readonly place?: PlatePlace;
  /** State in which the limits count; default that of the signature. */
  readonly state?: PartState;
  readonly coatMm?: number;
  /** Standard uncertainty of the mate that the limits were taken from, mm: a fit is judged with it, a size is not. */
  readonly mateU_mm?: number;
}

export interface DrawOptions {
  /** Pixel pitch, mm, without anti-aliasing; see SizeQuery. */
  readonly pixelMm?: number;
  /** Layer height, mm: heights are drawn in whole layers. */
  readonly layerMm?: number;
}

/** What to draw so that the print's middle is the middle of the limits, and what that is worth. */
export interface DrawnSize {
  readonly feature: string;
  readonly drawMm: number;
  readonly predictedMm: number;
  readonly sdMm: number;
  /** Chance that one more print of it lands in tolerance. */
  readonly inTolerance: number;
  /** More than 1.5 × the longest size measured. */
  readonly reachesBeyond: boolean;
}

function middleOf({ targetMm, lowerDeviationMm, upperDeviationMm }: Target): number {
  return targetMm + (lowerDeviationMm + upperDeviationMm) / 2;
}

/** A target drawn at a size, as a question to the signature. */
export function queryOf(target: Target, drawnMm: number, { pixelMm }: DrawOptions): SizeQuery {
  const { kind, feature, place, state, coatMm } = target;
  return { kind, feature, drawnMm, place, state, coatMm, pixelMm };
}

/** A printed size as its mate meets it: the mate's own uncertainty added. */
function mated({ mateU_mm = 0 }: Target, printed: NormalMixture): NormalMixture {
  return mateU_mm === 0
    ? printed
    : { ...printed, variances: printed.variances.map((each) => each + mateU_mm ** 2) };
}

/** Printed size at a drawn size, as its mate meets it. */
export function predictMated(
  signature: Signature,
  target: Target,
  drawMm: number,
  options: DrawOptions = {},
): NormalMixture {
  return mated(target, predictSize(signature, queryOf(target, drawMm, options)));
}

/** Solves drawn + offset(drawn) = wanted by the secant method; the law is all but linear, so a few steps do. */
function solveDrawn(wantedMm: number, offset: (drawnMm: number) => number): number {
  let before = wantedMm;
  let missBefore = offset(before);
  let drawn = wantedMm - missBefore;
  for (let i = 0; i < 60; i++) {
    const miss = drawn + offset(drawn) - wantedMm;
    if (Math.abs(miss) < 1e-11 * Math.max(1, wantedMm) || miss === missBefore) break;
    const next = drawn - (miss * (drawn - before)) / (miss - missBefore);
    before = drawn;
    missBefore = miss;
    drawn = next;
  }
  return drawn;
}

/** A drawn size with its printed size as its mate meets it. */
export interface MatedSize {
  readonly drawn: DrawnSize;
  readonly met: NormalMixture;
}

/** What a feature drawn at `drawMm` is worth against its target, and what its mate will meet. */
export function assessMated(
  signature: Signature,
  target: Target,
  drawMm: number,
  options: DrawOptions = {},
): MatedSize {
  const printed = predictSize(signature, queryOf(target, drawMm, options));
  const { mean, sd } = mixtureMoments(printed);
  const met = mated(target, printed);
  const { targetMm, lowerDeviationMm, upperDeviationMm } = target;
  const drawn = {
    feature: target.feature,
    drawMm,
    predictedMm: mean,
    sdMm: sd,
    inTolerance: mixtureInterval(met, targetMm + lowerDeviationMm, targetMm + upperDeviationMm),
    reachesBeyond: reachesBeyond(signature, drawMm),
  };
  return { drawn, met };
}

/** What a feature drawn at `drawMm` is worth against its target. */
export function assessDrawn(
  signature: Signature,
  target: Target,
  drawMm: number,
  options: DrawOptions = {},
): DrawnSize {
  return assessMated(signature, target, drawMm, options).drawn;
}

/** Heights round to whole layers. */
export function snapToLayers(drawnMm: number, kind: FeatureKind, layerMm: number | undefined): number {
  return layerMm === undefined || kind.axis !== 'Z'
    ? drawnMm
    : Math.max(1, Math.round(drawnMm / layerMm)) * layerMm;
}

/**
 * The size to draw: its predicted mean is the middle of the limits; heights in whole layers when a layer is given.
 * Example: on the prior alone a 10 ± 0.1 shaft is drawn near 9.97, since edges are expected to grow by 0.03.
 */
export function drawTarget(signature: Signature, target: Target, options: DrawOptions = {}): DrawnSize {
  const wanted = middleOf(target);
  const drawn = solveDrawn(wanted, (drawnMm) => predictOffset(signature, queryOf(target, drawnMm, options)));
  return assessDrawn(signature, target, snapToLayers(drawn, target.kind, options.layerMm), options);
}

const LATTICE_POINTS = 4096;
const LEAST_POINTS = 64;

/** A target with its drawn size. */
export interface DrawnTarget {
  readonly target: Target;
  readonly drawMm: number;
}

/** Sizes of one print at the nodes that weigh, and the covariance among them at each. */
export interface JointSizes {
  readonly nodes: readonly number[];
  readonly mixtures: readonly NormalMixture[];
  /** Covariance of the sizes at a node, row-major, mm²; a new array each time. */
  readonly covarianceAt: (node: number) => Float64Array;
  /** Variance of a size at a node without what its mate and the pixels add, mm². */
  readonly latentVarianceAt: (node: number, size: number) => number;
}

/** The drawn targets of one print together, their shared law and drift counted. */
export function jointSizes(
  signature: Signature,
  drawn: readonly DrawnTarget[],
  options: DrawOptions = {},
): JointSizes {
  const { posterior } = signature;
  const queries = drawn.map(({ target, drawMm }) => queryOf(target, drawMm, options));
  const sizes = queries.map((query) => latentSizes(signature, query));
  const mixtures = drawn.map(({ target }, i) => mated(target, mixtureOf(signature, queries[i], sizes[i])));
  const shared = sizes.map(([a]) => sizes.map(([b]) => sharedParts(a.row, b.row)));
  const count = drawn.length;
  const covarianceAt = (node: number) => {
    const covariance = new Float64Array(count * count);
    for (let i = 0; i < count; i++) {
      for (let j = 0; j < i; j++) {
        covariance[i * count + j] = covariance[j * count + i] = latentCovariance(
          sizes[i][node],
          sizes[j][node],
          posterior.nodes[node],
          shared[i][j],
        );
      }
      covariance[i * count + i] = mixtures[i].variances[node];
    }
    return covariance;
  };
  const latentVarianceAt = (node: number, size: number) => sizes[size][node].variance;
  return { nodes: heaviestNodes(posterior.weights), mixtures, covarianceAt, latentVarianceAt };
}

/** Chance that sizes of one print all lie within the limits of their targets. Error below 0.003. */
export function chanceOfAll(
  { posterior: { weights } }: Signature,
  { nodes, mixtures, covarianceAt }: JointSizes,
  drawn: readonly DrawnTarget[],
): number {
  const limits = drawn.map(({ target }) => [
    target.targetMm + target.lowerDeviationMm,
    target.targetMm + target.upperDeviationMm,
  ]);
  const kept = nodes.reduce((sum, node) => sum + weights[node], 0);
  return nodes.reduce((chance, node) => {
    const covariance = covarianceAt(node);
    if (choleskyInPlace(covariance, drawn.length) >= 0)
      throw new RangeError('chanceOfAll: targets must be different features');
    const lower = Float64Array.from(limits, ([low], i) => low - mixtures[i].means[node]);
    const upper = Float64Array.from(limits, ([, high], i) => high - mixtures[i].means[node]);
    const share = weights[node] / kept;
    const points = Math.max(LEAST_POINTS, Math.round(LATTICE_POINTS * share));
    return chance + share * boxProbability(covariance, { lower, upper }, points);
  }, 0);
}

/**
 * Chance that one print of all drawn targets has every one in tolerance, their shared law and drift counted.
 * Targets are different features of one print. Error below 0.003.
 */
export function jointChance(
  signature: Signature,
  drawn: readonly DrawnTarget[],
  options: DrawOptions = {},
): number {
  if (drawn.length === 0) return 1;
  if (drawn.length > 1) return chanceOfAll(signature, jointSizes(signature, drawn, options), drawn);
  const [{ target, drawMm }] = drawn;
  return assessDrawn(signature, target, drawMm, options).inTolerance;
}
