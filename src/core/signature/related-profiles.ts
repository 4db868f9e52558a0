import { choleskyInPlace, forwardSolve, invertSymmetric } from '@/core/kit/numerics';
import { expectOk, fail, ok, type Result } from '@/core/kit';
import { lawPrior, type LawPrior, PARAMETER_COUNT, PARAMETER_NAMES, type ParameterName } from './law';

/** Shares of a parameter's prior variance that two profiles have in common. */
export interface Shares {
  /** They run on the same printer. */
  readonly printer: number;
  /** They cure the same resin. */
  readonly resin: number;
  /** Both: another lot, film or day. */
  readonly both: number;
}

export type ShareTable = Readonly<Record<ParameterName, Shares>>;

function shares(printer: number, resin: number): Shares {
  return { printer, resin, both: 0.95 };
}

/** Default values, our own estimates: what belongs to the printer, what to the resin. Settings can change them. */
export const DEFAULT_SHARES: ShareTable = Object.freeze({
  epsilonX: shares(0.2, 0.5),
  epsilonY: shares(0.2, 0.5),
  skew: shares(0.8, 0),
  epsilonZ: shares(0.3, 0.4),
  edge: shares(0.3, 0.4),
  insideExtra: shares(0.3, 0.3),
  roundExtra: shares(0.2, 0.2),
  zSupported: shares(0.1, 0.6),
  zPlate: shares(0.6, 0.2),
  leanX: shares(0.9, 0),
  leanY: shares(0.9, 0),
});

/** A signature from another shop says this share of what it would say if it were ours. */
const FOREIGN = 0.5;

/** Which printer and which resin a profile is of. */
export interface Kin {
  readonly printer: string;
  readonly resin: string;
}

/** A profile that was measured, with the law that its readings gave. */
export interface RelatedProfile {
  readonly kin: Kin;
  /** Imported from another shop. */
  readonly foreign?: boolean;
  readonly mean: ArrayLike<number>;
  /** Over the parameters, row-major. */
  readonly covariance: ArrayLike<number>;
  /** The prior that its law was learned from; default that of a profile without related profiles. */
  readonly prior?: LawPrior;
}

/** Share of a parameter that two profiles have in common, 0 where they share neither machine nor resin. */
function shareOf(a: Kin, b: Kin, { printer, resin, both }: Shares): number {
  const samePrinter = a.printer === b.printer;
  const sameResin = a.resin === b.resin;
  return samePrinter && sameResin ? both : samePrinter ? printer : sameResin ? resin : 0;
}

type SharesIssue = { readonly code: 'sharesTooLarge'; readonly parameter: ParameterName };

/** A table of shares can stand only where machine and resin together have no more in common than both. */
export function checkShares(table: ShareTable): Result<ShareTable, SharesIssue> {
  const wrong = PARAMETER_NAMES.find((name) => {
    const { printer, resin, both } = table[name];
    return !(printer >= 0 && resin >= 0 && printer + resin <= both && both < 1);
  });
  return wrong === undefined ? ok(table) : fail({ code: 'sharesTooLarge', parameter: wrong });
}

/**
 * Returns what the readings of a related profile add to its own prior: information V⁻¹ − C₀⁻¹ and V⁻¹m − C₀⁻¹M₀, never
 * below zero: readings cannot remove knowledge, though a mixture over scatters can seem to. Directions where that
 * happens are left out.
 */
function informationOf({ mean, covariance, prior = lawPrior() }: RelatedProfile, own: LawPrior) {
  const count = PARAMETER_COUNT;
  const after = expectOk(invertSymmetric(Float64Array.from(covariance), count));
  const before = expectOk(invertSymmetric(prior.covariance, count));
  const information = after.map((value, at) => value - before[at]);
  // A mean that stands for this information alone, seen from the prior of the new profile.
  const moment = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++) {
      const at = i * count + j;
      moment[i] += after[at] * mean[j] - before[at] * prior.mean[j] - information[at] * own.mean[j];
    }
  }
  return withoutNegative(information, moment);
}

