import { peaksOf, type LayerReading } from '@/core/part/layers';
import type { MeshCheck } from '@/core/part/mesh';
import { printHours } from './list-findings';
import { fitStations, type CheckLimits, type Room, type Station } from './limits';

/** A part at another size. Lengths go with the scale, areas with its square, resin with its cube. */
export interface ScaleWorth {
  readonly scale: number;
  readonly heightMm: number;
  readonly hours: number;
  readonly resinMl: number;
  readonly wallMm?: number;
  readonly wallHolds?: boolean;
  readonly gapMm?: number;
  readonly gapOpens?: boolean;
  readonly firstMm2: number;
  readonly peakMm2: number;
  readonly peels: boolean;
  /** Stations it goes into, of those whose rooms are known. */
  readonly fits: Partial<Record<Station, boolean>>;
}

export const STUDIED_SCALES: readonly number[] = [0.5, 0.75, 1, 1.25, 1.6, 2];

/** What a scale does to walls, gaps, first layer, peel, resin, hours and rooms. `liftMm` does not grow with the part. */
export function weighScale(
  { bounds, volumeMm3 }: MeshCheck,
  reading: LayerReading,
  limits: CheckLimits,
  { scale, liftMm }: { scale: number; liftMm: number },
): ScaleWorth {
  const size = [0, 1, 2].map((i) => scale * (bounds.max[i] - bounds.min[i])) as unknown as Room;
  const { peak, firstMm2 } = peaksOf(reading);
  const heightMm = size[2] + liftMm;
  const wall = reading.smallestWall === undefined ? undefined : scale * reading.smallestWall.sizeMm;
  const gap = reading.smallestGap === undefined ? undefined : scale * reading.smallestGap.sizeMm;
  return {
    scale,
    heightMm,
    hours: printHours(Math.ceil(heightMm / limits.layerMm), limits),
    resinMl: (Math.abs(volumeMm3) * scale ** 3) / 1000,
    ...(wall === undefined ? {} : { wallMm: wall, wallHolds: wall >= limits.wallMm.value }),
    ...(gap === undefined ? {} : { gapMm: gap, gapOpens: gap >= limits.gapMm.value }),
    firstMm2: firstMm2 * scale ** 2,
    peakMm2: peak.areaMm2 * scale ** 2,
    peels: peak.areaMm2 * scale ** 2 <= limits.peelMm2.value,
    fits: fitStations(size, liftMm, limits.rooms),
  };
}

/** Least scale at which the smallest wall and the smallest gap still print; undefined where there is neither. */
export function leastScale(reading: LayerReading, limits: CheckLimits): number | undefined {
  const needs = [
    reading.smallestWall === undefined ? undefined : limits.wallMm.value / reading.smallestWall.sizeMm,
    reading.smallestGap === undefined ? undefined : limits.gapMm.value / reading.smallestGap.sizeMm,
  ].filter((need) => need !== undefined);
  return needs.length === 0 ? undefined : Math.max(...needs);
}
