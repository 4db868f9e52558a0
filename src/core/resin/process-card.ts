import { type Claim, claimOf } from '@/core/job/need';
import type { Practices } from '@/core/workshop';
import { BRITTLE_BELOW } from '@/core/fit/mating';
import { secondsToCool } from '@/core/print';
import { type Evidence, evidenceOf, type ResinFile } from './evidence-of';
import type { WashLiquid } from './sheet';

/** One step of handling a resin, in the order of the work, with its numbers. */
export type CardStep =
  | { readonly step: 'shake'; readonly seconds: number; readonly stated: boolean }
  | { readonly step: 'warm'; readonly toC: number }
  | {
      readonly step: 'drip';
      readonly how: Exclude<Practices['excessResin'], 'straight'>;
      readonly minutes: number;
    }
  | {
      readonly step: 'unload';
      readonly how: Practices['release'];
      /** The part is too thin for the shop practice. */
      readonly overruled: boolean;
    }
  | {
      readonly step: 'wash';
      readonly liquid: WashLiquid;
      readonly minutes: number;
      readonly why: 'house' | 'sheet' | 'unstated';
      readonly crevices: number;
      readonly method: Practices['washMethod'];
      readonly on: Practices['washOn'];
    }
  | {
      readonly step: 'dry';
      readonly minutes: number;
      readonly crevices: number;
      readonly how: Practices['drying'];
    }
  | {
      readonly step: 'supports';
      readonly at: 'green' | 'cured';
      readonly tipMm?: number;
      readonly brittle: boolean | undefined;
      /** In warm water; `thinLinks`: this is the shop practice, but thin links would bend in it. */
      readonly water: 'warm' | 'none' | 'thinLinks';
    }
  | {
      readonly step: 'cure';
      readonly minutes?: number;
      readonly floorMin?: number;
      readonly ceilingMin?: number;
      readonly medium: 'air' | 'water';
      readonly school: 'short' | 'long';
    }
  | {
      readonly step: 'cool';
      readonly minutes: number;
      /** Mean thickness of the part used in the calculation; left out if unknown. */
      readonly wallMm?: number;
    }
  | { readonly step: 'assemble'; readonly at: 'green' | 'cured'; readonly overruled: boolean }
  /** For claims that must not touch bare resin; for none: only to make a clear part clearer. */
  | { readonly step: 'coat'; readonly claims: readonly Claim[] }
  | { readonly step: 'vat'; readonly how: Exclude<Practices['vatAfter'], 'calendar'> };

/** Usual times where a datasheet states none. */
const USUAL = { shakeS: 60, coolMin: 20 } as const;

/** What a liquid takes: solvents dissolve quickly and evaporate; water is slower at both. */
const LIQUID_MINUTES: Readonly<Record<WashLiquid, { readonly wash: number; readonly dry: number }>> = {
  alcohol: { wash: 4, dry: 20 },
  washerFluid: { wash: 8, dry: 40 },
  water: { wash: 5, dry: 60 },
  soapyWater: { wash: 10, dry: 60 },
};
/** How much longer or shorter a way takes than moving the part in the bath, than air that moves freely. */
const METHOD_TAKES = { moved: 1, soak: 2, ultrasonic: 0.75 } as const;
const DRYING_TAKES = { rest: 1, airGun: 0.25, shake: 0.75 } as const;
const EXCESS_MINUTES = { drip: 10, scrape: 3, mop: 2 } as const;
/** Thinner than this a part bends or breaks under a scraper or a blade, mm. */
const THIN_MM = 1.5;
/** A lamp warms a part by so much, K; it may be read when it is within 2 K of the room. */
const LAMP_K = 25;
/** Hollows and joints hold liquid where no air moves: they take so many times as long to wash and to dry. */
const CREVICES_TAKE = 2;

/** Properties of the part that affect its handling. */
export interface PartFacts {
  readonly claims?: readonly Claim[];
  /** Hollows that keep liquid, narrow gaps and joints printed in place. */
  readonly crevices?: number;
  /** Mean thickness: twice the volume over the surface, mm. */
  readonly wallMm?: number;
  /** Joints and hinges whose links hot water would bend. */
  readonly thinLinks?: boolean;
  /** Scale of the print relative to the drawing; its supports too, or at their tested scale. */
  readonly scale?: number;
}

/** Facts of parts that are handled together: what any of them asks for, and the thickest wall. */
export function togetherFacts(parts: readonly PartFacts[]): PartFacts {
  const walls = parts.flatMap(({ wallMm }) => wallMm ?? []);
  return {
    claims: [...new Set(parts.flatMap(({ claims = [] }) => claims))],
    crevices: Math.max(0, ...parts.map(({ crevices = 0 }) => crevices)),
    wallMm: walls.length === 0 ? undefined : Math.max(...walls),
    thinLinks: parts.some(({ thinLinks }) => thinLinks === true),
  };
}

/**
 * Returns how to handle a resin from bottle to fit, by shop practice where the datasheet allows it. Short cure is a
 * quarter of the way from floor to ceiling, long three quarters. With the floor alone it is the floor; with the ceiling
 * alone it is half of it and marked as a guess, because at the ceiling a part is yellow and brittle.
 */
