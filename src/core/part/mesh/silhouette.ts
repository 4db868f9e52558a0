import type { Mesh } from './mesh';
import { joinContours, sectionAt } from './section';

export const VIEWS = ['top', 'front', 'side'] as const;
export type View = (typeof VIEWS)[number];

/** What covers the paper when a part is seen from one side: filled one over the other they are its outline. */
export interface Silhouette {
  readonly view: View;
  /** Sections across the line of sight: each a set of closed loops, x, y a point, mm; loops around air are holes in it. */
  readonly sections: readonly (readonly Float64Array[])[];
  readonly min: readonly [number, number];
  readonly max: readonly [number, number];
}

/** Turns without mirroring, so that the line of sight is Z: from above, from the front, from the right. */
const TURNS: Readonly<Record<View, (x: number, y: number, z: number) => readonly [number, number, number]>> =
  {
    top: (x, y, z) => [x, y, z],
    front: (x, y, z) => [x, z, -y],
    side: (x, y, z) => [y, z, x],
  };

/** A part whose vertices lie at more levels than this is cut at so many even heights. */
const MOST_SECTIONS = 60;
/** So many facets are cut in all: a part of a million of them is cut at fewer heights, so that its outline comes in seconds. */
const MOST_CUTS = 6_000_000;
const LEAST_SECTIONS = 8;
/** Levels nearer than this are one, mm. */
const SAME_LEVEL_MM = 0.01;

/** Heights at which every step of the part is cut once: between neighbouring levels of its vertices. */
function heightsOf({ positions, facets }: Mesh): number[] {
  const most = Math.max(LEAST_SECTIONS, Math.min(MOST_SECTIONS, Math.floor((3 * MOST_CUTS) / facets.length)));
  const levels: number[] = [];
  const sorted = Float64Array.from({ length: positions.length / 3 }, (_, i) => positions[3 * i + 2]).sort();
  for (const z of sorted)
    if (levels.length === 0 || z - levels[levels.length - 1] > SAME_LEVEL_MM) levels.push(z);
  if (levels.length <= most + 1) return levels.slice(1).map((z, i) => (z + levels[i]) / 2);
  const [low, high] = [sorted[0], sorted[sorted.length - 1]];
  return Array.from({ length: most }, (_, i) => low + ((i + 0.5) / most) * (high - low));
}

/** The outline of a part seen from one side, from its sections; free shapes to within their spacing. */
export function silhouetteOf({ positions, facets }: Mesh, view: View): Silhouette {
  const turned = new Float64Array(positions.length);
  const [min, max]: [number, number][] = [
    [Infinity, Infinity],
    [-Infinity, -Infinity],
  ];
  for (let i = 0; i < positions.length; i += 3) {
    const at = TURNS[view](positions[i], positions[i + 1], positions[i + 2]);
    turned.set(at, i);
    for (let axis = 0; axis < 2; axis++) {
      min[axis] = Math.min(min[axis], at[axis]);
      max[axis] = Math.max(max[axis], at[axis]);
    }
  }
  const mesh: Mesh = { positions: turned, facets };
  const sections = heightsOf(mesh).map((zMm) =>
    joinContours(sectionAt(mesh, zMm)).map(({ points }) => points),
  );
  return { view, sections, min, max };
}
