import { typeBUncertainty, scatterOfReading, meanOf, pooledScatter } from './size';
import type { Sense } from './feature';
import type { Instrument } from './instrument';

/** How a round body was taken: all three are one size, its diameter. */
export const READ_AS = ['diameter', 'radius', 'circumference'] as const;
export type ReadAs = (typeof READ_AS)[number];

/** The diameter that a radius or a taped circumference stands for, mm. */
export function asDiameter(readingMm: number, readAs: ReadAs): number {
  return readAs === 'radius' ? 2 * readingMm : readAs === 'circumference' ? readingMm / Math.PI : readingMm;
}

/** One reading of a body, with where on it: level along its depth, turn around it; both counted from 0. */
export interface PlacedReading {
  readonly mm: number;
  readonly level: number;
  readonly turn: number;
}

export type BodyNote =
  /** The readings lie further apart than ten limits of error: a slip, or another place than meant. */
  | { readonly code: 'disagree'; readonly lowMm: number; readonly highMm: number; readonly mpeMm: number }
  | { readonly code: 'outOfRound'; readonly byMm: number }
  | { readonly code: 'tapers'; readonly byMm: number }
  | { readonly code: 'readOnce' };

/** What a body's readings come to. */
export interface BodySize {
  /** The size that a fit is taken from: the limiting one where its form exceeds U, the mean otherwise. */
  readonly sizeMm: number;
  readonly u_mm: number;
  readonly meanMm: number;
  readonly lowMm: number;
  readonly highMm: number;
  readonly decidedBy: 'mean' | 'limit';
  readonly count: number;
  readonly notes: readonly BodyNote[];
}

/** Expanded uncertainty of a difference between two places read with one instrument: its bias cancels. */
function differenceU(sMm: number, resolutionMm: number): number {
  return 2 * Math.sqrt(2 * (sMm * sMm + (resolutionMm * resolutionMm) / 12));
}

function groupMeans(readings: readonly PlacedReading[], keyOf: (reading: PlacedReading) => string): number[] {
  const groups = new Map<string, number[]>();
  for (const reading of readings) {
    const key = keyOf(reading);
    groups.set(key, [...(groups.get(key) ?? []), reading.mm]);
  }
  return [...groups.values()].map(meanOf);
}

function rangeOf(values: readonly number[]): number {
  return Math.max(...values) - Math.min(...values);
}

/**
 * Size of a body from readings around and along it. What differs from place to place is its form, not noise: it is
 * compared with U of a difference, and where it is larger the limiting place decides, the smallest of a bore and the
 * largest of a shaft. Repeats at one place give the scatter. Throws RangeError for an empty list.
 * Source: JCGM 100:2008; ISO 14405-1 (local sizes, limiting two-point size).
 */
export function estimateBody(
  readings: readonly PlacedReading[],
  sense: Sense,
  instrument: Instrument,
): BodySize {
  if (readings.length === 0) throw new RangeError('estimateBody: at least one reading is needed');
  const values = readings.map(({ mm }) => mm);
  const places = new Map<string, number[]>();
  for (const { mm, level, turn } of readings) {
    const key = `${level}/${turn}`;
    places.set(key, [...(places.get(key) ?? []), mm]);
  }
  const pooled = pooledScatter([...places.values()]);
  const sMm = Math.max(scatterOfReading(1, instrument, pooled), instrument.resolutionMm / Math.sqrt(12));
  const placeMeans = [...places.values()].map(meanOf);
  const levels = groupMeans(readings, ({ level }) => String(level));
  const byLevel = new Map<number, PlacedReading[]>();
  for (const reading of readings)
    byLevel.set(reading.level, [...(byLevel.get(reading.level) ?? []), reading]);
  const roundness = Math.max(
    ...[...byLevel.values()].map((own) => rangeOf(groupMeans(own, ({ turn }) => String(turn)))),
  );
  const taper = rangeOf(levels);
  const U = differenceU(sMm, instrument.resolutionMm);
  const [lowMm, highMm] = [Math.min(...placeMeans), Math.max(...placeMeans)];
  const notes: BodyNote[] = [];
  if (rangeOf(values) > 10 * instrument.mpeMm)
    notes.push({
      code: 'disagree',
      lowMm: Math.min(...values),
      highMm: Math.max(...values),
      mpeMm: instrument.mpeMm,
    });
  if (roundness > U) notes.push({ code: 'outOfRound', byMm: roundness });
  if (taper > U) notes.push({ code: 'tapers', byMm: taper });
  if (readings.length === 1) notes.push({ code: 'readOnce' });
  const limited = sense !== 'pitch' && rangeOf(placeMeans) > U;
  const meanMm = meanOf(values);
  const sizeMm = !limited ? meanMm : sense === 'inside' ? lowMm : highMm;
  const decisive = [...places.values()].filter((own) => meanOf(own) === sizeMm);
  const repeats = limited ? Math.max(...decisive.map((own) => own.length)) : readings.length;
  const uTypeA = sMm / Math.sqrt(repeats);
  const u_mm = Math.hypot(uTypeA, typeBUncertainty(sizeMm, { instrument }));
  return {
    sizeMm,
    u_mm,
    meanMm,
    lowMm,
    highMm,
    decidedBy: limited ? 'limit' : 'mean',
    count: readings.length,
    notes,
  };
}
