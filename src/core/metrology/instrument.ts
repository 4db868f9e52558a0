/** What is known of a caliper before it touches a part. */
export interface Instrument {
  /** Limit of error, mm: the largest error its maker or a check piece allows, either way. */
  readonly mpeMm: number;
  /** Step of its display, mm. */
  readonly resolutionMm: number;
  /** Width of the flats on the inside jaws, mm; 'unknown' when nobody measured them; undefined: no correction wished. */
  readonly jawFlatMm?: number | 'unknown';
  /** Scatter of one reading before any repeat exists, mm; the resolution when not stated. */
  readonly repeatabilityMm?: number;
}

export const DEFAULT_INSTRUMENT: Instrument = Object.freeze({ mpeMm: 0.02, resolutionMm: 0.01 });

export const STEEL_EXPANSION_PER_K = 11.5e-6;
export const RESIN_EXPANSION_PER_K = 90e-6;
/** Standard uncertainty of part minus instrument temperature when nobody measured it, K. */
export const UNKNOWN_TEMPERATURE_U_K = 3;

/** Circumstances shared by all readings of a session. */
interface ReadingConditions {
  /** What the closed jaws show, mm. */
  readonly zeroMm?: number;
  readonly partC?: number;
  readonly instrumentC?: number;
  readonly partExpansionPerK?: number;
}

/**
 * One reading brought to 20 °C, zero taken off, jaw flats allowed for; mm.
 * Flats of width w bridge a round hole of diameter D and read √(D² − w²).
 * Source: ISO 1 (reference temperature), JCGM 100:2008 F.1.2.4.
 * Example: correctReading(7.98, { sense: 'inside', shape: 'round' }, { ...caliper, jawFlatMm: 0.5 }) → 7.9956…
 */
export function correctReading(
  readingMm: number,
  kind: { readonly sense: string; readonly shape: string },
  instrument: Instrument,
  conditions: ReadingConditions = {},
): number {
  const atZero = readingMm - (conditions.zeroMm ?? 0);
  const flat = instrument.jawFlatMm;
  const bridged = kind.sense === 'inside' && kind.shape === 'round' && typeof flat === 'number';
  const bore = bridged ? Math.sqrt(atZero * atZero + flat * flat) : atZero;
  if (conditions.partC === undefined) return bore;
  const instrumentC = conditions.instrumentC ?? conditions.partC;
  const partGrowth = (conditions.partExpansionPerK ?? RESIN_EXPANSION_PER_K) * (conditions.partC - 20);
  return bore * (1 + STEEL_EXPANSION_PER_K * (instrumentC - 20) - partGrowth);
}
