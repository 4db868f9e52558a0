import { leadInFor } from '@/core/fit/mating';
import type { Corner } from '@/core/fit/solids';
import { type DimensionLine } from '../definition';

/** Both halves of a section: right as given, left mirrored. */
export function mirrored(role: 'part' | 'neighbour', loop: readonly Corner[]) {
  return [
    { role, loop },
    { role, loop: loop.map(([x, y]): Corner => [-x, y]) },
  ];
}

export function across(measure: string, diameterMm: number, y: number, standOffMm: number): DimensionLine {
  return { measure, from: [-diameterMm / 2, y], to: [diameterMm / 2, y], standOffMm };
}

export function upright(
  measure: string,
  x: number,
  fromMm: number,
  toMm: number,
  standOffMm: number,
): DimensionLine {
  return { measure, from: [x, fromMm], to: [x, toMm], standOffMm };
}

/** Chamfers for a section by the rule in the settings. */
export function leadIn(heightMm: number, wallMm: number, faces: { outer: boolean; inner: boolean }) {
  const { depthMm, lengthMm } = leadInFor(heightMm, wallMm);
  return { outerMm: faces.outer ? depthMm : 0, innerMm: faces.inner ? depthMm : 0, lengthMm };
}
