/** What should happen where two bodies meet, from tight to loose: the one vocabulary of this program. */
export const WISHES = ['grip', 'push', 'slide', 'turn', 'loose'] as const;
export type Wish = (typeof WISHES)[number];

/** Least and most clearance on the diameter, mm; negative is interference. */
export interface ClearanceBand {
  readonly lowMm: number;
  readonly highMm: number;
}

export type FitClasses = Readonly<Record<Wish, ClearanceBand>>;

/** Default fit classes at 10 mm. A workshop can set its own. */
export const FIT_CLASSES_AT_10MM: FitClasses = Object.freeze({
  grip: { lowMm: -0.1, highMm: -0.02 },
  push: { lowMm: 0, highMm: 0.06 },
  slide: { lowMm: 0.06, highMm: 0.16 },
  turn: { lowMm: 0.16, highMm: 0.32 },
  loose: { lowMm: 0.32, highMm: 0.6 },
});

/**
 * Returns the clearance band of a fit at a diameter (or width), mm: the band at 10 mm times (D/10)^(1/3), as the ISO
 * tolerance unit grows. Throws RangeError unless the diameter is positive. Example: wishedClearance('slide', 80) → {
 * lowMm: 0.12, highMm: 0.32 }
 */
export function wishedClearance(
  wish: Wish,
  diameterMm: number,
  classes = FIT_CLASSES_AT_10MM,
): ClearanceBand {
  if (!(diameterMm > 0)) throw new RangeError('wishedClearance: the diameter must be positive');
  const scale = Math.cbrt(diameterMm / 10);
  const { lowMm, highMm } = classes[wish];
  return { lowMm: lowMm * scale, highMm: highMm * scale };
}

/**
 * Returns the fit whose band is closest to a clearance at a diameter; between two bands, the one with the closer edge.
 */
export function wishOfClearance(
  clearanceMm: number,
  diameterMm: number,
  classes = FIT_CLASSES_AT_10MM,
): Wish {
  const distance = (wish: Wish) => {
    const { lowMm, highMm } = wishedClearance(wish, diameterMm, classes);
    return Math.max(lowMm - clearanceMm, clearanceMm - highMm, 0);
  };
  return WISHES.reduce((best, wish) => (distance(wish) < distance(best) ? wish : best));
}
