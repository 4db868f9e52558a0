import type { FeatureKind, Instrument } from '@/core/metrology';
import type { Target } from '@/core/signature';
import type { queries, tables } from '@/db';

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

export function targetOf(feature: queries.Feature): Target {
  return {
    feature: featureKey(feature.id),
    kind: kindOf(feature),
    targetMm: feature.targetMm,
    lowerMm: feature.lowerMm,
    upperMm: feature.upperMm,
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
