/** A temperature at which a bar under a stress sagged, °C and MPa. */
export interface HeatPoint {
  readonly stressMPa: number;
  readonly tempC: number;
}

/**
 * Deflection temperature at a part's own stress: linear in log stress between tests, the lowest test's below it,
 * undefined above the highest. A lone upper test so holds at every lower stress, a lone lower one not above its own.
 * Source: ISO 75-1, ASTM D648 for the tests; the interpolation is a convention of this project.
 * Example: 62 °C at 0.45 MPa and 49 °C at 1.82 MPa, part at 0.8 MPa → 56.65 °C.
 */
export function deflectionAt(points: readonly HeatPoint[], stressMPa: number): number | undefined {
  const sorted = [...points].sort((a, b) => a.stressMPa - b.stressMPa);
  const above = sorted.findIndex((point) => point.stressMPa >= stressMPa - 1e-9);
  if (above < 0) return undefined;
  const upper = sorted[above];
  if (above === 0) return upper.tempC;
  const lower = sorted[above - 1];
  const share = Math.log(stressMPa / lower.stressMPa) / Math.log(upper.stressMPa / lower.stressMPa);
  return lower.tempC + share * (upper.tempC - lower.tempC);
}

/** The stress up to which a temperature is stood, MPa; undefined when no tested stress allows it. */
export function stressAllowing(points: readonly HeatPoint[], tempC: number): number | undefined {
  const sorted = [...points].sort((a, b) => a.stressMPa - b.stressMPa);
  const last = sorted.findLastIndex((point) => point.tempC >= tempC);
  if (last < 0) return undefined;
  const [lower, upper] = [sorted[last], sorted[last + 1]];
  if (upper === undefined) return lower.stressMPa;
  const share = (lower.tempC - tempC) / (lower.tempC - upper.tempC);
  return lower.stressMPa * (upper.stressMPa / lower.stressMPa) ** share;
}
