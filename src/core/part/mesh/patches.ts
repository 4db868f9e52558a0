import { bucketEdges, eachEdge } from './edges';
import { circleThrough, type Circle } from './circle';
import { facetVector, type Mesh, type Point } from './mesh';
import { cornersOfFacet, crossOf, dotOf, minus, scaled, unit } from './vectors';

/** Facets in one plane that hang together. */
export interface FlatFace {
  readonly facets: readonly number[];
  readonly normal: Point;
  /** Where its plane lies along the normal, mm. */
  readonly offsetMm: number;
  readonly areaMm2: number;
  /** Faces beside it over an edge, with the angle between the normals and the length of the edge. */
  readonly beside: readonly Neighbour[];
}

interface Neighbour {
  readonly face: number;
  readonly turnRad: number;
  readonly edgeMm: number;
  /** Unit vector along the edge. */
  readonly along: Point;
}

/** Facets whose planes stray less than this from one another are one face, mm. */
const COPLANAR_MM = 2e-4;
/** A face is grown over edges that turn by less than this. */
const FLAT_COS = Math.cos((3 * Math.PI) / 180);

/** The facet across each edge, over all edges with two facets; every pair once. */
function listNeighbours(mesh: Mesh): { pairs: Uint32Array; ends: Uint32Array } {
  const edges = bucketEdges(mesh, () => false);
  const pairs: number[] = [];
  const ends: number[] = [];
  eachEdge(edges, (low, from, to) => {
    if (to - from !== 2) return;
    pairs.push(edges.side[from] >>> 1, edges.side[from + 1] >>> 1);
    ends.push(low, edges.high[from]);
  });
  return { pairs: Uint32Array.from(pairs), ends: Uint32Array.from(ends) };
}

/** Three neighbours a facet, −1 where an edge has none. */
function neighbourTable(pairs: Uint32Array, facetCount: number): Int32Array {
  const table = new Int32Array(3 * facetCount).fill(-1);
  const used = new Uint8Array(facetCount);
  for (let i = 0; i < pairs.length; i += 2) {
    const [a, b] = [pairs[i], pairs[i + 1]];
    if (used[a] < 3) table[3 * a + used[a]++] = b;
    if (used[b] < 3) table[3 * b + used[b]++] = a;
  }
  return table;
}

/**
 * Grows the flat faces of a mesh: from the largest facet down, over neighbours whose corners stay in its plane. Facets
 * without area belong to none. Linear in the facets but for their sorting.
 */
export function growFlatFaces(mesh: Mesh): FlatFace[] {
  const total = mesh.facets.length / 3;
  const normals: Point[] = [];
  const areas = new Float64Array(total);
  for (let facet = 0; facet < total; facet++) {
    const vector = facetVector(mesh, facet);
    areas[facet] = Math.hypot(...vector) / 2;
    normals.push(unit(vector));
  }
  const { pairs, ends } = listNeighbours(mesh);
  const table = neighbourTable(pairs, total);
  const faceOf = new Int32Array(total).fill(-1);
  const faces: { facets: number[]; normal: Point; offsetMm: number; areaMm2: number; beside: Neighbour[] }[] =
    [];
  const order = Uint32Array.from({ length: total }, (_, i) => i).sort((a, b) => areas[b] - areas[a]);
  /** The seed and all that joins it over neighbours, marked with the next face's number. */
  const growFrom = (seed: number, joins: (facet: number) => boolean): number[] => {
    const grown = [seed];
    faceOf[seed] = faces.length;
    for (let i = 0; i < grown.length; i++) {
      for (let k = 0; k < 3; k++) {
        const next = table[3 * grown[i] + k];
        if (next < 0 || !joins(next)) continue;
        faceOf[next] = faces.length;
        grown.push(next);
      }
    }
    return grown;
  };
  for (const seed of order) {
    if (faceOf[seed] >= 0 || areas[seed] === 0) continue;
    const offsetMm = dotOf(normals[seed], cornersOfFacet(mesh, seed)[0]);
    const facets = growFrom(seed, (next) => {
      const isOn = (corner: Point) => Math.abs(dotOf(normals[seed], corner) - offsetMm) < COPLANAR_MM;
      if (faceOf[next] >= 0 || dotOf(normals[next], normals[seed]) < FLAT_COS) return false;
      return cornersOfFacet(mesh, next).every(isOn);
    });
    const areaMm2 = facets.reduce((sum, facet) => sum + areas[facet], 0);
    faces.push({ facets, normal: normals[seed], offsetMm, areaMm2, beside: [] });
  }
  const { positions } = mesh;
  for (let i = 0; i < pairs.length; i += 2) {
    const [a, b] = [faceOf[pairs[i]], faceOf[pairs[i + 1]]];
    if (a === b || a < 0 || b < 0) continue;
    const [from, to] = [3 * ends[i], 3 * ends[i + 1]];
    const edge: Point = [0, 1, 2].map(
      (axis) => positions[to + axis] - positions[from + axis],
    ) as unknown as Point;
    const turnRad = Math.acos(Math.min(1, Math.max(-1, dotOf(faces[a].normal, faces[b].normal))));
    const shared = { turnRad, edgeMm: Math.hypot(...edge), along: unit(edge) };
    faces[a].beside.push({ face: b, ...shared });
    faces[b].beside.push({ face: a, ...shared });
  }
  return faces;
}

