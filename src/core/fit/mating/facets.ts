/** Largest lack of a circle drawn with n sides, on the diameter, mm: 2r(1 − cos π/n). */
export function facetErrorMm(diameterMm: number, sides: number): number {
  return diameterMm * (1 - Math.cos(Math.PI / sides));
}

/**
 * Sides that keep the facet error of a drawn circle under a tenth of a tolerance: n ≥ π / acos(1 − tol/(10·D)).
 * Throws RangeError unless both are positive. Example: sidesForTolerance(10, 0.1) → 71
 */
export function sidesForTolerance(diameterMm: number, toleranceMm: number): number {
  if (!(diameterMm > 0 && toleranceMm > 0))
    throw new RangeError('sidesForTolerance: diameter and tolerance must be positive');
  const share = Math.min(1, toleranceMm / (10 * diameterMm));
  return Math.max(3, Math.ceil(Math.PI / Math.acos(1 - share)));
}
