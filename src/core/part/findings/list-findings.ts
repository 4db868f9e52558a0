import type { LayerReading, ReadingOptions } from '@/core/part/layers';
import type { MeshCheck } from '@/core/part/mesh';
import { liftLayers, liftOf } from './clock';
import { FINDING_CODES, type FindingCode, findingOf } from './definitions';
import type { Chance, FindingContext, FindingFacts, FindingWords, Risk } from './finding';
import type { CheckLimits, PrintSetup } from './limits';

/** One thing that the layers show, with what it would cost if it were printed so. */
export interface Finding extends FindingFacts {
  /** The same for the same thing on the same file: a verdict hangs on it. */
  readonly key: string;
  readonly code: FindingCode;
  /** Chance × what would be lost, hours. */
  readonly costHours: number;
  /** So many more of its kind, each no worse than this one. */
  readonly more: number;
}

/** Probabilities behind the words sure, likely and possible when costs are compared. Our own estimates, not measured. */
const CHANCE_SHARE: Readonly<Record<Chance, number>> = { sure: 0.95, likely: 0.5, possible: 0.15 };
/** Share of a print that each risk costs: a wrong size can often be drawn again, a marred face can be sanded. */
const LOST_SHARE: Readonly<Record<Risk, number>> = { printLost: 1, sizeOff: 0.6, surfaceMarred: 0.2 };
/** Cleaning up, refilling and starting again, hours. */
const START_AGAIN_HOURS = 0.5;
/** So many of one kind stand in the list by themselves. */
const MOST_OF_A_KIND = 6;
/** Divides a severity where nothing is left of a size, mm. */
const NEARLY_NOTHING = 1e-9;

/** Hours that a print of this many layers takes. */
export function printHours(layers: number, { layerSeconds }: Pick<CheckLimits, 'layerSeconds'>): number {
  return (layers * layerSeconds.value) / 3600;
}

/** How the layers are to be read for what these limits ask. */
export function readingFor(limits: CheckLimits, setup: PrintSetup): ReadingOptions {
  return {
    heightMm: limits.layerMm,
    pixelMm: limits.pixelMm.value,
    onSupports: setup.kind === 'supports',
    selfSupportingMm: limits.selfSupportingMm,
    thinWallMm: limits.wallMm.value,
    thinGapMm: Math.max(limits.gapMm.value, limits.jointGapMm ?? 0),
    thinFloorMm: limits.floorMm.value,
    thinRoofMm: Math.max(limits.roofMm.value, limits.jointRoofMm ?? 0),
  };
}

/** Names the thing by what it is and where: whole layers and millimetres, so that a finer cut keeps its name. */
function keyOf(code: FindingCode, { station, layer, atMm }: FindingFacts): string {
  const place = atMm?.map((value) => Math.round(value)).join(',');
  return [code, station, layer, place].filter((part) => part !== undefined).join('@');
}

/** How far beyond its limit, to order findings that cost the same. */
function severity({ code, measured, limit }: Finding): number {
  if (findingOf(code).isWorseWhenSmall)
    return limit === undefined ? 0 : limit / Math.max(measured, NEARLY_NOTHING);
  return limit === undefined ? measured : measured / limit;
}

/**
 * Returns the findings of the layers of a part, most expensive first. Hours come from the printer; the shares behind
 * the words are our own estimates, listed above.
 */
export function listFindings(
  check: MeshCheck,
  reading: LayerReading,
  limits: CheckLimits,
  setup: PrintSetup,
): Finding[] {
  const liftMm = liftOf(setup);
  const context: FindingContext = { check, reading, limits, setup, liftMm };
  const layers = reading.count + liftLayers({ layerMm: limits.layerMm, liftMm });
  const hours = printHours(layers, limits) + START_AGAIN_HOURS;
  const found = FINDING_CODES.map((code) =>
    findingOf(code)
      .find(context)
      .map((facts): Finding => ({
        ...facts,
        code,
        key: keyOf(code, facts),
        costHours: CHANCE_SHARE[facts.chance] * LOST_SHARE[facts.risk] * hours,
        more: 0,
      }))
      .sort(byCost),
  );
  return found.flatMap(firstOfKind).sort(byCost);
}

const byCost = (a: Finding, b: Finding) => b.costHours - a.costHours || severity(b) - severity(a);

/** The worst of one kind; the last of a long list tells how many follow it. */
function firstOfKind(findings: readonly Finding[]): Finding[] {
  const more = findings.length - MOST_OF_A_KIND;
  const kept = findings.slice(0, MOST_OF_A_KIND);
  return more > 0 ? [...kept.slice(0, -1), { ...kept.at(-1)!, more }] : kept;
}

/** What one finding is, what it does, what to do, and what that changes. */
export function describeFinding(
  finding: FindingFacts & { readonly code: FindingCode },
  tipMm?: number,
): FindingWords {
  return findingOf(finding.code).words(finding, tipMm);
}