/** Facets round an axis. */
export interface RoundFace {
  readonly faces: readonly number[];
  readonly facets: readonly number[];
  readonly axis: Point;
  /** On the axis, half way along. */
  readonly centreMm: Point;
  /** Of the circle through the corners. */
  readonly radiusMm: number;
  readonly lengthMm: number;
  /** The material lies outside: a hole. */
  readonly inside: boolean;
  /** How far the facets stray from the circle, on the diameter, mm: D(1 − cos π/n). */
  readonly facetErrorMm: number;
}

/** Neighbours that turn by more than this are corners: a circle has fifteen sides at least. */
export const SMOOTH_RAD = (25 * Math.PI) / 180;
/** How much of the circle must be there for jaws to find it. */
const LEAST_COVER_RAD = (240 * Math.PI) / 180;

/** Two directions across an axis. */
function acrossAxis(axis: Point): [Point, Point] {
  const other: Point = Math.abs(axis[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1];
  const u = unit(crossOf(other, axis));
  return [u, crossOf(axis, u)];
}

/** A round face that is no feature, such as a fillet, is grown from no more than so many of its strips. */
const MOST_FAILURES = 6;
/** Fewer strips than this are no round face, and cost nothing to grow again. */
const LEAST_STRIPS = 5;

/**
 * Grows round faces out of neighbouring flat strips whose corners lie on one circle. Linear in the facets: a pair of strips
 * that was grown together once is not grown from again, and no strip is grown over more than a few times. Largest strips
 * first, since they tell their circle best.
 */
export class RoundFinder {
  private readonly used = new Set<number>();
  /** Faces of bands that go on as a ball does: no cylinder begins there. */
  private readonly curved = new Set<number>();
  /** Bands by number that came to nothing, of each face that was in one. */
  private readonly failures = new Map<number, number[]>();
  private failed = 0;

  constructor(
    private readonly mesh: Mesh,
    private readonly faces: readonly FlatFace[],
  ) {}

  find(): RoundFace[] {
    const found: RoundFace[] = [];
    const { faces } = this;
    const order = faces.map((_, i) => i).sort((a, b) => faces[b].areaMm2 - faces[a].areaMm2 || a - b);
    for (const seed of order) {
      const round = this.growOver(seed);
      if (round === undefined) continue;
      for (const each of round.faces) this.used.add(each);
      found.push(round);
    }
    const first = ({ faces: members }: RoundFace) => members.reduce((a, b) => Math.min(a, b));
    return found.sort((a, b) => first(a) - first(b));
  }

  /** The round face that goes over a strip to one of its neighbours. */
  private growOver(seed: number): RoundFace | undefined {
    for (const { face: next, turnRad } of this.faces[seed].beside) {
      if (this.used.has(seed) || this.curved.has(seed)) return undefined;
      if (this.used.has(next) || turnRad > SMOOTH_RAD || this.wereGrown(seed, next)) continue;
      const round = this.growFrom(seed, next);
      if (round !== undefined) return round;
    }
    return undefined;
  }

  private wereGrown(a: number, b: number): boolean {
    const [ofA, ofB] = [this.failures.get(a) ?? [], this.failures.get(b) ?? []];
    return ofA.length >= MOST_FAILURES || ofA.some((band) => ofB.includes(band));
  }

  private noteFailure(members: Iterable<number>): void {
    this.failed++;
    for (const face of members) this.failures.set(face, [...(this.failures.get(face) ?? []), this.failed]);
  }

  private projected(face: number, [u, v]: readonly [Point, Point]): [number, number][] {
    return this.faces[face].facets.flatMap((facet) =>
      cornersOfFacet(this.mesh, facet).map((corner): [number, number] => [
        dotOf(u, corner),
        dotOf(v, corner),
      ]),
    );
  }

  private growFrom(seed: number, next: number): RoundFace | undefined {
    const axis = unit(crossOf(this.faces[seed].normal, this.faces[next].normal));
    if (axis.every((value) => value === 0)) return undefined;
    const across = acrossAxis(axis);
    const circle = circleThrough([...this.projected(seed, across), ...this.projected(next, across)]);
    if (circle === undefined) return undefined;
    const tolerance = Math.max(5e-4, 1e-4 * circle.radius);
    const isOn = (face: number) =>
      Math.abs(dotOf(this.faces[face].normal, axis)) < 0.003 &&
      this.faces[face].facets.every((facet) =>
        cornersOfFacet(this.mesh, facet).every((corner) => {
          const off = Math.hypot(dotOf(across[0], corner) - circle.x, dotOf(across[1], corner) - circle.y);
          return Math.abs(off - circle.radius) < tolerance;
        }),
      );
    if (!isOn(seed) || !isOn(next)) return undefined;
    const members = this.spread([seed, next], isOn);
    if (members.size < LEAST_STRIPS) return undefined;
    const round = this.describe([...members], axis, across);
    if (round === undefined) this.noteFailure(members);
    return round;
  }

  /** The faces and all that join them smoothly; each neighbour is asked once. */
  private spread(from: readonly number[], joins: (face: number) => boolean): Set<number> {
    const members = new Set(from);
    const asked = new Set(from);
    for (const face of members) {
      for (const { face: beside, turnRad } of this.faces[face].beside) {
        if (turnRad > SMOOTH_RAD || asked.has(beside) || this.used.has(beside)) continue;
        asked.add(beside);
        if (joins(beside)) members.add(beside);
      }
    }
    return members;
  }

  private describe(
    members: readonly number[],
    axis: Point,
    across: readonly [Point, Point],
  ): RoundFace | undefined {
    const points = members.flatMap((face) => this.projected(face, across));
    const circle = circleThrough(points);
    if (circle === undefined) return undefined;
    const facets = members.flatMap((face) => [...this.faces[face].facets]);
    const [low, high] = this.extentAlong(facets, axis);
    let cover = 0;
    let widest = 0;
    for (const face of members) {
      const step = angleSeen(this.projected(face, across), circle);
      cover += step;
      widest = Math.max(widest, step);
    }
    const lengthMm = high - low;
    if (lengthMm < circle.radius / 2 && this.goesOnSmoothly(members, axis)) {
      for (const face of members) this.curved.add(face);
      return undefined;
    }
    if (cover < LEAST_COVER_RAD) return undefined;
    const [u, v] = across;
    const middle = (low + high) / 2;
    const centreMm = [0, 1, 2].map(
      (k) => circle.x * u[k] + circle.y * v[k] + middle * axis[k],
    ) as unknown as Point;
    const first = this.faces[members[0]];
    const outward = minus(cornersOfFacet(this.mesh, first.facets[0])[0], centreMm);
    return {
      faces: members,
      facets,
      axis: axis[2] < 0 || (axis[2] === 0 && axis[0] + axis[1] < 0) ? scaled(axis, -1) : axis,
      centreMm,
      radiusMm: circle.radius,
      lengthMm,
      inside: dotOf(outward, first.normal) < 0,
      facetErrorMm: 2 * circle.radius * (1 - Math.cos(widest / 2)),
    };
  }

  private extentAlong(facets: readonly number[], axis: Point): [number, number] {
    let [low, high] = [Infinity, -Infinity];
    for (const facet of facets) {
      for (const corner of cornersOfFacet(this.mesh, facet)) {
        const along = dotOf(axis, corner);
        low = Math.min(low, along);
        high = Math.max(high, along);
      }
    }
    return [low, high];
  }

  /** A band of a ball goes on smoothly at its ends; a cylinder ends there. */
  private goesOnSmoothly(members: readonly number[], axis: Point): boolean {
    const inBand = new Set(members);
    let [smooth, sharp] = [0, 0];
    for (const face of members) {
      for (const { face: beside, turnRad, edgeMm, along } of this.faces[face].beside) {
        if (inBand.has(beside) || Math.abs(dotOf(along, axis)) > 0.7) continue;
        if (turnRad <= SMOOTH_RAD) smooth += edgeMm;
        else sharp += edgeMm;
      }
    }
    return smooth > sharp;
  }
}

/** Angle under which points are seen from a circle's middle, less than half a turn. */
function angleSeen(points: readonly (readonly [number, number])[], { x, y }: Circle): number {
  const [x0, y0] = [points[0][0] - x, points[0][1] - y];
  const turns = points.map(([px, py]) =>
    Math.atan2(x0 * (py - y) - y0 * (px - x), x0 * (px - x) + y0 * (py - y)),
  );
  return Math.max(...turns) - Math.min(...turns);
}
