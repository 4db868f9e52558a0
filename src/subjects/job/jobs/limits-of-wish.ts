import {
  type ClearanceBand,
  type FitClasses,
  type FitConditions,
  type FitLimits,
  MATERIAL_FACTS,
  type Mate as MeasuredMate,
  targetForMate,
  wishedClearance,
} from '@/core/fit/mating';
import { quoteOf } from '@/core/resin';
import { ASSUMED_MATE_U_MM, type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/workshop/settings';

/** A stored mate as a fit takes it; undefined while it was never measured. */
export function mateOf(mate: queries.Mate | undefined): MeasuredMate | undefined {
  if (mate === undefined || mate.sizeMm === null) return undefined;
  return {
    sizeMm: mate.sizeMm,
    u_mm: mate.uMm ?? ASSUMED_MATE_U_MM,
    expansionPerK: mate.material === 'resin' ? undefined : MATERIAL_FACTS[mate.material].expansionPerK,
  };
}

/** What the fits of a job depend on. */
export interface WishGround {
  /** Classes it was agreed with. */
  readonly classes: FitClasses;
  /** Thermal expansion of its resin, 1/K; undefined while its datasheet does not state it. */
  readonly partExpansionPerK?: number;
}

/**
 * The fit classes that a job was agreed with, those in the settings until they change, and the expansion of its resin.
 */
export function wishGround(db: Db, job: queries.Job): WishGround {
  const sheet = job.profileId === null ? undefined : queries.findProfile(db, job.profileId)?.resin.sheet;
  const expansion = sheet && quoteOf(sheet, 'expansion_um_mK')?.value;
  return {
    classes: job.agreedClasses ?? readHouseRules(db).fitClasses,
    partExpansionPerK: expansion === undefined ? undefined : expansion * 1e-6,
  };
}

/** What happens to a feature's fit between print and use. */
export function conditionsOf(job: queries.Job, feature: queries.Feature, ground: WishGround): FitConditions {
  return {
    serviceC: job.fitC ?? 20,
    coatMm: feature.coatMm,
    partExpansionPerK: ground.partExpansionPerK,
  };
}

/** Returns the wanted clearance of a feature: its own, or that of its fit at the mate's size. */
export function bandOf(
  feature: queries.Feature,
  mateMm: number,
  classes: FitClasses,
): ClearanceBand | undefined {
  if (feature.bandLowMm !== null && feature.bandHighMm !== null)
    return { lowMm: feature.bandLowMm, highMm: feature.bandHighMm };
  return feature.wish === null ? undefined : wishedClearance(feature.wish, mateMm, classes);
}

/** Returns target and limits of a feature with a fit; undefined without a fit or a measured mate. */
export function limitsOf(
  job: queries.Job,
  feature: queries.Feature,
  mate: queries.Mate | undefined,
  ground: WishGround,
): FitLimits | undefined {
  const body = mateOf(mate);
  const band = body && bandOf(feature, body.sizeMm, ground.classes);
  return body === undefined || band === undefined
    ? undefined
    : targetForMate(feature.sense, body, band, conditionsOf(job, feature, ground));
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
