import { studentTQuantile } from '@/core/kit/numerics';
import { type Instrument, warmthU } from './instrument';

/** What the jaws of an instrument add to every size, and how well that is known; mm. */
export interface JawBias {
  readonly meanMm: number;
  readonly u_mm: number;
}

/** Scatter of one reading learned from all repeats of a session, mm, with its degrees of freedom. */
export interface PooledScatter {
  readonly sMm: number;
  readonly dof: number;
}

interface SizeOptions {
  readonly instrument: Instrument;
  /** Scatter pooled over the session; left out: the feature's own repeats are used. */
  readonly pooled?: PooledScatter;
  /** Standard uncertainty that the temperatures leave, per mm, see warmthU. Default: that of a sitting of which nothing is known. */
  readonly warmthU?: number;
  /** What the jaws add, where a piece of known size told it; default: nothing, known to the limit of error. */
  readonly bias?: JawBias;
}

/** A size with the budget of its uncertainty; all lengths in mm. */
export interface SizeEstimate {
  readonly sizeMm: number;
  readonly count: number;
  /** Scatter of one reading that Type A was taken from. */
  readonly sMm: number;
  readonly uTypeA_mm: number;
  readonly uTypeB_mm: number;
  /** Combined standard uncertainty u_c. */
  readonly u_mm: number;
  /** Effective degrees of freedom of u_c; Infinity when nothing was estimated from repeats. */
  readonly nuEff: number;
  readonly k: number;
  /** Expanded uncertainty U = k·u_c at 95 %. */
  readonly expandedU_mm: number;
}

export function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Σ(value − mean)². */
export function squaresAround(values: readonly number[]): number {
  const mean = meanOf(values);
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
}

/**
 * s_p² = Σ(n_i − 1)s_i² / Σ(n_i − 1) over groups of repeats; undefined before any feature was read twice.
 * Source: JCGM 100:2008 4.2.4. Example: pooledScatter([[31.57, 31.55], [28.14, 28.14]]) → { sMm: 0.01, dof: 2 }
 */
export function pooledScatter(groups: readonly (readonly number[])[]): PooledScatter | undefined {
  let squares = 0;
  let dof = 0;
  for (const group of groups) {
    if (group.length < 2) continue;
    squares += squaresAround(group);
    dof += group.length - 1;
  }
  return dof === 0 ? undefined : { sMm: Math.sqrt(squares / dof), dof };
}

/** Scatter of one reading of a feature read `count` times: pooled, and never below the display's step for a lone reading. */
export function scatterOfReading(count: number, instrument: Instrument, pooled?: PooledScatter): number {
  const floor = instrument.repeatabilityMm ?? instrument.resolutionMm;
  if (pooled === undefined) return floor;
  return count === 1 ? Math.max(pooled.sMm, instrument.resolutionMm) : pooled.sMm;
}

/** Uncertainty of repeats and resolution alone, the ε of the signature's law; mm. */
export function repeatU(count: number, sMm: number, resolutionMm: number): number {
  return Math.sqrt((sMm * sMm) / count + (resolutionMm * resolutionMm) / 12);
}

/** Type B standard uncertainty: limit of error (rectangular) or what is left of the jaws' bias, resolution, unknown temperature; mm. */
export function typeBUncertainty(sizeMm: number, options: SizeOptions): number {
  const { instrument } = options;
  const mpe = options.bias?.u_mm ?? instrument.mpeMm / Math.sqrt(3);
  const resolution = instrument.resolutionMm / Math.sqrt(12);
  const temperature = sizeMm * (options.warmthU ?? warmthU(instrument, {}));
  return Math.hypot(mpe, resolution, temperature);
}

/** A size brought to other conditions by `offsetMm`, which is known to a standard uncertainty of `u_mm`. */
export function shiftSize(size: SizeEstimate, offsetMm: number, u_mm: number): SizeEstimate {
  const uTypeB_mm = Math.hypot(size.uTypeB_mm, u_mm);
  const u = Math.hypot(size.u_mm, u_mm);
  // The share of Type A becomes smaller, and with it what few repeats cost.
  const nuEff = size.nuEff * (u / size.u_mm) ** 4;
  const k = studentTQuantile(0.975, nuEff);
  return { ...size, sizeMm: size.sizeMm + offsetMm, uTypeB_mm, u_mm: u, nuEff, k, expandedU_mm: k * u };
}

/**
 * The size that corrected readings of one feature stand for, with U at 95 %.
 * Refuses nothing a person can type: throws RangeError for an empty list.
 * Source: JCGM 100:2008 4.2, 4.3, G.4 (Welch–Satterthwaite).
 * Example: readings 17.30, 17.33, MPE 0.03, resolution 0.01, temperature known → 17.315, u 0.0231, U 0.0575.
 */
export function estimateSize(readingsMm: readonly number[], options: SizeOptions): SizeEstimate {
  const count = readingsMm.length;
  if (count === 0) throw new RangeError('estimateSize: at least one reading is needed');
  const sizeMm = meanOf(readingsMm) - (options.bias?.meanMm ?? 0);
  const pooled = options.pooled ?? pooledScatter([readingsMm]);
  const sMm = scatterOfReading(count, options.instrument, pooled);
  const uTypeA_mm = sMm / Math.sqrt(count);
  const uTypeB_mm = typeBUncertainty(sizeMm, options);
  const u_mm = Math.hypot(uTypeA_mm, uTypeB_mm);
  const dof = pooled?.dof ?? Infinity;
  const nuEff = uTypeA_mm === 0 ? Infinity : dof * (u_mm / uTypeA_mm) ** 4;
  const k = studentTQuantile(0.975, nuEff);
  return { sizeMm, count, sMm, uTypeA_mm, uTypeB_mm, u_mm, nuEff, k, expandedU_mm: k * u_mm };
}
