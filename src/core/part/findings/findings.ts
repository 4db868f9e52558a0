import type { MeshCheck } from '@/core/part/mesh';
import { peaksOf, type LayerReading, type ReadingOptions } from '@/core/part/layers';
import { liftLayers, liftOf } from './clock';
import { heightFindings, overlapFindings, thinFindings } from './thin-findings';
import { fitStations, STATIONS, type CheckLimits, type Room, type PrintSetup, type Station } from './limits';

export const RISKS = ['printLost', 'sizeOff', 'surfaceMarred'] as const;
export type Risk = (typeof RISKS)[number];
export const CHANCES = ['sure', 'likely', 'possible'] as const;
export type Chance = (typeof CHANCES)[number];

export const FINDING_CODES = [
  'tooLarge',
  'notClosed',
  'insideOut',
  'standsOnNothing',
  'smallContact',
  'island',
  'cup',
  'trap',
  'void',
  'bodiesFuse',
  'gapCloses',
  'thinWall',
  'bodiesOverlap',
  'thinFloor',
  'roofCloses',
  'stackFuses',
  'largeArea',
  'areaJump',
  'overhang',
] as const;
type FindingCode = (typeof FINDING_CODES)[number];

/** One thing that the layers show, with what it would cost if it were printed so. */
export interface Finding {
  /** The same for the same thing on the same file: a verdict hangs on it. */
  readonly key: string;
  readonly code: FindingCode;
  readonly risk: Risk;
  readonly chance: Chance;
  /** Chance × what would be lost, hours. */
  readonly costHours: number;
  /** What was measured and what it was held against, in the unit of its code. */
  readonly measured: number;
  readonly limit?: number;
  readonly station?: Station;
  readonly layer?: number;
  readonly toLayer?: number;
  readonly atMm?: readonly [number, number, number];
  /** Where a hole would free a cup or a trap. */
  readonly ventMm?: readonly [number, number, number];
  readonly volumeMm3?: number;
  /** So many more of its sort, each no worse than this one. */
  readonly more: number;
}

/** What stands behind the words sure, likely and possible when costs are compared; ours, to rank by, not measured. */
const CHANCE_SHARE: Readonly<Record<Chance, number>> = { sure: 0.95, likely: 0.5, possible: 0.15 };
/** Share of a print that each risk costs: a wrong size can often be drawn again, a marred face can be sanded. */
const LOST_SHARE: Readonly<Record<Risk, number>> = { printLost: 1, sizeOff: 0.6, surfaceMarred: 0.2 };
/** Cleaning up, refilling and starting again, hours. */
const START_AGAIN_HOURS = 0.5;
/** So many of one sort stand in the list by themselves. */
const MOST_OF_A_SORT = 6;

/** Hours that a print of this many layers takes. */
export function printHours(layers: number, { layerSeconds }: Pick<CheckLimits, 'layerSeconds'>): number {
  return (layers * layerSeconds.value) / 3600;
}

/** How the layers are to be read for what these limits ask. */
export function readingFor(limits: CheckLimits, stance: PrintSetup): ReadingOptions {
  return {
    heightMm: limits.layerMm,
    pixelMm: limits.pixelMm.value,
    onSupports: stance.kind === 'supports',
    selfSupportingMm: limits.selfSupportingMm,
    thinWallMm: limits.wallMm.value,
    thinGapMm: Math.max(limits.gapMm.value, limits.jointGapMm ?? 0),
    thinFloorMm: limits.floorMm.value,
    thinRoofMm: Math.max(limits.roofMm.value, limits.jointRoofMm ?? 0),
  };
}

/** A finding before its cost is known. */
export type Draft = Omit<Finding, 'key' | 'costHours' | 'more'>;

function meshFindings({
  watertight,
  invertedShells,
  boundaryEdges,
  nonManifoldEdges,
  misorientedEdges,
}: MeshCheck) {
  const drafts: Draft[] = [];
  if (!watertight)
    drafts.push({
      code: 'notClosed',
      risk: 'printLost',
      chance: 'likely',
      measured: boundaryEdges + nonManifoldEdges + misorientedEdges,
    });
  if (invertedShells > 0)
    drafts.push({ code: 'insideOut', risk: 'printLost', chance: 'likely', measured: invertedShells });
  return drafts;
}

