import {
  DEFAULT_INSTRUMENT,
  jawOf,
  meanOf,
  type PartState,
  pooledScatter,
  type PooledScatter,
  repeatU,
  scatterOfReading,
  type FeatureKind,
  type Instrument,
  type Jaw,
} from '@/core/measure';
import type { PlatePlace } from './law';
import { ONLY_INSTRUMENT, type Instruments, type SignatureReading } from './reading';

/** The mean of the repeats of one feature in one print, in one state, with one instrument, in one sitting where its warmth is unknown. */
export interface Observation {
  readonly feature: string;
  readonly print: string;
  readonly run: string | undefined;
  readonly state: PartState;
  readonly coatMm: number | undefined;
  readonly place: PlatePlace | undefined;
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

/** From this many repeats on, the pooled scatter is rounded to steps. */
const MANY_REPEATS = 200;
const STEP = 0.05;

/** The scatter nearest to `sMm` that lies a whole number of steps (each a share of itself) from `fromMm`. */
export function inSteps(sMm: number, fromMm: number, share: number): number {
  if (!(sMm > 0 && fromMm > 0)) return sMm;
  const step = Math.log1p(share);
  const steps = Math.round(Math.log(sMm / fromMm) / step);
  return steps === 0 ? fromMm : fromMm * Math.exp(step * steps);
}

/**
 * Returns the pooled scatter that a signature uses. From 200 repeats on, when it is known to 5 % itself, it is rounded
 * to steps of 5 %: so one more reading leaves the noise of all others, and everything computed from it, unchanged.
 */
export function steadyScatter(pooled: PooledScatter | undefined): PooledScatter | undefined {
  return pooled === undefined || pooled.dof < MANY_REPEATS
    ? pooled
    : { ...pooled, sMm: inSteps(pooled.sMm, 0.001, STEP) };
}

/** u of an observation's mean from repeats and resolution, at a pooled scatter, mm. */
export function observationU(
  count: number,
  instrument: Instrument,
  pooled: PooledScatter | undefined,
): number {
  return repeatU(count, scatterOfReading(count, instrument, pooled), instrument.resolutionMm);
}

function groupKey({ print, state, instrument, warmth, coatMm }: SignatureReading): string {
  return JSON.stringify([print, state ?? 'cured', instrument ?? ONLY_INSTRUMENT, warmth?.sitting, coatMm]);
}

/** Groups readings by feature, print, state and instrument; order of first appearance, one feature's observations together. */
export function groupObservations(
  readings: readonly SignatureReading[],
  instruments: Instruments,
): Observation[] {
  const byFeature = new Map<string, Map<string, SignatureReading[]>>();
  for (const reading of readings) {
    const groups = byFeature.get(reading.feature) ?? new Map<string, SignatureReading[]>();
    byFeature.set(reading.feature, groups);
    const key = groupKey(reading);
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [reading]);
    else group.push(reading);
  }
  const groups = [...byFeature.values()].flatMap((prints) => [...prints.values()]);
  const pooled = steadyScatter(
    pooledScatter(groups.map((group) => group.map((reading) => reading.readingMm))),
  );
  return groups.map((group) => {
    const first = group[0];
    const { sense, shape, axis, angleRad, base } = first;
    return {
      feature: first.feature,
      print: first.print,
      run: first.run,
      state: first.state ?? 'cured',
      coatMm: first.coatMm,
      place: first.place,
      instrument: first.instrument ?? ONLY_INSTRUMENT,
      kind: { sense, shape, axis, angleRad, base },
      jaw: jawOf(first.sense),
      drawnMm: first.drawnMm,
      warmth: first.warmth,
      readings: group,
      sizeMm: meanOf(group.map((reading) => reading.readingMm)),
      u_mm: observationU(group.length, instrumentNamed(instruments, first.instrument), pooled),
    };
  });
}
