/** Lumped heat of a wall in still air: source of the form, F. Incropera, D. DeWitt, *Fundamentals of Heat and Mass Transfer*, 5.1. */
const AIR_W_M2K = 8;
/** Cured resin: density kg/m³ and heat capacity J/(kg·K), usual values. */
const DENSITY = 1150;
const CAPACITY = 1600;

/**
 * Time constant of a part in still air, s: its thickest wall, open on both sides, loses its heat by τ = ρ·c·(w/2)/h.
 * Example: a wall of 4 mm → 460 s.
 */
export function coolingTau(wallMm: number): number {
  return (DENSITY * CAPACITY * (wallMm / 2000)) / AIR_W_M2K;
}

/** How much warmer than the room a part still is, K, so many seconds after it came out that much warmer. */
export function excessAfter(excessK: number, seconds: number, wallMm: number): number {
  return excessK * Math.exp(-seconds / coolingTau(wallMm));
}

/** Seconds until it is within `withinK` of the room; 0 where it is already. */
export function secondsToCool(excessK: number, wallMm: number, withinK = 2): number {
  return excessK <= withinK ? 0 : coolingTau(wallMm) * Math.log(excessK / withinK);
}
