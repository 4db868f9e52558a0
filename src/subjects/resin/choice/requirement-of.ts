import { claimOf } from '@/core/job/need';
import { NO_REQUIREMENT, type Requirement } from '@/core/resin';
import { type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/workshop/settings';

/**
 * Maximum daily water uptake of a part that stays wet, as a fraction: above it the part swells out of an ordinary fit.
 */
const WET_UPTAKE = 0.015;

/** What the need, the fits and the settings require of the resin, before anything was added in Resin. */
export function requirementFromNeed(db: Db, job: queries.Job): Requirement {
  const { liquids, roomC } = readHouseRules(db);
  const strains = Object.values(job.strainAsked);
  return {
    ...NO_REQUIREMENT,
    serviceMax_C: job.hottestC,
    strainMax: strains.length === 0 ? null : Math.max(...strains),
    claims: job.claims.flatMap((claim) => claimOf(claim).rating?.word ?? []),
    waterUptakeMax: job.claims.includes('water') ? WET_UPTAKE : null,
    washWith: liquids,
    room_C: roomC ?? null,
  };
}

/**
 * Returns what a job requires of its resin: values typed in Resin replace those that follow from the rest. A claim of
 * the need can only be added to there, not removed.
 */
export function requirementOf(db: Db, job: queries.Job): Requirement {
  const base = requirementFromNeed(db, job);
  const claims = [...new Set([...base.claims, ...(job.requirement.claims ?? [])])];
  return { ...base, ...job.requirement, claims };
}

export const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
