import { expectOk } from '@/core/kit';
import { invertSymmetric } from '@/core/kit/numerics';
import type { FeatureKind } from '@/core/measure';

/** The parameters of the shared law, in the order of every parameter vector and matrix. */
export const PARAMETER_NAMES = [
  'epsilonX',
  'epsilonY',
  'skew',
  'epsilonZ',
  'edge',
  'insideExtra',
  'roundExtra',
  'zSupported',
  'zPlate',
  'leanX',
  'leanY',
] as const;
export type ParameterName = (typeof PARAMETER_NAMES)[number];
export const PARAMETER_COUNT = PARAMETER_NAMES.length;

export const PARAMETER_UNITS: Readonly<Record<ParameterName, '1' | 'mm' | 'mm2'>> = {
  epsilonX: '1',
  epsilonY: '1',
  skew: '1',
  epsilonZ: '1',
  edge: 'mm',
  insideExtra: 'mm',
  roundExtra: 'mm2',
  zSupported: 'mm',
  zPlate: 'mm',
  leanX: '1',
  leanY: '1',
};

const [EPSILON_X, EPSILON_Y, SKEW, EPSILON_Z, EDGE, INSIDE_EXTRA, ROUND_EXTRA, Z_SUPPORTED, Z_PLATE] = [
  0, 1, 2, 3, 4, 5, 6, 7, 8,
];
const [LEAN_X, LEAN_Y] = [9, 10];

/** Returns whether a parameter is part of the exposure gradient, which only sizes with a known place inform. */
export function isLean(name: ParameterName): boolean {
  return name === 'leanX' || name === 'leanY';
}

/** Place of a feature on the plate, from its middle, mm. */
export interface PlatePlace {
  readonly xMm: number;
  readonly yMm: number;
}

export const EDGE_SIGN = { outside: 1, inside: -1, pitch: 0 } as const;

/**
 * Row x(f) of the law: offset = size − drawn = x·β for a feature of this kind drawn at `drawnMm`; in the order of
 * PARAMETER_NAMES. Where its place on the plate is not known, the lean of the light says nothing of it.
 * Example: lawRow({ sense: 'outside', shape: 'flat', axis: 'X' }, 20) → [20, 0, 0, 0, 2, 0, 0, 0, 0, 0, 0]
 */
export function lawRow(kind: FeatureKind, drawnMm: number, place?: PlatePlace): Float64Array {
  const row = new Float64Array(PARAMETER_COUNT);
  if (kind.axis === 'Z') {
    row[EPSILON_Z] = drawnMm;
    if (kind.sense === 'inside') row[Z_SUPPORTED] = -1;
    else if (kind.sense === 'outside') row[kind.base === 'plate' ? Z_PLATE : Z_SUPPORTED] = 1;
    return row;
  }
  if (kind.shape === 'round') {
    row[EPSILON_X] = drawnMm / 2;
    row[EPSILON_Y] = drawnMm / 2;
  } else {
    const angle = kind.axis === 'X' ? 0 : kind.axis === 'Y' ? Math.PI / 2 : (kind.angleRad ?? 0);
    const cos = kind.axis === 'Y' ? 0 : Math.cos(angle);
    const sin = kind.axis === 'X' ? 0 : Math.sin(angle);
    row[EPSILON_X] = drawnMm * cos * cos;
    row[EPSILON_Y] = drawnMm * sin * sin;
    row[SKEW] = drawnMm * sin * cos;
  }
  row[EDGE] = 2 * EDGE_SIGN[kind.sense];
  if (place !== undefined) {
    row[LEAN_X] = row[EDGE] * place.xMm;
    row[LEAN_Y] = row[EDGE] * place.yMm;
  }
  if (kind.sense === 'inside') {
    row[INSIDE_EXTRA] = -2;
    if (kind.shape === 'round') row[ROUND_EXTRA] = -2 / Math.max(1, drawnMm);
  }
  return row;
}

/** What the drift of one whole print multiplies: δe by `edge`, δs by `scale`, for this feature. */
export function driftRow(
  kind: FeatureKind,
  drawnMm: number,
): { readonly edge: number; readonly scale: number } {
  if (kind.axis === 'Z') return { edge: 0, scale: 0 };
  return { edge: 2 * EDGE_SIGN[kind.sense], scale: drawnMm };
}

/** Standard deviations of the drift of a whole print: edge growth in mm, XY scale per mm. */
export const DRIFT_EDGE_SD_MM = 0.008;
export const DRIFT_SCALE_SD = 0.0004;

/** A normal prior of β: mean, covariance (row-major). */
export interface LawPrior {
  readonly mean: Float64Array;
  readonly covariance: Float64Array;
}

interface LawPriorOptions {
  /** Linear shrink from the resin's datasheet, as a share (0.004 = 0.4 %); volumetric figures do not belong here. */
  readonly datasheetShrink?: number;
  /** The flats of the inside jaws are there but were never measured: c may be the jaws. */
  readonly jawFlatsUnknown?: boolean;
}

const PRIOR_MEAN = [-0.003, -0.003, 0, -0.003, 0.03, 0.01, 0, 0.05, -0.05, 0, 0];
const PRIOR_SD = [0.004, 0.004, 0.001, 0.005, 0.05, 0.025, 0.03, 0.08, 0.08, 0.0004, 0.0004];
/** ε_X and ε_Y of one machine are close: their difference is N(0, 0.0015²). */
const AXES_APART_SD = 0.0015;

/** The prior every signature starts from, before any reading. */
export function lawPrior(options: LawPriorOptions = {}): LawPrior {
  const mean = Float64Array.from(PRIOR_MEAN);
  const sd = Float64Array.from(PRIOR_SD);
  if (options.jawFlatsUnknown === true) sd[ROUND_EXTRA] = 0.06;
  if (options.datasheetShrink !== undefined) {
    for (const axis of [EPSILON_X, EPSILON_Y, EPSILON_Z]) {
      mean[axis] = -options.datasheetShrink;
      sd[axis] = Math.max(0.004, Math.abs(options.datasheetShrink) / 2);
    }
  }
  const precision = new Float64Array(PARAMETER_COUNT * PARAMETER_COUNT);
  for (let i = 0; i < PARAMETER_COUNT; i++) precision[i * PARAMETER_COUNT + i] = 1 / sd[i] ** 2;
  const apart = 1 / AXES_APART_SD ** 2;
  precision[EPSILON_X * PARAMETER_COUNT + EPSILON_X] += apart;
  precision[EPSILON_Y * PARAMETER_COUNT + EPSILON_Y] += apart;
  precision[EPSILON_X * PARAMETER_COUNT + EPSILON_Y] -= apart;
  precision[EPSILON_Y * PARAMETER_COUNT + EPSILON_X] -= apart;
  return { mean, covariance: expectOk(invertSymmetric(precision, PARAMETER_COUNT)) };
}