const sorted = (sides: Room): number[] => [...sides].sort((a, b) => a - b);

function roomFindings({ bounds }: MeshCheck, { rooms }: CheckLimits, liftMm: number): Draft[] {
  const size = [0, 1, 2].map((i) => bounds.max[i] - bounds.min[i]) as unknown as Room;
  const fits = fitStations(size, liftMm, rooms);
  return STATIONS.flatMap((station): Draft[] => {
    const room = rooms[station];
    if (room === undefined || fits[station] === true) return [];
    const standing: Room = [size[0], size[1], size[2] + liftMm];
    const [part, free] = station === 'plate' ? [standing, room] : [sorted(size), sorted(room)];
    const over = Math.max(...part.map((side, i) => side - free[i]));
    return [
      {
        code: 'tooLarge',
        risk: station === 'plate' ? 'printLost' : 'sizeOff',
        chance: 'sure',
        measured: Math.max(over, 0),
        station,
      },
    ];
  });
}

function contactFindings(reading: LayerReading, limits: CheckLimits, stance: PrintSetup): Draft[] {
  if (stance.kind === 'supports') return [];
  const { peak, firstMm2 } = peaksOf(reading);
  const least = limits.contactShare * peak.areaMm2;
  if (firstMm2 >= least) return [];
  const nothing = firstMm2 < 1;
  return [
    {
      code: nothing ? 'standsOnNothing' : 'smallContact',
      risk: 'printLost',
      chance: nothing ? 'sure' : firstMm2 < least / 3 ? 'likely' : 'possible',
      measured: firstMm2,
      limit: least,
      layer: 0,
    },
  ];
}

function islandFindings({ islands, pixelMm }: LayerReading, stance: PrintSetup): Draft[] {
  return (
    islands
      // On supports, what begins in the first layer is what the supports are for.
      .filter(({ layer }) => stance.kind !== 'supports' || layer > 0)
      .map(({ layer, atMm, areaMm2 }) => ({
        code: 'island',
        risk: areaMm2 > 100 * pixelMm ** 2 ? 'printLost' : 'surfaceMarred',
        chance: 'likely',
        measured: areaMm2,
        layer,
        atMm,
      }))
  );
}

function hollowFindings({ cups, traps, voids }: LayerReading, { cupMm2 }: CheckLimits): Draft[] {
  return [
    ...cups
      .filter(({ areaMm2 }) => areaMm2 >= cupMm2)
      .map(({ areaMm2, volumeMm3, fromLayer, toLayer, middleMm, ventMm }): Draft => ({
        code: 'cup',
        risk: 'printLost',
        chance: areaMm2 > 20 * cupMm2 ? 'likely' : 'possible',
        measured: areaMm2,
        limit: cupMm2,
        volumeMm3,
        layer: fromLayer,
        toLayer,
        atMm: middleMm,
        ventMm,
      })),
    ...traps.map(({ volumeMm3, fromLayer, toLayer, middleMm }): Draft => ({
      code: 'trap',
      risk: 'surfaceMarred',
      chance: volumeMm3 > 200 ? 'likely' : 'possible',
      measured: volumeMm3,
      volumeMm3,
      layer: fromLayer,
      toLayer,
      atMm: middleMm,
    })),
    ...voids.map(({ volumeMm3, fromLayer, toLayer, middleMm }): Draft => ({
      code: 'void',
      risk: 'printLost',
      chance: 'likely',
      measured: volumeMm3,
      volumeMm3,
      layer: fromLayer,
      toLayer,
      atMm: middleMm,
    })),
  ];
}

