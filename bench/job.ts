/** The job of the benchmarks: five features, sizes drawn for each printer, and whether a print of it is right. */
import type { FeatureKind } from '@/core/measure';
import { seededRandom, seedFrom, type SeededRandom } from '@/core/kit/numerics';
import type { Target } from '@/core/signature';
import {
  drawCaliper,
  drawPrinter,
  printFeature,
  type Family,
  type PlacedFeature,
  type VirtualCaliper,
  type VirtualPrinter,
} from '@/core/simulated';

const JOB: readonly { feature: string; kind: FeatureKind; fromMm: number; toMm: number; halfMm: number }[] = [
  {
    feature: 'bore',
    kind: { sense: 'inside', shape: 'round', axis: 'XY' },
    fromMm: 5,
    toMm: 15,
    halfMm: 0.07,
  },
  {
    feature: 'rim',
    kind: { sense: 'outside', shape: 'round', axis: 'XY' },
    fromMm: 15,
    toMm: 30,
    halfMm: 0.07,
  },
  { feature: 'slot', kind: { sense: 'inside', shape: 'flat', axis: 'X' }, fromMm: 2, toMm: 6, halfMm: 0.07 },
  {
    feature: 'arm',
    kind: { sense: 'outside', shape: 'flat', axis: 'Y' },
    fromMm: 20,
    toMm: 40,
    halfMm: 0.08,
  },
  {
    feature: 'step',
    kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
    fromMm: 4,
    toMm: 8,
    halfMm: 0.08,
  },
];
export type PlacedTarget = Target & { readonly xMm: number; readonly yMm: number };

export interface World {
  readonly printer: VirtualPrinter;
  readonly caliper: VirtualCaliper;
  readonly random: SeededRandom;
  readonly targets: readonly PlacedTarget[];
}

export function makeWorld(seed: number, family: Family): World {
  const random = seededRandom(seedFrom(seed, 'job'));
  const targets = JOB.map(({ feature, kind, fromMm, toMm, halfMm }) => ({
    feature,
    kind,
    targetMm: Math.round((fromMm + (toMm - fromMm) * random.uniform()) * 100) / 100,
    lowerDeviationMm: -halfMm,
    upperDeviationMm: halfMm,
    xMm: 40 * (random.uniform() - 0.5),
    yMm: 40 * (random.uniform() - 0.5),
  }));
  return { printer: drawPrinter(seed, family), caliper: drawCaliper(seed, family), random, targets };
}

export function placed(world: World, draw: (target: PlacedTarget) => number): PlacedFeature[] {
  return world.targets.map((target) => ({ ...target, drawnMm: draw(target) }));
}

export function isRight(world: World, places: readonly PlacedFeature[], print: string): boolean {
  return places.every((place, i) => {
    const deviation = printFeature(world.printer, place, print) - world.targets[i].targetMm;
    return deviation >= world.targets[i].lowerDeviationMm && deviation <= world.targets[i].upperDeviationMm;
  });
}
