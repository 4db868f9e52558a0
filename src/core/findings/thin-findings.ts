import type { LayerReading } from '@/core/layers';
import type { Draft } from './findings';
import type { CheckLimits, Stance } from './limits';

/** Walls and gaps in the plane of a layer. */
export function thinFindings({ thinWalls, thinGaps }: LayerReading, limits: CheckLimits): Draft[] {
  const { wallMm, gapMm, jointGapMm, pixelMm } = limits;
  return [
    ...thinWalls
      .filter(({ sizeMm }) => sizeMm < wallMm.value)
      .map(({ sizeMm, layer, atMm }): Draft => ({
        code: 'thinWall',
        risk: sizeMm < 2 * pixelMm.value ? 'printLost' : 'sizeOff',
        chance: sizeMm < pixelMm.value ? 'sure' : 'likely',
        measured: sizeMm,
        limit: wallMm.value,
        layer,
        atMm,
      })),
    ...thinGaps.flatMap(({ sizeMm, layer, atMm, betweenBodies }): Draft[] => {
      const limit = betweenBodies ? Math.max(gapMm.value, jointGapMm ?? 0) : gapMm.value;
      // A gap drawn as wide as the joint asks for is no finding, a hair's rounding below it included.
      if (sizeMm >= limit - 1e-3) return [];
      return [
        {
          code: betweenBodies ? 'bodiesFuse' : 'gapCloses',
          risk: betweenBodies ? 'printLost' : 'sizeOff',
          chance: sizeMm < limit / 2 ? 'sure' : 'likely',
          measured: sizeMm,
          limit,
          layer,
          atMm,
        },
      ];
    }),
  ];
}

/** What runs along Z: floors of few layers, roofs over narrow gaps, copies stacked too near. */
export function heightFindings({ thinFloors, thinRoofs }: LayerReading, limits: CheckLimits): Draft[] {
  const { floorMm, roofMm, jointRoofMm = 0, layerMm } = limits;
  return [
    ...thinFloors
      .filter(({ sizeMm }) => sizeMm < floorMm.value - 1e-3)
      .map(({ sizeMm, layer, atMm }): Draft => ({
        code: 'thinFloor',
        risk: sizeMm < 2 * layerMm ? 'printLost' : 'sizeOff',
        chance: sizeMm < layerMm ? 'sure' : 'likely',
        measured: sizeMm,
        limit: floorMm.value,
        layer,
        atMm,
      })),
    ...thinRoofs.flatMap(({ sizeMm, layer, atMm, betweenBodies }): Draft[] => {
      const limit = betweenBodies ? Math.max(roofMm.value, jointRoofMm) : roofMm.value;
      if (sizeMm >= limit - 1e-3) return [];
      return [
        {
          code: betweenBodies ? 'stackFuses' : 'roofCloses',
          risk: betweenBodies ? 'printLost' : 'sizeOff',
          chance: sizeMm < limit / 2 ? 'sure' : 'likely',
          measured: sizeMm,
          limit,
          layer,
          atMm,
        },
      ];
    }),
  ];
}

/** Bodies drawn into one another; supports that stand in the file are meant to be. */
export function overlapFindings({ overlaps, fromMm, heightMm }: LayerReading, stance: Stance): Draft[] {
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