function areaFindings(reading: LayerReading, limits: CheckLimits, stance: PrintSetup): Draft[] {
  const { peak, jump } = peaksOf(reading);
  const drafts: Draft[] = [];
  if (peak.areaMm2 > limits.peelMm2.value)
    drafts.push({
      code: 'largeArea',
      risk: 'printLost',
      chance: peak.areaMm2 > 2 * limits.peelMm2.value ? 'likely' : 'possible',
      measured: peak.areaMm2,
      limit: limits.peelMm2.value,
      layer: peak.layer,
    });
  if (jump.deltaMm2 > limits.peelMm2.value / 2)
    drafts.push({
      code: 'areaJump',
      risk: 'surfaceMarred',
      chance: 'possible',
      measured: jump.deltaMm2,
      limit: limits.peelMm2.value / 2,
      layer: jump.layer,
    });
  let worst = stance.kind === 'supports' ? 1 : 0;
  const { overhangMm2 } = reading;
  for (let layer = worst; layer < overhangMm2.length; layer++)
    if (overhangMm2[layer] > overhangMm2[worst]) worst = layer;
  if (overhangMm2.length > worst && overhangMm2[worst] > limits.hangMm2.value)
    drafts.push({
      code: 'overhang',
      risk: overhangMm2[worst] > 10 * limits.hangMm2.value ? 'printLost' : 'surfaceMarred',
      chance: overhangMm2[worst] > 10 * limits.hangMm2.value ? 'likely' : 'possible',
      measured: overhangMm2[worst],
      limit: limits.hangMm2.value,
      layer: worst,
    });
  return drafts;
}

/** Names the thing by what it is and where: whole layers and millimetres, so that a finer cut keeps its name. */
function keyOf({ code, station, layer, atMm }: Draft): string {
  const place = atMm?.map((value) => Math.round(value)).join(',');
  return [code, station, layer, place].filter((part) => part !== undefined).join('@');
}

/**
 * Returns the findings of the layers of a part, most expensive first. Hours come from the printer; the shares behind
 * the words are our own estimates, listed above.
 */
export function listFindings(
  check: MeshCheck,
  reading: LayerReading,
  limits: CheckLimits,
  stance: PrintSetup,
): Finding[] {
  const liftMm = liftOf(stance);
  const layers = reading.count + liftLayers({ layerMm: limits.layerMm, liftMm });
  const hours = printHours(layers, limits) + START_AGAIN_HOURS;
  const drafts = [
    ...roomFindings(check, limits, liftMm),
    ...meshFindings(check),
    ...contactFindings(reading, limits, stance),
    ...islandFindings(reading, stance),
    ...hollowFindings(reading, limits),
    ...thinFindings(reading, limits),
    ...heightFindings(reading, limits),
    ...overlapFindings(reading, stance),
    ...areaFindings(reading, limits, stance),
  ];
  const ranked = drafts
    .map((draft): Finding => ({
      ...draft,
      key: keyOf(draft),
      costHours: CHANCE_SHARE[draft.chance] * LOST_SHARE[draft.risk] * hours,
      more: 0,
    }))
    .sort((a, b) => b.costHours - a.costHours || severity(b) - severity(a));
  const counts = new Map<FindingCode, number>();
  const kept: Finding[] = [];
  for (const finding of ranked) {
    const count = (counts.get(finding.code) ?? 0) + 1;
    counts.set(finding.code, count);
    if (count <= MOST_OF_A_SORT) kept.push(finding);
  }
  // The last of a long sort tells how many follow it.
  return kept.map((finding, i) => {
    const total = counts.get(finding.code)!;
    const isLast = !kept.slice(i + 1).some(({ code }) => code === finding.code);
    return isLast && total > MOST_OF_A_SORT ? { ...finding, more: total - MOST_OF_A_SORT } : finding;
  });
}

/** Findings that are the worse the smaller they are. */
const IS_SMALL: readonly FindingCode[] = [
  'thinWall',
  'gapCloses',
  'bodiesFuse',
  'smallContact',
  'thinFloor',
  'roofCloses',
  'stackFuses',
];

/** How far beyond its limit, to order what costs the same: a wall or gap the thinner, all else the larger. */
function severity({ code, measured, limit }: Finding): number {
  if (IS_SMALL.includes(code)) return limit === undefined ? 0 : limit / Math.max(measured, 1e-9);
  return limit === undefined ? measured : measured / limit;
}
