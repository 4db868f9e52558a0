import type { FeatureKind, Instrument } from '@/core/metrology';

/** One corrected reading of one feature in one print, as the signature learns from it. */
export interface SignatureReading extends FeatureKind {
  readonly feature: string;
  readonly print: string;
  /** Size in the file that was printed, mm. */
  readonly drawnMm: number;
  /** Corrected for zero, temperature and jaw flats, mm. */
  readonly readingMm: number;
  /** What the display showed before corrections, mm: exchanged digits are looked for there. Default readingMm. */
  readonly shownMm?: number;
  /** Which instrument; its bias is one unknown per jaw kind. Left out: the one of the options. */
  readonly instrument?: string;
  /** Sitting whose warmth nobody measured: one unknown for all its readings, of this standard uncertainty per mm. */
  readonly warmth?: { readonly sitting: string; readonly u: number };
  /** Where it came from (a line of a file, a row of a table); handed back with doubts. */
  readonly source?: number;
}

/** A caliper under the name that readings give. */
export type Instruments = Readonly<Record<string, Instrument>>;
export const ONLY_INSTRUMENT = '';