export function processCard(resin: ResinFile, schools: Practices, part: PartFacts = {}): CardStep[] {
  const evidence = evidenceOf(resin);
  const value = (property: Parameters<typeof evidence.of>[0]) => evidence.of(property)?.value;
  const elongation = value('elongation');
  const brittle = elongation === undefined ? undefined : elongation < BRITTLE_BELOW;
  const known: Known = { evidence, schools, part, brittle };
  const before: CardStep[] = [
    { step: 'shake', seconds: value('shake_s') ?? USUAL.shakeS, stated: value('shake_s') !== undefined },
  ];
  const leastRoom = value('leastRoom_C');
  if (leastRoom !== undefined) before.push({ step: 'warm', toC: leastRoom });
  const supports = supportsStep(known);
  // A brittle joint is not bent over its neck once it is cured, whatever the shop practice.
  const overruled = brittle === true && schools.assemble === 'cured';
  const assemble: CardStep = { step: 'assemble', at: overruled ? 'green' : schools.assemble, overruled };
  return [
    ...before,
    ...offThePlate(known),
    ...(schools.supportsOff === 'green' ? [supports] : []),
    ...(assemble.at === 'green' ? [assemble] : []),
    cureStep(known),
    coolStep(part),
    ...(schools.supportsOff === 'cured' ? [supports] : []),
    ...(assemble.at === 'cured' ? [assemble] : []),
    ...coatStep(known),
  ];
}

/** What the steps of a card are made of. */
interface Known {
  readonly evidence: Evidence;
  readonly schools: Practices;
  readonly part: PartFacts;
  readonly brittle: boolean | undefined;
}

/** From the plate to a dry part: excess resin, off the plate, wash, dry; on the plate the wash comes first. */
function offThePlate({ evidence, schools, part }: Known): CardStep[] {
  const { crevices = 0, wallMm } = part;
  const { washLiquids } = evidence.sheet;
  const allowed = washLiquids === undefined || washLiquids.includes(schools.washWith);
  const liquid = allowed ? schools.washWith : (washLiquids[0] ?? schools.washWith);
  const longer = crevices > 0 ? CREVICES_TAKE : 1;
  const { excessResin, washMethod, washOn, drying, release } = schools;
  const overruled = release !== 'flexSheet' && wallMm !== undefined && wallMm < THIN_MM;
  const unload: CardStep = { step: 'unload', how: overruled ? 'flexSheet' : release, overruled };
  const wash: CardStep = {
    step: 'wash',
    liquid,
    minutes: longer * METHOD_TAKES[washMethod] * LIQUID_MINUTES[liquid].wash,
    why: washLiquids === undefined ? 'unstated' : allowed ? 'house' : 'sheet',
    crevices,
    method: washMethod,
    on: washOn,
  };
  const vat: CardStep = { step: 'vat', how: schools.vatAfter === 'empty' ? 'empty' : 'leave' };
  const dryMin = longer * DRYING_TAKES[drying] * LIQUID_MINUTES[liquid].dry;
  return [
    ...(excessResin === 'straight'
      ? []
      : [{ step: 'drip', how: excessResin, minutes: EXCESS_MINUTES[excessResin] } as const]),
    ...(washOn === 'plate' ? [wash, unload, vat] : [unload, vat, wash]),
    { step: 'dry', minutes: dryMin, crevices, how: drying },
  ];
}

function supportsStep({ evidence, schools, part, brittle }: Known): CardStep {
  const tipMm = evidence.of('supportTip_mm')?.value;
  const { scale = 1, thinLinks = false } = part;
  const grown = schools.scaledSupports === 'grow' ? scale : 1;
  const water = schools.warmWater === 'avoid' ? 'none' : thinLinks ? 'thinLinks' : 'warm';
  return {
    step: 'supports',
    at: schools.supportsOff,
    tipMm: tipMm === undefined ? undefined : tipMm * grown,
    brittle,
    water,
  };
}

function cureStep({ evidence, schools }: Known): CardStep {
  const floorMin = evidence.of('cureFloor_min')?.value;
  const ceilingMin = evidence.of('cureCeiling_min')?.low;
  return {
    step: 'cure',
    minutes: cureMinutes(schools.cure, floorMin, ceilingMin),
    floorMin,
    ceilingMin,
    medium: schools.cureIn,
    school: schools.cure,
  };
}

/** Until a part that the lamp warmed is within 2 K of the room; the usual time where its thickness is not known. */
function coolStep({ wallMm }: PartFacts): CardStep {
  if (wallMm === undefined) return { step: 'cool', minutes: USUAL.coolMin };
  return { step: 'cool', minutes: Math.max(1, Math.ceil(secondsToCool(LAMP_K, wallMm) / 60)), wallMm };
}

/** Parts that touch a body or food are coated; clear parts where the workshop lacquers them. */
function coatStep({ evidence, schools, part: { claims = [] } }: Known): CardStep[] {
  const coated = claims.filter((claim) => claimOf(claim).isCoated === true);
  const isLacquered = schools.clearFinish === 'lacquer' && evidence.sheet.family === 'clear';
  return coated.length > 0 || isLacquered ? [{ step: 'coat', claims: coated }] : [];
}

function cureMinutes(school: Practices['cure'], floorMin?: number, ceilingMin?: number): number | undefined {
  if (ceilingMin === undefined) return floorMin;
  if (floorMin === undefined) return ceilingMin / 2;
  return floorMin + (school === 'short' ? 0.25 : 0.75) * Math.max(0, ceilingMin - floorMin);
}
