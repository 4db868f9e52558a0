import { fail, ok, type Result } from '@/core/result';

/** A strip cured at one exposure and read once; mm. */
export interface Strip {
  /** Seconds, or mJ/cm² where the irradiance is known; one unit for all strips of a curve. */
  readonly exposure: number;
  readonly depthMm: number;
  /** Standard uncertainty of the reading. Default 0.01. */
  readonly uMm?: number;
}

/** Depth against exposure, C = D_p·ln(E/E_c), with what the strips say of it. */
export interface WorkingCurve {
  readonly dpMm: number;
  readonly dpSdMm: number;
  readonly lnEc: number;
  readonly lnEcSd: number;
  /** Of C = intercept + slope·ln E: variances of intercept and slope, and their covariance. */
  readonly variances: { readonly intercept: number; readonly slope: number; readonly both: number };
  /** Mean square of the residuals over what the readings' u explains; undefined with two strips. */
  readonly misfit?: number;
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

/**
 * The working curve of strips by generalised least squares: covariance u² of each reading, and the caliper's bias, the same
 * for all. A bias that all share moves the intercept alone, so the slope is that of weighted least squares and its square
 * adds to the intercept's variance. ln E_c by first order.
 * Source: P. F. Jacobs, *Rapid Prototyping & Manufacturing*, SME 1992, ch. 4; A. C. Aitken 1935.
 * `biasSdMm`: standard deviation of the bias, mm; a caliper's MPE/√3.
 */
export function fitWorkingCurve(
  strips: readonly Strip[],
  biasSdMm: number,
): Result<WorkingCurve, StripIssue> {
  const issue = findStripIssue(strips);
  if (issue !== undefined) return fail(issue);
  const points = strips.map(({ exposure, depthMm, uMm = USUAL_U_MM }) => ({
    x: Math.log(exposure),
    y: depthMm,
    weight: 1 / (uMm * uMm),
  }));
  const sum = (of: (point: (typeof points)[number]) => number) =>
    points.reduce((total, point) => total + of(point), 0);
  const weight = sum((point) => point.weight);
  const [meanX, meanY] = [
    sum(({ weight: w, x }) => w * x) / weight,
    sum(({ weight: w, y }) => w * y) / weight,
  ];
  const spread = sum(({ weight: w, x }) => w * (x - meanX) ** 2);
  const slope = sum(({ weight: w, x, y }) => w * (x - meanX) * (y - meanY)) / spread;
  if (!(slope > 0)) return fail({ code: 'curveFalls', dpMm: slope });
  const intercept = meanY - slope * meanX;
  const variances = {
    intercept: 1 / weight + (meanX * meanX) / spread + biasSdMm * biasSdMm,
    slope: 1 / spread,
    both: -meanX / spread,
  };
  // ln E_c = −intercept/slope.
  const [byIntercept, bySlope] = [-1 / slope, intercept / (slope * slope)];
  const lnEcVariance =
    byIntercept ** 2 * variances.intercept +
    bySlope ** 2 * variances.slope +
    2 * byIntercept * bySlope * variances.both;
  const free = strips.length - 2;
  return ok({
    dpMm: slope,
    dpSdMm: Math.sqrt(variances.slope),
    lnEc: -intercept / slope,
    lnEcSd: Math.sqrt(lnEcVariance),
    variances,
    misfit: free > 0 ? sum(({ weight: w, x, y }) => w * (y - intercept - slope * x) ** 2) / free : undefined,
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
