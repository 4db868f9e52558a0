import { halfWidth95 } from '@/core/kit/numerics';
import type { Sense } from './feature';
import type { Instrument } from './instrument';
import { meanOf, type PooledScatter, repeatU, scatterOfReading } from './size';

/** One size read near the plate and higher up, in one sitting with one caliper; lengths mm. */
export interface FootReading {
  readonly sense: Sense;
  readonly lowMm: readonly number[];
  readonly highMm: readonly number[];
  readonly instrument: Instrument;
}

/** How far the first layers flare, outwards on each face; mm. */
export interface Flare {
  readonly flareMm: number;
  readonly u_mm: number;
  /** Sizes that it was read on. */
  readonly count: number;
}

/**
 * The flare of one size per face: half of what it is larger near the plate than higher up (smaller where it is inside).
 * Zero, jaws and warmth are in both and cancel. undefined for a centre distance, or where one of the two was not read.
 * Example: a bar of 20.21 at the plate and 20.03 above flares by 0.09.
 */
export function flareOf(
  { sense, lowMm, highMm, instrument }: FootReading,
  pooled?: PooledScatter,
): Flare | undefined {
  if (sense === 'pitch' || lowMm.length === 0 || highMm.length === 0) return undefined;
  const side = sense === 'outside' ? 1 : -1;
  const [uLow, uHigh] = [lowMm, highMm].map(({ length }) =>
    repeatU(length, scatterOfReading(length, instrument, pooled), instrument.resolutionMm),
  );
  return {
    flareMm: (side * (meanOf(lowMm) - meanOf(highMm))) / 2,
    u_mm: Math.hypot(uLow, uHigh) / 2,
    count: 1,
  };
}

/**
 * The flare of a print from those of its sizes: the mean, its u by how well each was read and by how far they lie apart,
 * whichever is more. undefined without any.
 */
export function flareOfPrint(flares: readonly Flare[]): Flare | undefined {
  if (flares.length === 0) return undefined;
  const weights = flares.map(({ u_mm }) => 1 / u_mm ** 2);
  const sum = weights.reduce((a, b) => a + b, 0);
  const flareMm = flares.reduce((total, flare, i) => total + weights[i] * flare.flareMm, 0) / sum;
  const apart = flares.reduce((total, flare, i) => total + weights[i] * (flare.flareMm - flareMm) ** 2, 0);
  const spread = flares.length === 1 ? 0 : apart / (flares.length - 1);
  return { flareMm, u_mm: Math.sqrt(Math.max(1, spread) / sum), count: flares.length };
}

/** A chamfer at 45° round the lower edge that the first layers fill with their flare. */
export interface Chamfer {
  readonly legMm: number;
  readonly layers: number;
}

/** Leg = flare + U in whole layers; undefined if there is no significant flare (its U reaches zero). */
export function chamferFor({ flareMm, u_mm }: Flare, layerMm: number): Chamfer | undefined {
  const U = halfWidth95(u_mm);
  if (!(flareMm - U > 0)) return undefined;
  const layers = Math.ceil((flareMm + U) / layerMm - 1e-9);
  return { legMm: Math.round(layers * layerMm * 1e4) / 1e4, layers };
}
