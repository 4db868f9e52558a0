import type { FitWord } from '@/core/signature';

/** How far above the wanted clearance a hand still says “slides”, mm at 10 mm. */
const SHAKES_OVER_MM = 0.1;
const STOPS_UNDER_MM = -0.05;

/** Returns the hand fit that a simulated hand reports for a clearance, mm, and the fit it expects. */
export function wordOfClearance(
  clearanceMm: number,
  wishedMm: readonly [number, number],
  mateMm: number,
): FitWord {
  const scale = Math.cbrt(mateMm / 10);
  const [low, high] = wishedMm;
  if (clearanceMm < Math.min(low, STOPS_UNDER_MM * scale)) return 'wontEnter';
  if (clearanceMm < low) return 'needsForce';
  if (clearanceMm <= high) return 'right';
  return clearanceMm < high + SHAKES_OVER_MM * scale ? 'slides' : 'rattles';
}
