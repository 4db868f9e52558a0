import { expectOk } from '@/core/kit';
import type { FeatureKind, PartState } from '@/core/measure';
import { invertSymmetric } from '@/core/kit/numerics';
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
  /** The run that it came out of; default its own. */
  readonly run?: string;
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

/** A change since prints were made, as shares that it forgets of each parameter and of the shifts. */
interface PlainChange {
  readonly forgets: readonly number[];
  readonly forgetsShifts: number;
  /** By how much it moved each parameter, and the sd of that. */
  readonly moved: readonly { readonly mean: number; readonly sd: number }[];
}

interface World {
  readonly scatter: Scatter;
  readonly mpeOf: (bias: string) => number;
  readonly base: ShiftedState;
  /** Newest first; and how many of them came after a print. */
  readonly changes?: readonly PlainChange[];
  readonly changesSince?: (print: string) => number;
}

/** What two times have of a parameter in common: the correlation of its values, by the changes between. */
function inCommon(world: World, a: string, b: string, forgets: (change: PlainChange) => number): number {
  const { changes = [], changesSince = () => 0 } = world;
  const [newer, older] = [changesSince(a), changesSince(b)].sort((i, j) => i - j);
  return changes.slice(newer, older).reduce((product, change) => product * Math.sqrt(1 - forgets(change)), 1);
}

/** Mean of the law when a print was made, and variance that is all of that time: what the changes since moved. */
function moves(world: World, print: string, i: number, other = print) {
  const { changes = [], changesSince = () => 0 } = world;
  let mean = 0;
  let variance = 0;
  const [own, others] = [changesSince(print), changesSince(other)];
  changes.slice(0, own).forEach(({ forgets, moved }, at) => {
    const kept = Math.sqrt(1 - forgets[i]);
    mean = kept * (mean - moved[i].mean);
    const shared = at < others ? kept * kept * moved[i].sd ** 2 : 0;
    variance = kept * (at < others ? kept : 1) * variance + shared;
  });
  return { mean, variance };
}

const SHIFT = 'shift of ';

/** Factors of independent unknowns with their prior variances, and the law's row beside them. */
function unknownsOf(size: PlainSize, { scatter, mpeOf, base }: World) {
  const { feature, print, run = print, kind, drawnMm, state = 'cured', bias, warmth } = size;
  const drift = driftRow(kind, drawnMm);
  const list: [name: string, factor: number, variance: number, mean: number][] = [
    [`repeatable deviation of ${feature}`, 1, scatter.tauB ** 2, 0],
    [`chance of ${feature} in ${print}`, 1, scatter.tauP ** 2, 0],
    [`edge of ${run}`, drift.edge, DRIFT_EDGE_SD_MM ** 2, 0],
    [`scale of ${run}`, drift.scale, DRIFT_SCALE_SD ** 2, 0],
  ];
  if (bias !== undefined) list.push([bias, 1, mpeOf(bias) ** 2 / 3, 0]);
  if (warmth !== undefined) list.push([`warmth of ${warmth.sitting}`, drawnMm, warmth.u ** 2, 0]);
  if (state !== base && state !== 'coated') {
    const { mean, sd } = shiftPrior(state, base);
    list.push([`${SHIFT}${state} along ${kind.axis === 'Z' ? 'Z' : 'XY'}`, drawnMm, sd ** 2, mean]);
  }
  return list;
}

function meanOf(size: PlainSize, world: World): number {
  const { mean } = lawPrior();
  const law = lawRow(size.kind, size.drawnMm, size.place).reduce(
    (sum, entry, i) => sum + entry * (mean[i] + moves(world, size.print, i).mean),
    0,
  );
  return unknownsOf(size, world).reduce((sum, [, factor, , each]) => sum + factor * each, law);
}

function covarianceOf(a: PlainSize, b: PlainSize, world: World): number {
  const { covariance } = lawPrior();
  const [xa, xb] = [lawRow(a.kind, a.drawnMm, a.place), lawRow(b.kind, b.drawnMm, b.place)];
  let sum = 0;
  // Of two parameters, the one of the older time has forgotten what the changes between forget of it.
  const since = world.changesSince ?? (() => 0);
  const oldB = since(b.print) >= since(a.print);
  for (let i = 0; i < PARAMETER_COUNT; i++) {
    for (let j = 0; j < PARAMETER_COUNT; j++) {
      const forgetting = oldB ? j : i;
      const common = inCommon(world, a.print, b.print, ({ forgets }) => forgets[forgetting]);
      sum += xa[i] * covariance[i * PARAMETER_COUNT + j] * common * xb[j];
    }
    sum += xa[i] * moves(world, oldB ? b.print : a.print, i, oldB ? a.print : b.print).variance * xb[i];
  }
  const shiftsAlike = inCommon(world, a.print, b.print, ({ forgetsShifts }) => forgetsShifts);
  const others = new Map(unknownsOf(b, world).map(([name, factor]) => [name, factor]));
  for (const [name, factor, variance] of unknownsOf(a, world))
    sum += factor * variance * (others.get(name) ?? 0) * (name.startsWith(SHIFT) ? shiftsAlike : 1);
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
