import type { Instrument } from './instrument';
import { type JawBias, type PooledScatter, scatterOfReading } from './size';

/** A reading of a piece of known size. */
interface PieceReading {
  readonly knownMm: number;
  /** Standard uncertainty of the piece, mm. */
  readonly u_mm: number;
  readonly readingMm: number;
}

/** Noise of one reading of a piece, mm²: scatter of a reading, the display's step and the piece's own u. */
export function pieceVariance(u_mm: number, instrument: Instrument, pooled?: PooledScatter): number {
  const s = pooled?.sMm ?? scatterOfReading(1, instrument);
  return s * s + instrument.resolutionMm ** 2 / 12 + u_mm * u_mm;
}

/**
 * The bias of one jaw from readings of pieces of known size: before any, the limit of error is all that is known of it,
 * u = MPE/√3; each reading informs it by its noise.
 * Source: JCGM 100:2008 4.3.7 (rectangular limit), conjugate normal update.
 * Example: MPE 0.02, resolution 0.01, no repeats, one reading 10.02 of 10.000 ± 0: 0.011 ± 0.008.
 */
export function jawBias(
  checks: readonly PieceReading[],
  instrument: Instrument,
  pooled?: PooledScatter,
): JawBias {
  let precision = 3 / Math.max(instrument.mpeMm, 1e-6) ** 2;
  let moment = 0;
  for (const { knownMm, u_mm, readingMm } of checks) {
    const weight = 1 / pieceVariance(u_mm, instrument, pooled);
    precision += weight;
    moment += weight * (readingMm - knownMm);
  }
  return { meanMm: moment / precision, u_mm: 1 / Math.sqrt(precision) };
}
