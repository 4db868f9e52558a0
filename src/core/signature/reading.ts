import type { FeatureKind, Instrument, Jaw, PartState } from '@/core/measure';
import type { PlatePlace } from './law';

/** One corrected reading of one feature in one print, as the signature learns from it. */
export interface SignatureReading extends FeatureKind {
  readonly feature: string;
  readonly print: string;
  /** The run of the printer that it came out of: copies of one run share its drift. Default: a run of its own. */
  readonly run?: string;
  /** Size in the file that was printed, mm. */
  readonly drawnMm: number;
  /** Corrected for zero, temperature and jaw flats, mm. */
  readonly readingMm: number;
  /** What the display showed before corrections, mm: exchanged digits are looked for there. Default readingMm. */
  readonly shownMm?: number;
  /** State of the print when it was read; default cured. */
  readonly state?: PartState;
  /** Thickness of the coat on each face, mm; a coated reading needs it. */
  readonly coatMm?: number;
  /** Place of the feature on the plate; left out if unknown. */
  readonly place?: PlatePlace;
  /** Which instrument; its bias is one unknown per jaw kind. Left out: the one of the options. */
  readonly instrument?: string;
  /** Session without measured temperatures: one unknown for all its readings, with this standard uncertainty per mm. */
  readonly warmth?: { readonly sitting: string; readonly u: number };
  /** Where it came from (a line of a file, a row of a table); handed back with doubts. */
  readonly source?: number;
}

/** A reading of a piece of known size: it tells the bias of that jaw of that instrument. */
export interface CheckReading {
  readonly instrument?: string;
  readonly jaw: Jaw;
  readonly knownMm: number;
  /** Standard uncertainty of the piece, mm. */
  readonly u_mm: number;
  readonly readingMm: number;
}

/** A caliper under the name that readings give. */
export type Instruments = Readonly<Record<string, Instrument>>;
export const ONLY_INSTRUMENT = '';
