import {
  DEFAULT_INSTRUMENT,
  jawOf,
  meanOf,
  pooledScatter,
  repeatU,
  scatterOfReading,
  type FeatureKind,
  type Instrument,
  type Jaw,
} from '@/core/metrology';
import { ONLY_INSTRUMENT, type Instruments, type SignatureReading } from './reading';

/** The mean of the repeats of one feature in one print with one instrument, in one sitting where its warmth is unknown. */
export interface Observation {
  readonly feature: string;
  readonly print: string;
  readonly instrument: string;
  readonly kind: FeatureKind;
  readonly jaw: Jaw | undefined;
  readonly drawnMm: number;
  readonly warmth: SignatureReading['warmth'];
  readonly readings: readonly SignatureReading[];
  readonly sizeMm: number;
  /** Standard uncertainty of repeats and resolution only, mm. */
  readonly u_mm: number;
}

export function instrumentNamed(instruments: Instruments, name: string | undefined): Instrument {
  return instruments[name ?? ONLY_INSTRUMENT] ?? DEFAULT_INSTRUMENT;
}

/** Groups readings by feature, print and instrument; order of first appearance, one feature's observations together. */
export function groupObservations(
  readings: readonly SignatureReading[],
  instruments: Instruments,
): Observation[] {
  const byFeature = new Map<string, Map<string, SignatureReading[]>>();
  for (const reading of readings) {
    const groups = byFeature.get(reading.feature) ?? new Map<string, SignatureReading[]>();
    byFeature.set(reading.feature, groups);
    const key = JSON.stringify([
      reading.print,
      reading.instrument ?? ONLY_INSTRUMENT,
      reading.warmth?.sitting,
    ]);
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [reading]);
    else group.push(reading);
  }
  const groups = [...byFeature.values()].flatMap((prints) => [...prints.values()]);
  const pooled = pooledScatter(groups.map((group) => group.map((reading) => reading.readingMm)));
  return groups.map((group) => {
    const first = group[0];
    const instrument = instrumentNamed(instruments, first.instrument);
    const s = scatterOfReading(group.length, instrument, pooled);
    return {
      feature: first.feature,
      print: first.print,
      instrument: first.instrument ?? ONLY_INSTRUMENT,
      kind: first,
      jaw: jawOf(first.sense),
      drawnMm: first.drawnMm,
      warmth: first.warmth,
      readings: group,
      sizeMm: meanOf(group.map((reading) => reading.readingMm)),
      u_mm: repeatU(group.length, s, instrument.resolutionMm),
    };
  });
}
