import type { FitWord } from '@/core/signature';

/** How far past the wished clearance a hand still says “slides”, mm at 10 mm. */
const SHAKES_OVER_MM = 0.1;
const STOPS_UNDER_MM = -0.05;

/** What a simulated hand says of a clearance, mm: true to the wish it has in mind. */
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
