import { RESIN_EXPANSION_PER_K, type Sense } from '@/core/measure';
import type { ClearanceBand } from './classes';

/** The body that a printed size meets, at 20 °C. */
export interface Mate {
  readonly sizeMm: number;
  readonly u_mm: number;
  /** Default: that of the part itself, so that both grow alike. */
  readonly expansionPerK?: number;
}

/** What happens to the pair between the print and its use. */
export interface FitConditions {
  /** Temperature at which the clearance must be right; default 20 °C. */
  readonly serviceC?: number;
  readonly partExpansionPerK?: number;
  /** Thickness of a coat on each face of the printed part, mm. */
  readonly coatMm?: number;
}

/** A size that a fit asks for: the middle, its limits, and how well the mate is known. */
export interface FitLimits {
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  /** Standard uncertainty of the mate as it reaches the clearance, mm. */
  readonly mateU_mm: number;
}

/**
 * Limits of a printed size at 20 °C, uncoated, so that its clearance in use lies in the band: hole − shaft, both grown to
 * the service temperature, a coat taken off each printed face.
 * Throws RangeError for a pitch: it mates with nothing.
 * Example: an outside in a 15.91 bore, 0 … 0.06 → 15.88 ± 0.03.
 */
export function targetForMate(
  sense: Sense,
  mate: Mate,
  band: ClearanceBand,
  conditions: FitConditions = {},
): FitLimits {
  if (sense === 'pitch') throw new RangeError('targetForMate: a pitch has no mate');
  const { serviceC = 20, partExpansionPerK = RESIN_EXPANSION_PER_K, coatMm = 0 } = conditions;
  const partGrowth = 1 + partExpansionPerK * (serviceC - 20);
  const mateGrowth = 1 + (mate.expansionPerK ?? partExpansionPerK) * (serviceC - 20);
  const sizeFor = (clearanceMm: number) =>
    (mate.sizeMm * mateGrowth + (sense === 'inside' ? 1 : -1) * (clearanceMm + 2 * coatMm)) / partGrowth;
  const ends = [sizeFor(band.lowMm), sizeFor(band.highMm)];
  const targetMm = (ends[0] + ends[1]) / 2;
  const half = Math.abs(ends[1] - ends[0]) / 2;
  return {
    targetMm,
    lowerDeviationMm: -half,
    upperDeviationMm: half,
    mateU_mm: (mate.u_mm * mateGrowth) / partGrowth,
  };
}

/** Returns the clearance in use of a printed size with its mate, mm: the inverse of targetForMate. */
export function clearanceOf(
  sense: Sense,
  sizeMm: number,
  mate: Mate,
  conditions: FitConditions = {},
): number {
  const { serviceC = 20, partExpansionPerK = RESIN_EXPANSION_PER_K, coatMm = 0 } = conditions;
  const part = sizeMm * (1 + partExpansionPerK * (serviceC - 20));
  const other = mate.sizeMm * (1 + (mate.expansionPerK ?? partExpansionPerK) * (serviceC - 20));
  return (sense === 'inside' ? part - other : other - part) - 2 * coatMm;
}
