import type { Claim } from '@/core/need';
import { NO_REQUIREMENT, type Requirement } from '@/core/resins';
import { type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/house';

/** Claims of a need that only a resin rated for them may meet; pressure and vehicles have no rating, only cautions. */
const RATED_CLAIMS: Partial<Record<Claim, string>> = {
  mains: 'mains',
  skin: 'skin',
  mouth: 'mouth',
  food: 'food',
  sterile: 'sterile',
  heat: 'flame',
};

/** What a part that stays wet may take up in a day, as a share: with more it swells out of an ordinary fit. */
const WET_UPTAKE = 0.015;

/** What the need, the fits and the house ask of the resin, before anything was added under Resin. */
export function requirementFromNeed(db: Db, job: queries.Job): Requirement {
  const { liquids, roomC } = readHouseRules(db);
  const strains = Object.values(job.strainAsked);
  return {
    ...NO_REQUIREMENT,
    serviceMax_C: job.hottestC,
    strainMax: strains.length === 0 ? null : Math.max(...strains),
    claims: job.claims.flatMap((claim) => RATED_CLAIMS[claim] ?? []),
    waterUptakeMax: job.claims.includes('water') ? WET_UPTAKE : null,
    washWith: liquids,
    room_C: roomC ?? null,
  };
}

/**
 * What a job asks of its resin: what was said under Resin stands over what follows from the rest. A claim of the need
 * cannot be talked away there, only added to.
 */
export function requirementOf(db: Db, job: queries.Job): Requirement {
  const base = requirementFromNeed(db, job);
  const claims = [...new Set([...base.claims, ...(job.requirement.claims ?? [])])];
  return { ...base, ...job.requirement, claims };
}

export const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
