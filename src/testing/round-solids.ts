import type { Mesh } from '@/core/part/mesh';
import { seededRandom } from '@/core/kit/numerics';

/** A side that runs round an axis: rings of points, one above the other, closed by fans at both ends. */
function turned(
  rings: number,
  segments: number,
  place: (ring: number, s: number) => readonly [number, number, number],
): Mesh {
  const positions: number[] = [];
  for (let ring = 0; ring < rings; ring++)
    for (let s = 0; s < segments; s++) positions.push(...place(ring, s));
  const ends = [0, rings - 1].map((ring) => {
    const middle = [0, 0, 0];
    for (let s = 0; s < segments; s++)
      place(ring, s).forEach((value, axis) => (middle[axis] += value / segments));
    positions.push(...middle);
    return positions.length / 3 - 1;
  });
  const at = (ring: number, s: number) => ring * segments + (s % segments);
  const facets: number[] = [];
  for (let s = 0; s < segments; s++) {
    facets.push(ends[0], at(0, s + 1), at(0, s), ends[1], at(rings - 1, s), at(rings - 1, s + 1));
    for (let ring = 0; ring + 1 < rings; ring++) {
      const [a, b, c, d] = [at(ring, s), at(ring, s + 1), at(ring + 1, s + 1), at(ring + 1, s)];
      facets.push(a, b, c, a, c, d);
    }
  }
  return { positions: Float64Array.from(positions), facets: Uint32Array.from(facets) };
}

const onCircle = (radius: number, turn: number, z: number) =>
  [radius * Math.cos(turn), radius * Math.sin(turn), z] as const;

/** A block whose four upright edges are rounded: quarter circles of many strips, none of them a round feature. */
export function roundedBlock(facetCount: number): Mesh {
  const segments = Math.max(8, Math.round(facetCount / 4));
  const quarter = Math.floor(segments / 4);
  return turned(2, 4 * quarter, (ring, s) => {
    const corner = Math.floor(s / quarter);
    const turn = (Math.PI / 2) * (corner + (s % quarter) / (quarter - 1));
    const [x, y] = [
      [10, 10],
      [-10, 10],
      [-10, -10],
      [10, -10],
    ][corner];
    const [dx, dy] = onCircle(5, turn, 0);
    return [x + dx, y + dy, 10 * ring];
  });
}

/** A rod whose points lie on the circle, but at uneven turns and heights: every facet is tilted its own way. */
export function unevenRod(facetCount: number, seed = 5): Mesh {
  const segments = Math.max(8, Math.round(Math.sqrt(facetCount / 2)));
  const rings = Math.max(3, Math.round(facetCount / 2 / segments));
  const random = seededRandom(seed);
  const jitter = Float64Array.from({ length: 2 * rings * segments }, () => 0.6 * (random.uniform() - 0.5));
  return turned(rings, segments, (ring, s) => {
    const k = 2 * (ring * segments + s);
    const inner = ring > 0 && ring < rings - 1;
    return onCircle(
      8,
      (2 * Math.PI * (s + jitter[k])) / segments,
      (20 * (ring + (inner ? jitter[k + 1] : 0))) / (rings - 1),
    );
  });
}

/** A rod whose strips are wide on one side and very narrow on the other, refined along its length in the middle. */
export function refinedRod(facetCount: number): Mesh {
  const rings = 4;
  const segments = Math.max(16, Math.round(facetCount / (2 * rings)));
  const heights = [0, 9, 11, 20];
  const narrow = segments - 20;
  return turned(rings, segments, (ring, s) => {
    const turn = s < 20 ? (Math.PI * s) / 20 : Math.PI * (1 + (s - 20) / narrow);
    return onCircle(8, turn, heights[ring]);
  });
}

/** A wavy bar: strips that turn one way and the other, each pair with a circle of its own. */
export function wavyRod(facetCount: number): Mesh {
  const segments = Math.max(32, Math.round(facetCount / 4));
  return turned(2, segments, (ring, s) => {
    const turn = (2 * Math.PI * s) / segments;
    return onCircle(20 + 2 * Math.sin(24 * turn), turn, 10 * ring);
  });
}

/** A ball: smooth all over, and no round feature. */
export function ball(facetCount: number): Mesh {
  const rings = Math.max(6, Math.round(Math.sqrt(facetCount) / 2));
  return turned(rings, 2 * rings, (ring, s) => {
    const polar = (Math.PI * (ring + 0.5)) / rings;
    return onCircle(10 * Math.sin(polar), (Math.PI * s) / rings, -10 * Math.cos(polar));
  });
}

/** Each with about so many facets. */
export const ROUND_SOLIDS = {
  'rounded block': roundedBlock,
  'uneven rod': unevenRod,
  'refined rod': refinedRod,
  'wavy rod': wavyRod,
  ball,
} as const;
