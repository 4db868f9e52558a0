import {
  type ClearanceBand,
  type FitClasses,
  type FitConditions,
  type FitLimits,
  MATERIAL_FACTS,
  type Mate as MeasuredMate,
  targetForMate,
  wishedClearance,
} from '@/core/fits';
import { ASSUMED_MATE_U_MM, queries } from '@/store';

/** A stored mate as a fit takes it; undefined while it was never measured. */
export function mateOf(mate: queries.Mate | undefined): MeasuredMate | undefined {
  if (mate === undefined || mate.sizeMm === null) return undefined;
  return {
    sizeMm: mate.sizeMm,
    u_mm: mate.uMm ?? ASSUMED_MATE_U_MM,
    expansionPerK: mate.material === 'resin' ? undefined : MATERIAL_FACTS[mate.material].expansionPerK,
  };
}

/** What happens to a feature's fit between print and use. */
export function conditionsOf(job: queries.Job, feature: queries.Feature): FitConditions {
  return { serviceC: job.fitC ?? 20, coatMm: feature.coatMm };
}

/** The clearance that is wished of a feature: its own, or that of its class at the mate's size. */
export function bandOf(
  feature: queries.Feature,
  mateMm: number,
  classes: FitClasses,
): ClearanceBand | undefined {
  if (feature.bandLowMm !== null && feature.bandHighMm !== null)
    return { lowMm: feature.bandLowMm, highMm: feature.bandHighMm };
  return feature.wish === null ? undefined : wishedClearance(feature.wish, mateMm, classes);
}

/** Target and limits that a wished feature asks for; undefined without a wish or a measured mate. */
export function limitsOf(
  job: queries.Job,
  feature: queries.Feature,
  mate: queries.Mate | undefined,
  classes: FitClasses,
): FitLimits | undefined {
  const body = mateOf(mate);
  const band = body && bandOf(feature, body.sizeMm, classes);
  return body === undefined || band === undefined
    ? undefined
    : targetForMate(feature.sense, body, band, conditionsOf(job, feature));
}

/** A feature whose limits were typed by hand. */
export const NO_WISH = {
  wish: null,
  bandLowMm: null,
  bandHighMm: null,
  isoFit: null,
  ruin: 'none',
  coatMm: 0,
} as const;
