import { jawOf } from '@/core/measure';
import { invertSymmetric } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import {
  DEFAULT_SHARES,
  DRIFT_EDGE_SD_MM,
  DRIFT_SCALE_SD,
  driftRow,
  groupObservations,
  type Kin,
  lawPrior,
  lawRow,
  type LawPrior,
  PARAMETER_NAMES,
  type Signature,
} from '@/core/signature';
import { INSTRUMENT, OPTIONS } from './world';

/** A profile that was measured: its kin, and its own signature for the scatters. */
export interface Measured {
  readonly kin: Kin;
  readonly signature: Signature;
}

const COUNT = PARAMETER_NAMES.length;

function shareBetween(a: Kin, b: Kin, i: number): number {
  const { printer, resin, both } = DEFAULT_SHARES[PARAMETER_NAMES[i]];
  const [samePrinter, sameResin] = [a.printer === b.printer, a.resin === b.resin];
  return samePrinter && sameResin ? both : samePrinter ? printer : sameResin ? resin : 0;
}

/** Prior covariance of the laws of two profiles. */
function lawsTogether(a: Kin, b: Kin, same: boolean): Float64Array {
  const { covariance } = lawPrior();
  return covariance.map((value, at) => {
    const [i, j] = [Math.floor(at / COUNT), at % COUNT];
    return same ? value : value * Math.sqrt(shareBetween(a, b, i) * shareBetween(a, b, j));
  });
}

function form(x: ArrayLike<number>, matrix: Float64Array, y: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < COUNT; i++) for (let j = 0; j < COUNT; j++) sum += x[i] * matrix[i * COUNT + j] * y[j];
  return sum;
}

/**
 * The prior of a new profile the long way: one dense Gaussian over the readings of all related profiles, measured with
 * the same jaws, at the scatters that each one's own signature found. It does not combine laws one by one.
 */
export function plainPrior(kin: Kin, relatives: readonly Measured[]): LawPrior {
  const prior = lawPrior();
  const rows = relatives.flatMap(({ kin: own, signature }, profile) =>
    groupObservations(
      signature.observations.flatMap(({ readings }) => readings),
      OPTIONS.instruments,
    ).map((observation) => ({
      observation,
      kin: own,
      profile,
      scatter: signature.scatter,
      x: lawRow(observation.kind, observation.drawnMm),
      drift: driftRow(observation.kind, observation.drawnMm),
    })),
  );
  const bias = INSTRUMENT.mpeMm ** 2 / 3;
  const size = rows.length;
  const among = new Float64Array(size * size);
  rows.forEach((a, i) =>
    rows.forEach((b, j) => {
      const same = a.profile === b.profile;
      let value = form(a.x, lawsTogether(a.kin, b.kin, same), b.x);
      const jaw = jawOf(a.observation.kind.sense);
      if (jaw !== undefined && jaw === jawOf(b.observation.kind.sense)) value += bias;
      if (same)
        value +=
          a.drift.edge * b.drift.edge * DRIFT_EDGE_SD_MM ** 2 +
          a.drift.scale * b.drift.scale * DRIFT_SCALE_SD ** 2;
      if (i === j) value += a.scatter.featureMm ** 2 + a.scatter.printMm ** 2 + a.observation.u_mm ** 2;
      among[i * size + j] = value;
    }),
  );
  const inverse = expectOk(invertSymmetric(among, size));
  const missed = rows.map(
    ({ observation, x }) =>
      observation.sizeMm - observation.drawnMm - x.reduce((sum, entry, i) => sum + entry * prior.mean[i], 0),
  );
  // Covariance of the new law with each row, count × size.
  const cross = new Float64Array(COUNT * size);
  rows.forEach(({ kin: other, x }, column) => {
    const shared = lawsTogether(kin, other, false);
    for (let i = 0; i < COUNT; i++)
      for (let j = 0; j < COUNT; j++) cross[i * size + column] += shared[i * COUNT + j] * x[j];
  });
  const mean = prior.mean.slice();
  const covariance = prior.covariance.slice();
  for (let i = 0; i < COUNT; i++) {
    const through = new Float64Array(size);
    for (let a = 0; a < size; a++)
      for (let b = 0; b < size; b++) through[b] += cross[i * size + a] * inverse[a * size + b];
    for (let b = 0; b < size; b++) mean[i] += through[b] * missed[b];
    for (let j = 0; j < COUNT; j++)
      for (let b = 0; b < size; b++) covariance[i * COUNT + j] -= through[b] * cross[j * size + b];
  }
  return { mean, covariance };
}
