import { choleskyInPlace } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { lawPrior, PARAMETER_COUNT, PARAMETER_NAMES, type ParameterName } from './law';

/** Mean and covariance (row-major) over the parameters, as a file or a table holds them. */
export interface StoredLaw {
  readonly mean: ArrayLike<number>;
  readonly covariance: ArrayLike<number>;
}

/** Why a law cannot be used for other profiles. */
export type LawIssue =
  | { readonly code: 'wrongLength' }
  | { readonly code: 'notFinite'; readonly parameter: ParameterName }
  | {
      readonly code: 'meanOutside';
      readonly parameter: ParameterName;
      readonly low: number;
      readonly high: number;
    }
  | {
      readonly code: 'sdOutside';
      readonly parameter: ParameterName;
      readonly low: number;
      readonly high: number;
    }
  | { readonly code: 'notSymmetric'; readonly parameter: ParameterName; readonly other: ParameterName }
  | { readonly code: 'notPositive' };

/** Printers are within this many sds of the prior: beyond it a file is about something else, or in another unit. */
const MOST_SDS = 6;
/** No readings tell a parameter to better than this share of its prior sd: the scatter of prints and calipers is left. */
const LEAST_SHARE = 1e-4;
/** The largest linear shrink that a datasheet states, as a share: a prior learned from it is the widest there is. */
const LARGEST_SHRINK = 0.06;
/** Files round: so much may two halves of a covariance differ, as a share of the product of their sds. */
const ASYMMETRY = 1e-6;
/** Least pivot of the correlation matrix: below it a sum of parameters is said to be known exactly. */
const LEAST_PIVOT = 1e-9;

const sdsOf = (covariance: ArrayLike<number>) =>
  PARAMETER_NAMES.map((_, i) => Math.sqrt(covariance[i * PARAMETER_COUNT + i]));

const PRIOR = lawPrior();
const PRIOR_SD = sdsOf(PRIOR.covariance);
const WIDEST_SD = sdsOf(lawPrior({ datasheetShrink: LARGEST_SHRINK, jawFlatsUnknown: true }).covariance);

function findOutside({ mean, covariance }: StoredLaw): LawIssue | undefined {
  const sds = sdsOf(covariance);
  for (const [i, parameter] of PARAMETER_NAMES.entries()) {
    const [least, most] = [LEAST_SHARE * PRIOR_SD[i], WIDEST_SD[i] * (1 + 1e-9)];
    if (!(sds[i] >= least && sds[i] <= most)) return { code: 'sdOutside', parameter, low: least, high: most };
    const [low, high] = [PRIOR.mean[i] - MOST_SDS * most, PRIOR.mean[i] + MOST_SDS * most];
    if (!(mean[i] >= low && mean[i] <= high)) return { code: 'meanOutside', parameter, low, high };
  }
  return undefined;
}

function findAsymmetry({ covariance }: StoredLaw): LawIssue | undefined {
  const sds = sdsOf(covariance);
  for (let i = 0; i < PARAMETER_COUNT; i++)
    for (let j = 0; j < i; j++) {
      const apart = covariance[i * PARAMETER_COUNT + j] - covariance[j * PARAMETER_COUNT + i];
      if (!(Math.abs(apart) <= ASYMMETRY * sds[i] * sds[j]))
        return { code: 'notSymmetric', parameter: PARAMETER_NAMES[i], other: PARAMETER_NAMES[j] };
    }
  return undefined;
}

/** Whether every sum of parameters has a variance above zero; parameters are brought to like size before. */
function isPositiveDefinite({ covariance }: StoredLaw): boolean {
  const sds = sdsOf(covariance);
  const correlation = Float64Array.from({ length: PARAMETER_COUNT ** 2 }, (_, at) => {
    const [i, j] = [Math.floor(at / PARAMETER_COUNT), at % PARAMETER_COUNT];
    return covariance[at] / (sds[i] * sds[j]);
  });
  if (choleskyInPlace(correlation, PARAMETER_COUNT) >= 0) return false;
  return PARAMETER_NAMES.every((_, i) => correlation[i * PARAMETER_COUNT + i] ** 2 >= LEAST_PIVOT);
}

function findNotFinite({ mean, covariance }: StoredLaw): LawIssue | undefined {
  if (mean.length !== PARAMETER_COUNT || covariance.length !== PARAMETER_COUNT ** 2)
    return { code: 'wrongLength' };
  const parameter = PARAMETER_NAMES.find(
    (_, i) =>
      !Number.isFinite(mean[i]) ||
      !PARAMETER_NAMES.every((_, j) => Number.isFinite(covariance[i * PARAMETER_COUNT + j])),
  );
  return parameter === undefined ? undefined : { code: 'notFinite', parameter };
}

/** Whether a law can be computed with at all: numbers throughout, a covariance that can be inverted. */
export function isSoundLaw(law: StoredLaw): boolean {
  return findNotFinite(law) === undefined && findAsymmetry(law) === undefined && isPositiveDefinite(law);
}

/**
 * Returns the law if it can be used for other profiles: numbers throughout, means and sds in the range of printers,
 * covariance symmetric and positive definite. Such a law can be inverted and added to any prior of this product.
 */
export function checkLaw<Law extends StoredLaw>(law: Law): Result<Law, LawIssue> {
  const issue = findNotFinite(law) ?? findOutside(law) ?? findAsymmetry(law);
  if (issue !== undefined) return fail(issue);
  return isPositiveDefinite(law) ? ok(law) : fail({ code: 'notPositive' });
}

/** Numbers that are the same but for the rounding of a file. */
const SAME = 1e-6;

/** Returns whether two laws are equal: one file imported under two names. */
export function isSameLaw(a: StoredLaw, b: StoredLaw): boolean {
  const alike = (left: ArrayLike<number>, right: ArrayLike<number>) =>
    left.length === right.length &&
    Array.from(left).every(
      (value, i) => Math.abs(value - right[i]) <= SAME * Math.max(Math.abs(value), Math.abs(right[i])),
    );
  return alike(a.mean, b.mean) && alike(a.covariance, b.covariance);
}
