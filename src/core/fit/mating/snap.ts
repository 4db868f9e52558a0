/** A cantilever hook of even thickness; lengths mm, modulus MPa. */
interface Snap {
  readonly lengthMm: number;
  readonly thicknessMm: number;
  readonly widthMm: number;
  /** Deflection of the hook's tip, y. */
  readonly deflectionMm: number;
  readonly modulusMPa: number;
  readonly friction: number;
  /** Slope of the lead-in, from the direction of pushing. */
  readonly leadRad: number;
}

interface SnapResult {
  /** Largest strain, at the root. */
  readonly strain: number;
  /** Force that bends the tip by the deflection. */
  readonly deflectN: number;
  /** Force that pushes the hook in; Infinity when the slope locks. */
  readonly insertN: number;
}

/**
 * Strain and forces of a cantilever snap: ε = 1.5·t·y/L², P = w·t²·E·ε/(6L), W = P(μ + tan α)/(1 − μ·tan α).
 * Throws RangeError unless the lengths are positive. Source: beam theory, G. Erhard, Designing with Plastics (2006), §7.
 * Example: L 12, t 1.6, w 4, y 0.7, E 2000, μ 0.3, 30° → strain 0.0117, 3.32 N, pushed in with 3.52 N.
 */
export function snapHook(snap: Snap): SnapResult {
  const { lengthMm, thicknessMm, widthMm, deflectionMm, modulusMPa, friction, leadRad } = snap;
  if (!(lengthMm > 0 && thicknessMm > 0 && widthMm > 0 && modulusMPa > 0))
    throw new RangeError('snapHook: lengths and modulus must be positive');
  const strain = (1.5 * thicknessMm * deflectionMm) / lengthMm ** 2;
  const deflectN = (widthMm * thicknessMm ** 2 * modulusMPa * strain) / (6 * lengthMm);
  const slope = Math.tan(leadRad);
  const locks = friction * slope >= 1;
  return {
    strain,
    deflectN,
    insertN: locks ? Infinity : (deflectN * (friction + slope)) / (1 - friction * slope),
  };
}

/** Strain a hook may see: half its elongation at break when snapped once, a third when opened again and again. */
export function allowedSnapStrain(breakStrain: number, use: 'once' | 'repeated'): number {
  return use === 'once' ? breakStrain / 2 : breakStrain / 3;
}

/** Least elongation at break of a resin for a snap strain; the inverse of allowedSnapStrain. */
export function elongationForSnap(strain: number, use: 'once' | 'repeated'): number {
  return strain * (use === 'once' ? 2 : 3);
}

/** The shortest hook of this thickness and deflection that stays within a strain, mm. */
export function shortestHook(thicknessMm: number, deflectionMm: number, strain: number): number {
  return Math.sqrt((1.5 * thicknessMm * deflectionMm) / strain);
}
