import type { FitTarget } from '@/core/fits';
import { correctReading, type FeatureKind, type Instrument } from '@/core/metrology';
import type * as queries from './queries';
import type * as tables from './schema';

/** The computable kind of a stored feature. */
export function kindOf(feature: queries.Feature): FeatureKind {
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

/** What a feature asks for; where a wish decides, the doubt about its mate counts too. */
export function targetOf(feature: queries.Feature, mates: readonly queries.Mate[]): FitTarget {
  const mate = mates.find(({ id }) => id === feature.mateId);
  const mated = feature.wish !== null && mate !== undefined && mate.sizeMm !== null;
  return {
    feature: featureKey(feature.id),
    kind: kindOf(feature),
    targetMm: feature.targetMm,
    lowerMm: feature.lowerMm,
    upperMm: feature.upperMm,
    mateU_mm: mated ? (mate.uMm ?? ASSUMED_MATE_U_MM) : undefined,
    ruin: feature.ruin,
  };
}

export function instrumentOf(row: typeof tables.instruments.$inferSelect): Instrument {
  return {
    mpeMm: row.mpeMm,
    resolutionMm: row.resolutionMm,
    jawFlatMm: row.jawFlatUnknown ? 'unknown' : (row.jawFlatMm ?? undefined),
  };
}

/** Names under which features and prints enter the signature: ids, so that a renaming loses nothing. */
export function featureKey(featureId: number): string {
  return `f${featureId}`;
}

export function printKey(printId: number): string {
  return `p${printId}`;
}

/** First layers flare: sizes in the plane read lower than this above the plate are kept apart, mm. */
const LEAST_HEIGHT_MM = 1;

export function isAtPlate({
  heightMm,
  feature,
}: Pick<queries.StandingReading, 'heightMm' | 'feature'>): boolean {
  return feature.axis !== 'Z' && heightMm !== null && heightMm < LEAST_HEIGHT_MM;
}

export function correctedMm(reading: queries.StandingReading): number {
  const { session, instrument, feature } = reading;
  return correctReading(reading.readingMm, kindOf(feature), instrumentOf(instrument), {
    zeroMm: session.zeroMm,
    partC: session.partC ?? undefined,
    instrumentC: session.instrumentC ?? undefined,
  });
}
