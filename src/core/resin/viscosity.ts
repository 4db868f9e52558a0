/** A viscosity at the temperature it was measured at. */
interface ViscosityPoint {
  readonly mPas: number;
  readonly atC: number;
}

/** Ends between which a viscosity lies, mPa·s. */
export interface ViscosityBounds {
  readonly low: number;
  readonly high: number;
}

const KELVIN = 273.15;

/**
 * Viscosity at a temperature: log-linear in 1/T between and beside two points (Arrhenius), up to 10 K outside of them.
 * With one point only its side is known: colder is thicker than it, warmer thinner. Undefined without any.
 * Source: Andrade's equation, ln η = A + B/T.
 */
export function viscosityAt(points: readonly ViscosityPoint[], tempC: number): ViscosityBounds | undefined {
  const sorted = [...points].sort((a, b) => a.atC - b.atC);
  const same = sorted.find(({ atC }) => Math.abs(atC - tempC) < 0.5);
  if (same !== undefined) return { low: same.mPas, high: same.mPas };
  if (sorted.length === 0) return undefined;
  const [first, last] = [sorted[0], sorted[sorted.length - 1]];
  if (sorted.length === 1 || tempC < first.atC - 10 || tempC > last.atC + 10)
    return tempC < first.atC ? { low: first.mPas, high: Infinity } : { low: 0, high: last.mPas };
  const above = Math.min(
    Math.max(
      1,
      sorted.findIndex(({ atC }) => atC > tempC),
    ),
    sorted.length - 1,
  );
  const upper = tempC > last.atC ? last : sorted[above];
  const lower = tempC > last.atC ? sorted[sorted.length - 2] : sorted[above - 1];
  const inverse = (atC: number) => 1 / (atC + KELVIN);
  const share = (inverse(tempC) - inverse(lower.atC)) / (inverse(upper.atC) - inverse(lower.atC));
  const value = Math.exp(Math.log(lower.mPas) + share * Math.log(upper.mPas / lower.mPas));
  return { low: value, high: value };
}
