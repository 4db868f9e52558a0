/** Two cylinders pressed together; lengths mm, moduli MPa. */
interface PressFit {
  /** Diameter where they meet, d. */
  readonly interfaceMm: number;
  /** Outside of the hub, D. */
  readonly outerMm: number;
  /** Bore of the shaft, d_i; 0 when solid. */
  readonly boreMm: number;
  /** Shaft minus hole before pressing, δ on the diameter. */
  readonly interferenceMm: number;
  readonly hubModulusMPa: number;
  readonly hubPoisson: number;
  readonly shaftModulusMPa: number;
  readonly shaftPoisson: number;
  readonly lengthMm: number;
  readonly friction: number;
}

interface PressResult {
  readonly pressureMPa: number;
  /** Hoop stress at the hub's bore, the largest in it. */
  readonly hubHoopMPa: number;
  /** Hoop strain there; tends to δ/d for a rigid shaft. */
  readonly hubStrain: number;
  readonly pushN: number;
}

/**
 * Pressure, hub stress and strain, and push force of an elastic press fit of thick cylinders.
 * Throws RangeError unless bore < interface < outer and moduli and length are positive.
 * Source: G. Lamé; S. Timoshenko, Strength of Materials II (1956), §44–45.
 * Example: a solid 8 mm steel pin 0.05 mm over its hole in a 14 mm resin hub (2100 MPa): 5.52 MPa, strain 0.62 %.
 */
export function pressFit(fit: PressFit): PressResult {
  const { interfaceMm: d, outerMm: D, boreMm, interferenceMm } = fit;
  if (!(boreMm >= 0 && boreMm < d && d < D))
    throw new RangeError('pressFit: bore < interface < outer is needed');
  if (!(fit.hubModulusMPa > 0 && fit.shaftModulusMPa > 0 && fit.lengthMm > 0))
    throw new RangeError('pressFit: moduli and length must be positive');
  const hub = (D * D + d * d) / (D * D - d * d);
  const shaft = (d * d + boreMm * boreMm) / (d * d - boreMm * boreMm);
  const compliance =
    (hub + fit.hubPoisson) / fit.hubModulusMPa + (shaft - fit.shaftPoisson) / fit.shaftModulusMPa;
  const pressureMPa = interferenceMm / (d * compliance);
  const hubHoopMPa = pressureMPa * hub;
  return {
    pressureMPa,
    hubHoopMPa,
    hubStrain: (hubHoopMPa + fit.hubPoisson * pressureMPa) / fit.hubModulusMPa,
    pushN: fit.friction * pressureMPa * Math.PI * d * fit.lengthMm,
  };
}

/** What a resin withstands: from its datasheet, or assumed. */
interface Strength {
  readonly strengthMPa: number;
  /** Elongation at break, as a share. */
  readonly breakStrain: number;
}

/** Under this elongation at break a resin counts as brittle: strain, not stress, decides. */
export const BRITTLE_BELOW = 0.08;

export interface PressVerdict extends PressResult {
  /** Share of the strength used by the hoop stress, and of the strain allowed used by the hub strain. */
  readonly stressUse: number;
  readonly strainUse: number;
  readonly holds: 'yes' | 'marginal' | 'no' | 'unsure' | 'falls out';
}

/** Strain that a pressed resin hub can keep permanently: half its elongation at break, a quarter if it is brittle. */
export function allowedPressStrain(breakStrain: number): number {
  return breakStrain * (breakStrain < BRITTLE_BELOW ? 0.25 : 0.5);
}

function holdsBy(use: number, { low, high }: { low: number; high: number }): PressVerdict['holds'] {
  if (use > 1) return 'no';
  if (high <= 0) return 'falls out';
  if (low <= 0) return 'unsure';
  return use > 0.8 ? 'marginal' : 'yes';
}

/**
 * The verdict on the largest interference that the spread of both sizes allows (and on the smallest: does it hold at all).
 * Marginal: more than four fifths of what is allowed is used.
 */
export function judgePress(
  fit: Omit<PressFit, 'interferenceMm'>,
  interferenceMm: { readonly low: number; readonly high: number },
  strength: Strength,
): PressVerdict {
  const worst = pressFit({ ...fit, interferenceMm: Math.max(0, interferenceMm.high) });
  const stressUse = worst.hubHoopMPa / strength.strengthMPa;
  const strainUse = worst.hubStrain / allowedPressStrain(strength.breakStrain);
  const use = Math.max(stressUse, strainUse);
  return { ...worst, stressUse, strainUse, holds: holdsBy(use, interferenceMm) };
}

/**
 * Returns the minimum elongation at break of a resin that can keep a press strain permanently; the inverse of
 * allowedPressStrain.
 */
export function elongationForPress(strain: number): number {
  return 4 * strain < BRITTLE_BELOW ? 4 * strain : Math.max(BRITTLE_BELOW, 2 * strain);
}

/** Share of the grip left after a year under constant strain: an assumption by stiffness, not a measurement. */
export function assumedGripAfterYear(breakStrain: number): number {
  return breakStrain < BRITTLE_BELOW ? 0.6 : 0.4;
}
