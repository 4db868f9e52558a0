import { BRITTLE_BELOW } from '@/core/fits';
import { evidenceOf, type ResinFile } from './evidence';
import type { WashLiquid } from './sheet';

/** Where good shops differ; each picks its side. */
export const SCHOOLS = Object.freeze({
  supportsOff: ['green', 'cured'],
  assemble: ['green', 'cured'],
  cure: ['short', 'long'],
  cureIn: ['air', 'water'],
  washWith: ['alcohol', 'water', 'washerFluid', 'soapyWater'],
  mixing: ['neat', 'blended'],
} as const);
export type School = keyof typeof SCHOOLS;
export type Schools = { readonly [Name in School]: (typeof SCHOOLS)[Name][number] };

/**
 * Supports off and parts together while green, since it cuts clean and gives way; cured short, since long yellows and
 * embrittles; in air, since every station does; washed in alcohol, since most resins ask for it; neat, since a
 * supplier's figures then hold.
 */
export const DEFAULT_SCHOOLS: Schools = Object.freeze({
  supportsOff: 'green',
  assemble: 'green',
  cure: 'short',
  cureIn: 'air',
  washWith: 'alcohol',
  mixing: 'neat',
});

/** One step of handling a resin, in the order of the work, with its numbers. */
export type CardStep =
  | { readonly step: 'shake'; readonly seconds: number; readonly stated: boolean }
  | { readonly step: 'warm'; readonly toC: number }
  | {
      readonly step: 'wash';
      readonly liquid: WashLiquid;
      readonly minutes: number;
      readonly why: 'house' | 'sheet' | 'unstated';
      readonly crevices: number;
    }
  | { readonly step: 'dry'; readonly minutes: number; readonly crevices: number }
  | {
      readonly step: 'supports';
      readonly at: 'green' | 'cured';
      readonly tipMm?: number;
      readonly brittle: boolean | undefined;
    }
  | {
      readonly step: 'cure';
      readonly minutes?: number;
      readonly floorMin?: number;
      readonly ceilingMin?: number;
      readonly medium: 'air' | 'water';
      readonly school: 'short' | 'long';
    }
  | { readonly step: 'cool'; readonly minutes: number }
  | { readonly step: 'assemble'; readonly at: 'green' | 'cured'; readonly overruled: boolean }
  | { readonly step: 'coat'; readonly for: readonly string[] };

/** Usual times where a sheet states none, as shops keep them. */
const USUAL = { shakeS: 60, coolMin: 20 } as const;

/** What a liquid takes: solvents dissolve quickly and evaporate; water is slower at both. */
const LIQUID_MINUTES: Readonly<Record<WashLiquid, { readonly wash: number; readonly dry: number }>> = {
  alcohol: { wash: 4, dry: 20 },
  washerFluid: { wash: 8, dry: 40 },
  water: { wash: 5, dry: 60 },
  soapyWater: { wash: 10, dry: 60 },
};
/** Hollows and joints hold liquid where no air moves: they take so many times as long to wash and to dry. */
const CREVICES_TAKE = 2;

/** What the part asks of its handling. */
export interface PartFacts {
  readonly claims?: readonly string[];
  /** Hollows that keep liquid, narrow gaps and joints printed in place. */
  readonly crevices?: number;
}
/** Claims whose part is coated before long use. */
const COATED_FOR = ['skin', 'mouth', 'food'];

/**
 * How to handle a resin from bottle to fit, by the house's schools where they are allowed by its sheet. Short cure is a
 * quarter of the way from floor to ceiling, long three quarters. With the floor alone it is the floor; with the ceiling
 * alone it is half of it and said to be a guess, for at the ceiling a part is yellow and brittle.
 */
export function processCard(resin: ResinFile, schools: Schools, part: PartFacts = {}): CardStep[] {
  const { claims = [], crevices = 0 } = part;
  const evidence = evidenceOf(resin);
  const value = (property: Parameters<typeof evidence.of>[0]) => evidence.of(property)?.value;
  const { washLiquids } = evidence.sheet;
  const floorMin = value('cureFloor_min');
  const ceilingMin = evidence.of('cureCeiling_min')?.low;
  const elongation = value('elongation');
  const brittle = elongation === undefined ? undefined : elongation < BRITTLE_BELOW;
  const allowed = washLiquids === undefined || washLiquids.includes(schools.washWith);
  const liquid = allowed ? schools.washWith : (washLiquids[0] ?? schools.washWith);
  const longer = crevices > 0 ? CREVICES_TAKE : 1;
  const steps: CardStep[] = [
    { step: 'shake', seconds: value('shake_s') ?? USUAL.shakeS, stated: value('shake_s') !== undefined },
  ];
  const leastRoom = value('leastRoom_C');
  if (leastRoom !== undefined) steps.push({ step: 'warm', toC: leastRoom });
  steps.push(
    {
      step: 'wash',
      liquid,
      minutes: longer * LIQUID_MINUTES[liquid].wash,
      why: washLiquids === undefined ? 'unstated' : allowed ? 'house' : 'sheet',
      crevices,
    },
    { step: 'dry', minutes: longer * LIQUID_MINUTES[liquid].dry, crevices },
  );
  const supports: CardStep = {
    step: 'supports',
    at: schools.supportsOff,
    tipMm: value('supportTip_mm'),
    brittle,
  };
  const cure: CardStep = {
    step: 'cure',
    minutes: cureMinutes(schools.cure, floorMin, ceilingMin),
    floorMin,
    ceilingMin,
    medium: schools.cureIn,
    school: schools.cure,
  };
  // A brittle joint is not bent over its neck once it is cured, whatever the house likes.
  const overruled = brittle === true && schools.assemble === 'cured';
  const assemble: CardStep = { step: 'assemble', at: overruled ? 'green' : schools.assemble, overruled };
  if (schools.supportsOff === 'green') steps.push(supports);
  if (assemble.at === 'green') steps.push(assemble);
  steps.push(cure, { step: 'cool', minutes: USUAL.coolMin });
  if (schools.supportsOff === 'cured') steps.push(supports);
  if (assemble.at === 'cured') steps.push(assemble);
  const coated = claims.filter((claim) => COATED_FOR.includes(claim));
  if (coated.length > 0) steps.push({ step: 'coat', for: coated });
  return steps;
}

function cureMinutes(school: Schools['cure'], floorMin?: number, ceilingMin?: number): number | undefined {
  if (ceilingMin === undefined) return floorMin;
  if (floorMin === undefined) return ceilingMin / 2;
  return floorMin + (school === 'short' ? 0.25 : 0.75) * Math.max(0, ceilingMin - floorMin);
}
