/** How a bar is held: on two supports and pressed in the middle, or clamped at one end and loaded at the other. */
export const BENDS = ['threePoint', 'cantilever'] as const;
export type Bend = (typeof BENDS)[number];

/** A bar of rectangular section; `spanMm` between the supports, or free length to the load. */
export interface Bar {
  readonly bend: Bend;
  readonly spanMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
}

/** Standard gravity, m/s²: a gram pulls with 9.80665 mN. */
export const GRAVITY = 9.80665;

/**
 * Stiffness of a bar of unit modulus, F/(E·y), mm: 4·b·h³/L³ on two supports, b·h³/(4·L³) clamped.
 * Source: Euler–Bernoulli beam theory; ISO 178 for three-point bending.
 */
export function barStiffness({ bend, spanMm, widthMm, thicknessMm }: Bar): number {
  const shape = (widthMm * thicknessMm ** 3) / spanMm ** 3;
  return bend === 'threePoint' ? 4 * shape : shape / 4;
}

/** Largest stress in the bar under a force, MPa: 3·F·L/(2·b·h²) on two supports, 6·F·L/(b·h²) clamped. */
export function barStress({ bend, spanMm, widthMm, thicknessMm }: Bar, forceN: number): number {
  const moment = bend === 'threePoint' ? (forceN * spanMm) / 4 : forceN * spanMm;
  return (6 * moment) / (widthMm * thicknessMm ** 2);
}

/** Strain of the outer fibre at a deflection, as a share: 6·h·y/L² on two supports, 3·h·y/(2·L²) clamped. */
export function barStrain({ bend, spanMm, thicknessMm }: Bar, deflectionMm: number): number {
  return ((bend === 'threePoint' ? 6 : 1.5) * thicknessMm * deflectionMm) / spanMm ** 2;
}

/** Deflection at which the outer fibre reaches a strain, mm. */
export function deflectionForStrain(bar: Bar, strain: number): number {
  return strain / barStrain(bar, 1);
}
