import { invertSymmetric } from '@/core/kit/numerics';
import { expectOk, fail, ok, type Result } from '@/core/kit';

/** A strip cured at one exposure and read once; mm. */
export interface Strip {
  /** Seconds, or mJ/cm² where the irradiance is known; one unit for all strips of a curve. */
  readonly exposure: number;
  readonly depthMm: number;
  /** Standard uncertainty of the reading. Default 0.01. */
  readonly uMm?: number;
  /** What it was read with: strips of one caliper share its bias. */
  readonly instrument?: string;
}

/** Depth against exposure, C = D_p·ln(E/E_c), as measured by the strips. */
export interface WorkingCurve {
  readonly dpMm: number;
  readonly dpSdMm: number;
  readonly lnEc: number;
  readonly lnEcSd: number;
  /** Of C = intercept + slope·ln E: variances of intercept and slope, and their covariance. */
  readonly variances: { readonly intercept: number; readonly slope: number; readonly both: number };
}

export type StripIssue =
  | { readonly code: 'tooFewStrips'; readonly exposures: number }
  | { readonly code: 'badExposure'; readonly strip: number; readonly exposure: number }
  | { readonly code: 'nothingCured'; readonly strip: number; readonly exposure: number }
  | { readonly code: 'badUncertainty'; readonly strip: number }
  | { readonly code: 'curveFalls'; readonly dpMm: number };

const USUAL_U_MM = 0.01;
/** Longer than an hour is a slip of the finger, s. */
const LONGEST = 3600;

function findStripIssue(strips: readonly Strip[]): StripIssue | undefined {
  for (const [strip, { exposure, depthMm, uMm = USUAL_U_MM }] of strips.entries()) {
    if (!(exposure > 0 && exposure < LONGEST)) return { code: 'badExposure', strip, exposure };
    if (!(depthMm > 0)) return { code: 'nothingCured', strip, exposure };
    if (!(uMm > 0)) return { code: 'badUncertainty', strip };
  }
  const exposures = new Set(strips.map(({ exposure }) => exposure)).size;
  return exposures < 2 ? { code: 'tooFewStrips', exposures } : undefined;
}

/** u² of each reading, and the squared bias between those of one caliper; row-major. */
function covarianceOf(strips: readonly Strip[], biasSdOf: (instrument: string) => number): Float64Array {
  const covariance = new Float64Array(strips.length ** 2);
  strips.forEach(({ uMm = USUAL_U_MM, instrument = '' }, i) => {
    strips.forEach((other, j) => {
      if ((other.instrument ?? '') === instrument)
        covariance[i * strips.length + j] = biasSdOf(instrument) ** 2;
    });
    covariance[i * strips.length + i] += uMm * uMm;
  });
  return covariance;
}

/**
 * The working curve of strips by generalised least squares: covariance u² of each reading, and a caliper's bias, the same
 * for all that it read. ln E_c by first order.
 * Source: P. F. Jacobs, *Rapid Prototyping & Manufacturing*, SME 1992, ch. 4; A. C. Aitken 1935.
 * `biasSdOf`: standard deviation of a caliper's bias, mm; its MPE/√3.
 */
export function fitWorkingCurve(
  strips: readonly Strip[],
  biasSdOf: (instrument: string) => number,
): Result<WorkingCurve, StripIssue> {
  const issue = findStripIssue(strips);
  if (issue !== undefined) return fail(issue);
  const count = strips.length;
  const inverse = expectOk(invertSymmetric(covarianceOf(strips, biasSdOf), count));
  const x = strips.map(({ exposure }) => Math.log(exposure));
  const y = strips.map(({ depthMm }) => depthMm);
  const product = (a: (i: number) => number, b: (j: number) => number) => {
    let sum = 0;
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++) sum += a(i) * inverse[i * count + j] * b(j);
    return sum;
  };
  const [one, ln, depth] = [() => 1, (i: number) => x[i], (i: number) => y[i]];
  const [n11, n1x, nxx] = [product(one, one), product(one, ln), product(ln, ln)];
  const [r1, rx] = [product(one, depth), product(ln, depth)];
  const determinant = n11 * nxx - n1x * n1x;
  const intercept = (nxx * r1 - n1x * rx) / determinant;
  const slope = (n11 * rx - n1x * r1) / determinant;
  if (!(slope > 0)) return fail({ code: 'curveFalls', dpMm: slope });
  const variances = { intercept: nxx / determinant, slope: n11 / determinant, both: -n1x / determinant };
  // ln E_c = −intercept/slope.
  const [byIntercept, bySlope] = [-1 / slope, intercept / (slope * slope)];
  const lnEcVariance =
    byIntercept ** 2 * variances.intercept +
    bySlope ** 2 * variances.slope +
    2 * byIntercept * bySlope * variances.both;
  return ok({
    dpMm: slope,
    dpSdMm: Math.sqrt(variances.slope),
    lnEc: -intercept / slope,
    lnEcSd: Math.sqrt(lnEcVariance),
    variances,
  });
}

/** Depth at an exposure with the sd of the curve there, mm; in the unit of the strips. */
export function depthAt(
  { dpMm, lnEc, variances }: Pick<WorkingCurve, 'dpMm' | 'lnEc' | 'variances'>,
  exposure: number,
): { readonly mm: number; readonly sdMm: number } {
  const x = Math.log(exposure);
  const variance = variances.intercept + x * x * variances.slope + 2 * x * variances.both;
  return { mm: dpMm * (x - lnEc), sdMm: Math.sqrt(Math.max(0, variance)) };
}
