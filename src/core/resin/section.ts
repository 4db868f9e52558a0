import { barStiffness, barStress, type Bar } from './bar';

/** The part's critical section as a bar with its load, and its maximum deflection. */
interface Section {
  readonly bar: Bar;
  readonly forceN: number;
  readonly mostDeflectionMm?: number;
}

/** What a section requires of the resin. */
export interface SectionNeed {
  readonly stressMPa: number;
  /** Least modulus that keeps the deflection; undefined when none was limited. */
  readonly leastModulusMPa?: number;
}

/**
 * Stress in the critical section and the modulus it needs; undefined unless every length is positive.
 * Example: 20 N at the end of a clamped bar 30 × 8 × 3 mm → 50 MPa; giving way by at most 0.5 mm → 20 000 MPa.
 */
export function needOfSection({ bar, forceN, mostDeflectionMm }: Section): SectionNeed | undefined {
  if (![bar.spanMm, bar.widthMm, bar.thicknessMm].every((mm) => mm > 0) || !(forceN >= 0)) return undefined;
  const stressMPa = barStress(bar, forceN);
  if (mostDeflectionMm === undefined || !(mostDeflectionMm > 0)) return { stressMPa };
  return { stressMPa, leastModulusMPa: forceN / (mostDeflectionMm * barStiffness(bar)) };
}
