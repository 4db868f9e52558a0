import { expectOk } from '@/core/result';
import type { FeatureKind, PartState } from '@/core/metrology';
import { invertSymmetric } from '@/core/numerics';
import {
  DRIFT_EDGE_SD_MM,
  DRIFT_SCALE_SD,
  driftRow,
  lawPrior,
  lawRow,
  PARAMETER_COUNT,
  type PlatePlace,
} from '@/core/signature/law';
import type { Scatter } from '@/core/signature/scatter-grid';
import { shiftPrior, type ShiftedState } from '@/core/signature/states';

/** A size as a sum of unknowns, each with its factor. */
interface PlainSize {
  readonly feature: string;
  readonly print: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly state?: PartState;
  readonly place?: PlatePlace;
  /** Name of the jaw whose bias is in it. */
  readonly bias?: string;
  readonly warmth?: { readonly sitting: string; readonly u: number };
}

/** A size that was read: offset from drawn and the variance of its noise, mm and mm². */
export interface PlainReading extends PlainSize {
  readonly offsetMm: number;
  readonly variance: number;
}

interface World {
  readonly scatter: Scatter;
  readonly mpeOf: (bias: string) => number;
  readonly base: ShiftedState;
}

/** Factors of independent unknowns with their prior variances, and the law's row beside them. */
function unknownsOf(size: PlainSize, { scatter, mpeOf, base }: World) {
  const { feature, print, kind, drawnMm, state = 'cured', bias, warmth } = size;
  const drift = driftRow(kind, drawnMm);
  const list: [name: string, factor: number, variance: number, mean: number][] = [
    [`habit of ${feature}`, 1, scatter.tauB ** 2, 0],
    [`chance of ${feature} in ${print}`, 1, scatter.tauP ** 2, 0],
    [`edge of ${print}`, drift.edge, DRIFT_EDGE_SD_MM ** 2, 0],
    [`scale of ${print}`, drift.scale, DRIFT_SCALE_SD ** 2, 0],
  ];
  if (bias !== undefined) list.push([bias, 1, mpeOf(bias) ** 2 / 3, 0]);
  if (warmth !== undefined) list.push([`warmth of ${warmth.sitting}`, drawnMm, warmth.u ** 2, 0]);
  if (state !== base && state !== 'coated') {
    const { mean, sd } = shiftPrior(state, base);
    list.push([`${state} along ${kind.axis === 'Z' ? 'Z' : 'XY'}`, drawnMm, sd ** 2, mean]);
  }
  return list;
}

function meanOf(size: PlainSize, world: World): number {
  const { mean } = lawPrior();
  const law = lawRow(size.kind, size.drawnMm, size.place).reduce((sum, entry, i) => sum + entry * mean[i], 0);
  return unknownsOf(size, world).reduce((sum, [, factor, , each]) => sum + factor * each, law);
}

function covarianceOf(a: PlainSize, b: PlainSize, world: World): number {
  const { covariance } = lawPrior();
  const [xa, xb] = [lawRow(a.kind, a.drawnMm, a.place), lawRow(b.kind, b.drawnMm, b.place)];
  let sum = 0;
  for (let i = 0; i < PARAMETER_COUNT; i++)
    for (let j = 0; j < PARAMETER_COUNT; j++) sum += xa[i] * covariance[i * PARAMETER_COUNT + j] * xb[j];
  const others = new Map(unknownsOf(b, world).map(([name, factor]) => [name, factor]));
  for (const [name, factor, variance] of unknownsOf(a, world))
    sum += factor * variance * (others.get(name) ?? 0);
  return sum;
}

/**
 * The posterior the long way: one dense Gaussian over all readings, written down entry by entry. Only for tests: it knows
 * nothing of groups, shared columns or nodes.
 */
export class PlainModel {
  private readonly inverse: Float64Array;
  private readonly residual: Float64Array;
  /** Log likelihood of the readings, up to a constant. */
  readonly logLikelihood: number;

  constructor(
    private readonly readings: readonly PlainReading[],
    private readonly world: World,
  ) {
    const count = readings.length;
    const covariance = new Float64Array(count * count);
    readings.forEach((a, i) =>
      readings.forEach((b, j) => {
        covariance[i * count + j] = covarianceOf(a, b, world) + (i === j ? a.variance : 0);
      }),
    );
    this.inverse = expectOk(invertSymmetric(covariance, count));
    this.residual = Float64Array.from(readings, (reading) => reading.offsetMm - meanOf(reading, world));
    this.logLikelihood = -0.5 * (this.dot(this.residual, this.residual) + logDeterminant(covariance, count));
  }

  /** Mean of the offset and covariance with another size, given all readings. */
  meanMm(size: PlainSize): number {
    return meanOf(size, this.world) + this.dot(this.cross(size), this.residual);
  }

  covariance(a: PlainSize, b: PlainSize): number {
    return covarianceOf(a, b, this.world) - this.dot(this.cross(a), this.cross(b));
  }

  private cross(size: PlainSize): Float64Array {
    return Float64Array.from(this.readings, (reading) => covarianceOf(size, reading, this.world));
  }

  private dot(a: Float64Array, b: Float64Array): number {
    let sum = 0;
    for (let i = 0; i < a.length; i++)
      for (let j = 0; j < b.length; j++) sum += a[i] * this.inverse[i * b.length + j] * b[j];
    return sum;
  }
}

/** By elimination, without a factor. */
function logDeterminant(matrix: Float64Array, count: number): number {
  const rest = matrix.slice();
  let sum = 0;
  for (let k = 0; k < count; k++) {
    sum += Math.log(rest[k * count + k]);
    for (let i = k + 1; i < count; i++) {
      const factor = rest[i * count + k] / rest[k * count + k];
      for (let j = k; j < count; j++) rest[i * count + j] -= factor * rest[k * count + j];
    }
  }
  return sum;
}