/** Takes directions of negative information out of a symmetric matrix and its moment, by Jacobi's rotations. */
function withoutNegative(information: Float64Array, moment: Float64Array) {
  const count = PARAMETER_COUNT;
  const scaled = scaleOf(information);
  if (choleskyInPlace(scaled.matrix.slice(), count) < 0) return { information, moment };
  const { values, vectors } = eigenOf(scaled.matrix, count);
  const kept = new Float64Array(count * count);
  const told = new Float64Array(count);
  for (let k = 0; k < count; k++) {
    if (values[k] <= 0) continue;
    let along = 0;
    for (let i = 0; i < count; i++) along += (vectors[i * count + k] * moment[i]) / scaled.by[i];
    for (let i = 0; i < count; i++) {
      told[i] += scaled.by[i] * vectors[i * count + k] * along;
      for (let j = 0; j < count; j++)
        kept[i * count + j] +=
          scaled.by[i] * scaled.by[j] * values[k] * vectors[i * count + k] * vectors[j * count + k];
    }
  }
  return { information: kept, moment: told };
}

/** Parameters differ in size by thousands: brought to like size before directions are looked at. */
function scaleOf(matrix: Float64Array) {
  const count = PARAMETER_COUNT;
  const by = Float64Array.from({ length: count }, (_, i) => Math.sqrt(Math.abs(matrix[i * count + i])) || 1);
  return {
    by,
    matrix: matrix.map((value, at) => value / (by[Math.floor(at / count)] * by[at % count])),
  };
}

/** Eigenvalues and eigenvectors (as columns) of a symmetric matrix. Source: C. G. J. Jacobi's cyclic rotations. */
function eigenOf(matrix: Float64Array, count: number) {
  const a = matrix.slice();
  const vectors = new Float64Array(count * count);
  for (let i = 0; i < count; i++) vectors[i * count + i] = 1;
  const rotate = (p: number, q: number) => {
    if (a[p * count + q] === 0) return;
    const theta = (a[q * count + q] - a[p * count + p]) / (2 * a[p * count + q]);
    const t = Math.sign(theta || 1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
    const c = 1 / Math.sqrt(t * t + 1);
    const s = t * c;
    for (let k = 0; k < count; k++) {
      const [kp, kq] = [a[k * count + p], a[k * count + q]];
      [a[k * count + p], a[k * count + q]] = [c * kp - s * kq, s * kp + c * kq];
    }
    for (let k = 0; k < count; k++) {
      const [pk, qk] = [a[p * count + k], a[q * count + k]];
      [a[p * count + k], a[q * count + k]] = [c * pk - s * qk, s * pk + c * qk];
      const [vp, vq] = [vectors[k * count + p], vectors[k * count + q]];
      [vectors[k * count + p], vectors[k * count + q]] = [c * vp - s * vq, s * vp + c * vq];
    }
  };
  for (let sweep = 0; sweep < 30; sweep++)
    for (let p = 0; p < count; p++) for (let q = p + 1; q < count; q++) rotate(p, q);
  return { values: Float64Array.from({ length: count }, (_, i) => a[i * count + i]), vectors };
}

/** Prior covariance between two profiles: √(sᵢ·sⱼ)·C₀, so that the one pair that is correlated stays so. */
function crossPrior(a: Kin, b: Kin, { own, table, foreign }: CrossOptions): Float64Array {
  const roots = PARAMETER_NAMES.map((name) =>
    Math.sqrt(shareOf(a, b, table[name]) * (foreign ? FOREIGN : 1)),
  );
  return own.covariance.map(
    (value, at) => value * roots[Math.floor(at / PARAMETER_COUNT)] * roots[at % PARAMETER_COUNT],
  );
}

interface CrossOptions {
  readonly own: LawPrior;
  readonly table: ShareTable;
  readonly foreign: boolean;
}

/**
 * Returns the prior of a profile from related profiles: all profiles together are one Gaussian with the shares between
 * them; each related profile adds what its readings added, and the new one is what remains. `own`: its prior without
 * related profiles, which is returned if there are none. Source: docs/methods.md §2, related profiles; conditioning of
 * a joint Gaussian.
 */
export function priorFromRelatedProfiles(
  kin: Kin,
  relatives: readonly RelatedProfile[],
  own: LawPrior = lawPrior(),
  table: ShareTable = DEFAULT_SHARES,
): LawPrior {
  if (relatives.length === 0) return own;
  const count = PARAMETER_COUNT;
  const size = relatives.length * count;
  const told = relatives.map((relative) => informationOf(relative, own));
  // 1. Covariance of the related profiles among themselves (K) and with the new profile (D).
  const among = new Float64Array(size * size);
  const withNew = new Float64Array(size * count);
  relatives.forEach((a, i) => {
    place(
      withNew,
      count,
      { row: i * count, column: 0 },
      crossPrior(a.kin, kin, { own, table, foreign: a.foreign === true }),
    );
    relatives.forEach((b, j) => {
      const foreign = (a.foreign === true) !== (b.foreign === true);
      const block = i === j ? own.covariance : crossPrior(a.kin, b.kin, { own, table, foreign });
      place(among, size, { row: i * count, column: j * count }, block);
    });
  });
  // 2. Posterior of their deviations: (K⁻¹ + Λ)⁻¹ = K − K·(Λ⁻¹ + K)⁻¹·K, written without Λ⁻¹ as G = (I + ΛK)⁻¹.
  const precision = expectOk(invertSymmetric(among, size));
  const cut = precision.slice();
  const moment = new Float64Array(size);
  told.forEach(({ information, moment: own_ }, i) => {
    for (let a = 0; a < count; a++) {
      moment[i * count + a] = own_[a];
      for (let b = 0; b < count; b++)
        cut[(i * count + a) * size + i * count + b] += information[a * count + b];
    }
  });
  const posterior = expectOk(invertSymmetric(cut, size));
  // 3. The new profile follows them by W = K⁻¹·D.
  const follow = multiply(precision, withNew, size, count);
  const shift = multiply(posterior, moment, size, 1);
  const mean = own.mean.slice();
  for (let i = 0; i < count; i++) for (let k = 0; k < size; k++) mean[i] += follow[k * count + i] * shift[k];
  const narrowed = multiply(posterior, follow, size, count);
  const covariance = own.covariance.slice();
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++) {
      let sum = 0;
      for (let k = 0; k < size; k++)
        sum += follow[k * count + i] * (narrowed[k * count + j] - withNew[k * count + j]);
      covariance[i * count + j] += sum;
    }
  }
  return { mean, covariance };
}

