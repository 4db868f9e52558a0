import type { FitTarget } from '@/core/fit/mating';
import {
  correctReading,
  type FeatureKind,
  type Instrument,
  type PartState,
  sameKind,
  type Warmth,
  warmthU,
} from '@/core/measure';
import type { PlatePlace, SignatureReading } from '@/core/signature';
import type * as queries from './queries';
import type * as tables from './schema';

type KindRow = Pick<queries.Feature, 'sense' | 'shape' | 'axis' | 'angleRad' | 'base'>;

/** Returns the computable type of a stored feature, for the next print or as printed. */
export function kindOf(feature: KindRow): FeatureKind {
  return {
    sense: feature.sense,
    shape: feature.shape,
    axis: feature.axis,
    angleRad: feature.angleRad ?? undefined,
    base: feature.base ?? undefined,
  };
}

/** The same as columns of a row. */
export function kindColumns({ sense, shape, axis, angleRad, base }: FeatureKind) {
  return { sense, shape, axis, angleRad: angleRad ?? null, base: base ?? null };
}

/** Standard uncertainty of a mate whose size was typed without one, mm. */
export const ASSUMED_MATE_U_MM = 0.01;

/**
 * Returns the state in which the limits of a feature apply. A fit with a coat gives a bare size that the coat then
 * brings to its clearance, so it counts before the coat.
 */
export function limitState(
  { fitState }: Pick<queries.Job, 'fitState'>,
  { wish, coatMm }: Pick<queries.Feature, 'wish' | 'coatMm'>,
): PartState {
  return wish !== null && coatMm > 0 && fitState === 'coated' ? 'cured' : fitState;
}

/** Of a job, what its targets are made of. */
interface Wanted {
  readonly mates: readonly queries.Mate[];
  readonly job: Pick<queries.Job, 'fitState'>;
  /** Where its features lie on the plate, as far as somebody said where it stood last time. */
  readonly places?: ReadonlyMap<number, PlatePlace>;
}

/**
 * Returns the place of a feature on the plate, from the plate's centre, mm; undefined if the place of its part is
 * unknown.
 */
export function placeOnPlate(
  part: { readonly xMm: number | null; readonly yMm: number | null },
  { offsetXMm, offsetYMm }: Pick<queries.PrintedFeature, 'offsetXMm' | 'offsetYMm'>,
): PlatePlace | undefined {
  if (part.xMm === null || part.yMm === null) return undefined;
  return { xMm: part.xMm + (offsetXMm ?? 0), yMm: part.yMm + (offsetYMm ?? 0) };
}

/** Returns the requirement of a feature; where a fit decides, the uncertainty of its mate counts too. */
export function targetOf(feature: queries.Feature, { mates, job, places }: Wanted): FitTarget {
  const state = limitState(job, feature);
  const mate = mates.find(({ id }) => id === feature.mateId);
  const mated = feature.wish !== null && mate !== undefined && mate.sizeMm !== null;
  return {
    feature: featureKey(feature.id),
    kind: kindOf(feature),
    place: places?.get(feature.id),
    targetMm: feature.targetMm,
    lowerDeviationMm: feature.lowerDeviationMm,
    upperDeviationMm: feature.upperDeviationMm,
    mateU_mm: mated ? (mate.uMm ?? ASSUMED_MATE_U_MM) : undefined,
    ruin: feature.ruin,
    state,
    coatMm: state === 'coated' ? feature.coatMm : undefined,
  };
}

export function instrumentOf(row: typeof tables.instruments.$inferSelect): Instrument {
  return {
    mpeMm: row.mpeMm,
    resolutionMm: row.resolutionMm,
    steel: row.steel,
    jawFlatMm: row.jawFlatUnknown ? 'unknown' : (row.jawFlatMm ?? undefined),
  };
}

/** Names under which features and prints enter the signature: ids, so that a renaming loses nothing. */
export function featureKey(featureId: number): string {
  return `f${featureId}`;
}

interface Printed {
  readonly feature: Pick<queries.LeanReading['feature'], 'id'> & KindRow;
  /** The feature as it lay in that print. */
  readonly printed: KindRow;
}

/**
 * The same for a feature as printed: one that was rotated since has another repeatable deviation, under its own name.
 */
export function printedKey({ feature, printed }: Printed): string {
  const [now, then] = [kindOf(feature), kindOf(printed)];
  if (sameKind(now, then)) return featureKey(feature.id);
  const { sense, shape, axis, angleRad = '', base = '' } = then;
  return [featureKey(feature.id), sense, shape, axis, angleRad, base].join('~');
}

/** The feature that a key of it stands for. */
export function featureIdOf(key: string): number {
  return Number.parseInt(key.slice(1), 10);
}

export function printKey(printId: number): string {
  return `p${printId}`;
}

/** The run of the printer that a print came out of: copies of one run share its drift. */
export function runKey({
  runId,
  attemptId,
  run,
}: Pick<queries.Print, 'runId' | 'attemptId' | 'run'>): string {
  return runId === null ? `a${attemptId}.${run}` : `r${runId}`;
}

/** First layers flare: sizes in the plane read lower than this above the plate are kept apart, mm. */
export const LEAST_HEIGHT_MM = 1;

export function isAtPlate({ heightMm, printed }: Pick<queries.LeanReading, 'heightMm' | 'printed'>): boolean {
  return printed.axis !== 'Z' && heightMm !== null && heightMm < LEAST_HEIGHT_MM;
}

/** The sitting and the instrument that a reading was taken with. */
type ReadWith = Pick<queries.LeanReading, 'session' | 'instrument' | 'partExpansionPerK'>;

/** What is known of the warmth of the sitting in which a reading was taken. */
function warmthOfReading({ session, partExpansionPerK }: ReadWith): Warmth {
  return {
    partC: session.partC ?? undefined,
    instrumentC: session.instrumentC ?? undefined,
    partExpansionPerK,
  };
}

export function correctedMm(reading: ReadWith & Pick<queries.LeanReading, 'readingMm' | 'printed'>): number {
  const { session, instrument, printed } = reading;
  return correctReading(reading.readingMm, kindOf(printed), instrumentOf(instrument), {
    zeroMm: session.zeroMm,
    ...warmthOfReading(reading),
  });
}

/** The sitting of a reading as an unknown that all its readings share; undefined where both temperatures were measured. */
export function unknownWarmth(reading: ReadWith): SignatureReading['warmth'] {
  const u = warmthU(instrumentOf(reading.instrument), warmthOfReading(reading));
  return u === 0 ? undefined : { sitting: `s${reading.session.id}`, u };
}

/** Standard uncertainty per mm that the temperatures leave in the mean of readings; those of one sitting share it. */
export function warmthUOf(readings: readonly ReadWith[]): number {
  const sittings = new Map<number, { u: number; count: number }>();
  for (const reading of readings) {
    const known = sittings.get(reading.session.id);
    const u = known?.u ?? unknownWarmth(reading)?.u ?? 0;
    sittings.set(reading.session.id, { u, count: (known?.count ?? 0) + 1 });
  }
  return Math.hypot(...[...sittings.values()].map(({ u, count }) => (u * count) / readings.length));
}
