import { Z_95 } from '@/core/kit/numerics';

/** The same place of the same piece read now and weeks later, mm. */
export interface CreepTest {
  /** What it has to bear over time: its own weight in the sun, a load, warmth. */
  readonly under: string;
  readonly firstMm: number;
  readonly weeks: number;
  readonly secondMm?: number;
  /** Half width of what the instrument may be wrong by from one day to the next, mm. */
  readonly caliperMm: number;
}

export interface CreepResult {
  readonly driftMm: number;
  /** Expanded uncertainty at 95 %: two readings of one instrument whose zero may have moved. */
  readonly expandedU_mm: number;
  readonly moved: boolean;
}

/** How far a piece has moved since its first reading; undefined until it was read again. */
export function creepDrift({ firstMm, secondMm, caliperMm }: CreepTest): CreepResult | undefined {
  if (secondMm === undefined) return undefined;
  const driftMm = secondMm - firstMm;
  const expandedU_mm = Z_95 * Math.SQRT2 * (caliperMm / Math.sqrt(3));
  return { driftMm, expandedU_mm, moved: Math.abs(driftMm) > expandedU_mm };
}
