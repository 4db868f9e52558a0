/** What is known of a caliper before it touches a part. */
export interface Instrument {
  /** Limit of error (MPE), mm: the largest error its maker or a check piece allows, either way. */
  readonly mpeMm: number;
  /** Step of its display, mm. */
  readonly resolutionMm: number;
  /** Width of the flats on the inside jaws, mm; 'unknown' if it was not measured; undefined: no correction. */
  readonly jawFlatMm?: number | 'unknown';
  /** Of steel, so that its scale grows with its warmth; false: of carbon fibre or plastic, taken as not growing. Default true. */
  readonly steel?: boolean;
  /** Scatter of one reading before any repeat exists, mm; the resolution when not stated. */
  readonly repeatabilityMm?: number;
}

export const DEFAULT_INSTRUMENT: Instrument = Object.freeze({ mpeMm: 0.02, resolutionMm: 0.01 });

export const STEEL_EXPANSION_PER_K = 11.5e-6;
export const RESIN_EXPANSION_PER_K = 90e-6;
/** Standard uncertainty of a temperature that was not measured, K. */
export const UNKNOWN_TEMPERATURE_U_K = 3;

/** What is known of the warmth of a sitting; one of the two left out counts as the other. */
export interface Warmth {
  readonly partC?: number;
  readonly instrumentC?: number;
  /** Thermal expansion of the resin, 1/K; default RESIN_EXPANSION_PER_K. */
  readonly partExpansionPerK?: number;
}

/** Circumstances shared by all readings of a session. */
interface ReadingConditions extends Warmth {
  /** What the closed jaws show, mm. */
  readonly zeroMm?: number;
}

function expansionsOf({ steel = true }: Pick<Instrument, 'steel'>, { partExpansionPerK }: Warmth) {
  return {
    part: partExpansionPerK ?? RESIN_EXPANSION_PER_K,
    instrument: steel ? STEEL_EXPANSION_PER_K : 0,
  };
}

/**
 * Standard uncertainty that the temperatures leave in a corrected size, per mm of it: one unknown of the whole sitting, the
 * same for all its readings. 0 where both were measured; with neither, part and instrument share one unknown warmth.
 * Source: docs/methods.md §1. Example: nothing known, steel → 3·(90 − 11.5)e-6 = 2.355e-4
 */
export function warmthU(instrument: Pick<Instrument, 'steel'>, warmth: Warmth): number {
  const grows = expansionsOf(instrument, warmth);
  if (warmth.partC !== undefined)
    return warmth.instrumentC === undefined ? UNKNOWN_TEMPERATURE_U_K * grows.instrument : 0;
  const part = warmth.instrumentC === undefined ? grows.part - grows.instrument : grows.part;
  return UNKNOWN_TEMPERATURE_U_K * Math.abs(part);
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
  const partC = conditions.partC ?? conditions.instrumentC;
  if (partC === undefined) return bore;
  const instrumentC = conditions.instrumentC ?? partC;
  const grows = expansionsOf(instrument, conditions);
  return bore * (1 + grows.instrument * (instrumentC - 20) - grows.part * (partC - 20));
}
