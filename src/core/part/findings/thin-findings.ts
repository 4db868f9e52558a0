import type { LayerReading, ThinSpot } from '@/core/part/layers';
import type { Draft } from './findings';
import type { CheckLimits, PrintSetup } from './limits';

/** A hair's rounding below a limit is no finding, mm. */
const HAIR_MM = 1e-3;

interface SolidLimit {
  readonly code: Draft['code'];
  readonly limitMm: number;
  /** Thinner than this the print is lost, else a size is off. */
  readonly lostMm: number;
  /** Thinner than this it is sure to fail. */
  readonly sureMm: number;
}

function tooThin(spots: readonly ThinSpot[], { code, limitMm, lostMm, sureMm }: SolidLimit): Draft[] {
  return spots
    .filter(({ sizeMm }) => sizeMm < limitMm - HAIR_MM)
    .map(({ sizeMm, layer, atMm }) => ({
      code,
      risk: sizeMm < lostMm ? 'printLost' : 'sizeOff',
      chance: sizeMm < sureMm ? 'sure' : 'likely',
      measured: sizeMm,
      limit: limitMm,
      layer,
      atMm,
    }));
}

interface AirLimit {
  /** Within one body, and between two, which need as much as a joint does. */
  readonly within: Draft['code'];
  readonly between: Draft['code'];
  readonly limitMm: number;
  readonly jointMm: number | undefined;
}

function tooNarrow(spots: readonly ThinSpot[], { within, between, limitMm, jointMm = 0 }: AirLimit): Draft[] {
  return spots.flatMap(({ sizeMm, layer, atMm, betweenBodies }): Draft[] => {
    const limit = betweenBodies ? Math.max(limitMm, jointMm) : limitMm;
    if (sizeMm >= limit - HAIR_MM) return [];
    return [
      {
        code: betweenBodies ? between : within,
        risk: betweenBodies ? 'printLost' : 'sizeOff',
        chance: sizeMm < limit / 2 ? 'sure' : 'likely',
        measured: sizeMm,
        limit,
        layer,
        atMm,
      },
    ];
  });
}

/** Walls and gaps in the plane of a layer, which the pixel resolves. */
export function thinFindings({ thinWalls, thinGaps }: LayerReading, limits: CheckLimits): Draft[] {
  const { wallMm, gapMm, jointGapMm, pixelMm } = limits;
  const pixel = pixelMm.value;
  return [
    ...tooThin(thinWalls, { code: 'thinWall', limitMm: wallMm.value, lostMm: 2 * pixel, sureMm: pixel }),
    ...tooNarrow(thinGaps, {
      within: 'gapCloses',
      between: 'bodiesFuse',
      limitMm: gapMm.value,
      jointMm: jointGapMm,
    }),
  ];
}

/** What runs along Z, in layers: floors of few of them, roofs over narrow gaps, copies stacked too near. */
export function heightFindings({ thinFloors, thinRoofs }: LayerReading, limits: CheckLimits): Draft[] {
  const { floorMm, roofMm, jointRoofMm, layerMm } = limits;
  return [
    ...tooThin(thinFloors, {
      code: 'thinFloor',
      limitMm: floorMm.value,
      lostMm: 2 * layerMm,
      sureMm: layerMm,
    }),
    ...tooNarrow(thinRoofs, {
      within: 'roofCloses',
      between: 'stackFuses',
      limitMm: roofMm.value,
      jointMm: jointRoofMm,
    }),
  ];
}

/** Bodies drawn into one another; supports that stand in the file are meant to be. */
export function overlapFindings({ overlaps, fromMm, heightMm }: LayerReading, stance: PrintSetup): Draft[] {
  if (stance.kind === 'inFile') return [];
  return overlaps.map(({ volumeMm3, middleMm }) => ({
    code: 'bodiesOverlap',
    risk: 'printLost',
    chance: 'possible',
    measured: volumeMm3,
    volumeMm3,
    layer: Math.max(0, Math.floor((middleMm[2] - fromMm) / heightMm)),
    atMm: middleMm,
  }));
}