function place(
  into: Float64Array,
  width: number,
  { row, column }: { readonly row: number; readonly column: number },
  block: Float64Array,
): void {
  for (let i = 0; i < PARAMETER_COUNT; i++)
    for (let j = 0; j < PARAMETER_COUNT; j++)
      into[(row + i) * width + column + j] = block[i * PARAMETER_COUNT + j];
}

/** Square (size × size) times size × width, row-major. */
function multiply(square: Float64Array, other: Float64Array, size: number, width: number): Float64Array {
  const product = new Float64Array(size * width);
  for (let i = 0; i < size; i++)
    for (let k = 0; k < size; k++)
      for (let j = 0; j < width; j++) product[i * width + j] += square[i * size + k] * other[k * width + j];
  return product;
}

/**
 * Returns how far a measured law is from the prediction by related profiles, in standard deviations of the difference:
 * with readings of its own, how many of sd the mean was moved. Above 3 the related profiles mislead.
 */
export function contradiction(
  prior: LawPrior,
  mean: ArrayLike<number>,
  covariance: ArrayLike<number>,
): number {
  // The move has the covariance prior − posterior (readings only narrow).
  const count = PARAMETER_COUNT;
  const moved = Float64Array.from(mean, (value, i) => value - prior.mean[i]);
  const spread = prior.covariance.map((value, at) => value - covariance[at]);
  // Directions that nothing was learned of cannot be moved: a floor of a millionth keeps the solve regular.
  for (let i = 0; i < count; i++) spread[i * count + i] += 1e-6 * prior.covariance[i * count + i];
  if (choleskyInPlace(spread, count) >= 0) return 0;
  forwardSolve(spread, count, moved);
  return Math.sqrt(moved.reduce((sum, value) => sum + value * value, 0) / count);
}

/** A parameter's spread before any data, after related profiles, and after readings. */
interface Narrowed {
  readonly priorSd: number;
  readonly lentSd: number;
  readonly sd: number;
}

/**
 * Returns the share of the knowledge beyond the prior that related profiles added, 0 … 1: of the information of each
 * parameter, averaged over those with any. 0 if there is none. Example: a parameter narrowed by related profiles from
 * 0.05 to 0.025 and by readings further to 0.01 → 0.125.
 */
export function weightOfRelatedProfiles(parameters: readonly Narrowed[]): number {
  const shares = parameters.flatMap(({ priorSd, lentSd, sd }) => {
    const lent = Math.max(0, 1 / lentSd ** 2 - 1 / priorSd ** 2);
    const known = lent + Math.max(0, 1 / sd ** 2 - 1 / lentSd ** 2);
    return known * priorSd ** 2 < 1e-6 ? [] : [lent / known];
  });
  return shares.length === 0 ? 0 : shares.reduce((sum, share) => sum + share, 0) / shares.length;
}
