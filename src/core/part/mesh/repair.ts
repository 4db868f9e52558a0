import earcut from 'earcut';
import { checkMesh, listDuplicates, readShells, type MeshCheck } from './check';
import { bucketEdges, eachEdge } from './edges';
import { facetVector, type Mesh, type Point } from './mesh';
import { crossOf, dotOf, minus, unit } from './vectors';
import { weldCorners } from './weld';

/** What a repair did to a copy of a mesh. */
export interface Repair {
  readonly mesh: Mesh;
  readonly before: MeshCheck;
  readonly after: MeshCheck;
  readonly weldedVertices: number;
  readonly droppedDegenerate: number;
  readonly droppedDuplicates: number;
  readonly turnedFacets: number;
  readonly filledHoles: number;
  /** Holes that were left: too large, too crooked, or not one simple loop. */
  readonly leftHoles: number;
}

export interface RepairOptions {
  /** Vertices nearer than this become one, mm. Default 0.001. */
  readonly weldMm: number;
  /** Holes with more corners are left alone: what belongs there is not known. Default 200. */
  readonly mostCorners: number;
  /** Holes further out of their plane than this share of their size are left. Default 0.1. */
  readonly crooked: number;
}

const REPAIR_DEFAULTS: RepairOptions = Object.freeze({ weldMm: 0.001, mostCorners: 200, crooked: 0.1 });

const hasArea = (mesh: Mesh) => (facet: number) => Math.hypot(...facetVector(mesh, facet)) > 0;

function cornersOf({ positions, facets }: Mesh): Float64Array {
  const corners = new Float64Array(3 * facets.length);
  for (let i = 0; i < facets.length; i++) {
    for (let axis = 0; axis < 3; axis++) corners[3 * i + axis] = positions[3 * facets[i] + axis];
  }
  return corners;
}

function keepFacets({ positions, facets }: Mesh, keep: (facet: number) => boolean): Mesh {
  const kept: number[] = [];
  for (let facet = 0; facet < facets.length / 3; facet++) {
    if (keep(facet)) kept.push(facets[3 * facet], facets[3 * facet + 1], facets[3 * facet + 2]);
  }
  return { positions, facets: Uint32Array.from(kept) };
}

function turned({ positions, facets }: Mesh, turn: ReadonlySet<number>): Mesh {
  const wound = facets.slice();
  for (const facet of turn) {
    wound[3 * facet + 1] = facets[3 * facet + 2];
    wound[3 * facet + 2] = facets[3 * facet + 1];
  }
  return { positions, facets: wound };
}

/** Facets to turn so that neighbours on every fair edge agree: each shell follows its lowest facet. */
function disagreeing(mesh: Mesh): Set<number> {
  const total = mesh.facets.length / 3;
  const edges = bucketEdges(mesh, () => false);
  const neighbours = new Map<number, { facet: number; agrees: boolean }[]>();
  const join = (a: number, b: number, agrees: boolean) => {
    if (!neighbours.has(a)) neighbours.set(a, []);
    neighbours.get(a)!.push({ facet: b, agrees });
  };
  let disagreements = 0;
  eachEdge(edges, (_, from, to) => {
    if (to - from !== 2) return;
    const [a, b] = [edges.side[from], edges.side[from + 1]];
    const agrees = (a & 1) !== (b & 1);
    if (!agrees) disagreements++;
    join(a >>> 1, b >>> 1, agrees);
    join(b >>> 1, a >>> 1, agrees);
  });
  return disagreements === 0 ? new Set() : spreadTurns(neighbours, total);
}

/** From the lowest facet of each shell outwards: a facet that disagrees with one that stays is turned. */
function spreadTurns(
  neighbours: ReadonlyMap<number, readonly { facet: number; agrees: boolean }[]>,
  total: number,
): Set<number> {
  const turn = new Set<number>();
  const known = new Uint8Array(total);
  const reached: number[] = [];
  const reach = (facet: number) => {
    known[facet] = 1;
    reached.push(facet);
  };
  const spread = (from: number) => {
    for (const { facet, agrees } of neighbours.get(from) ?? []) {
      if (known[facet] === 1) continue;
      if (turn.has(from) === agrees) turn.add(facet);
      reach(facet);
    }
  };
  for (let seed = 0; seed < total; seed++) {
    if (known[seed] === 0) reach(seed);
    for (let from = reached.pop(); from !== undefined; from = reached.pop()) spread(from);
  }
  return turn;
}

/** Facets of shells that have their inside out; walls of cavities are right as they are. */
function insideOut(mesh: Mesh): Set<number> {
  const { shellOf, inverted } = readShells(mesh);
  const facets = new Set<number>();
  shellOf.forEach((shell, facet) => {
    if (inverted.has(shell)) facets.add(facet);
  });
  return facets;
}

/** Loops of edges that only one facet uses, as the missing facets would run them. */
function listHoles(mesh: Mesh): { loops: number[][]; tangled: number } {
  const edges = bucketEdges(mesh, () => false);
  const next = new Map<number, number>();
  let tangled = 0;
  eachEdge(edges, (low, from, to) => {
    if (to - from !== 1) return;
    // The missing facet runs the edge the other way round.
    const [start, end] = (edges.side[from] & 1) === 1 ? [edges.high[from], low] : [low, edges.high[from]];
    if (next.has(start)) tangled++;
    next.set(start, end);
  });
  const loops: number[][] = [];
  while (next.size > 0) {
    const loop: number[] = [];
    let at: number | undefined = next.keys().next().value;
    while (at !== undefined && next.has(at)) {
      loop.push(at);
      const onward: number | undefined = next.get(at);
      next.delete(at);
      at = onward;
    }
    if (at === loop[0] && loop.length >= 3) loops.push(loop);
    else tangled++;
  }
  return { loops, tangled };
}

/** Triangles over a nearly flat loop; undefined where it is too crooked. */
function fillLoop({ positions }: Mesh, loop: readonly number[], crooked: number): number[] | undefined {
  const points = loop.map((vertex): Point => [
    positions[3 * vertex],
    positions[3 * vertex + 1],
    positions[3 * vertex + 2],
  ]);
  // Newell's normal: the sum of the crosses around the loop.
  const normal = unit(
    points.reduce<Point>(
      (sum, point, i) => {
        const cross = crossOf(minus(point, points[0]), minus(points[(i + 1) % points.length], points[0]));
        return [sum[0] + cross[0], sum[1] + cross[1], sum[2] + cross[2]];
      },
      [0, 0, 0],
    ),
  );
  const heights = points.map((point) => dotOf(minus(point, points[0]), normal));
  const size = Math.max(...points.map((point) => Math.hypot(...minus(point, points[0]))));
  if (normal.every((value) => value === 0) || Math.max(...heights) - Math.min(...heights) > crooked * size)
    return undefined;
  const u = unit(crossOf(Math.abs(normal[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1], normal));
  const v = crossOf(normal, u);
  const flat = points.flatMap((point) => [dotOf(u, point), dotOf(v, point)]);
  const triangles = earcut(flat);
  if (triangles.length !== 3 * (loop.length - 2)) return undefined;
  return triangles.flatMap((corner, i) => {
    if (i % 3 !== 0) return [];
    const [a, b, c] = [triangles[i], triangles[i + 1], triangles[i + 2]];
    const area =
      (flat[2 * b] - flat[2 * a]) * (flat[2 * c + 1] - flat[2 * a + 1]) -
      (flat[2 * c] - flat[2 * a]) * (flat[2 * b + 1] - flat[2 * a + 1]);
    return (area > 0 ? [a, b, c] : [a, c, b]).map((index) => loop[index]);
  });
}

function fillHoles(mesh: Mesh, { mostCorners, crooked }: RepairOptions) {
  const { loops, tangled } = listHoles(mesh);
  const facets = [...mesh.facets];
  let filled = 0;
  for (const loop of loops) {
    const patch = loop.length > mostCorners ? undefined : fillLoop(mesh, loop, crooked);
    if (patch === undefined) continue;
    for (const index of patch) facets.push(index);
    filled++;
  }
  return {
    mesh: filled === 0 ? mesh : { positions: mesh.positions, facets: Uint32Array.from(facets) },
    filled,
    left: loops.length - filled + tangled,
  };
}

/**
 * Returns a repaired copy of a mesh where that is safe: joins vertices, drops facets without area and duplicates, makes
 * neighbours agree, fills simple holes, and turns shells that are inside out. The mesh itself is not changed.
 * undefined: no facet has an area, so nothing can be repaired. Throws RangeError without facets.
 */
export function repairMesh(mesh: Mesh, options: Partial<RepairOptions> = {}): Repair | undefined {
  const given = { ...REPAIR_DEFAULTS, ...options };
  const before = checkMesh(mesh);
  const welded = weldCorners(cornersOf(mesh), { quantumMm: given.weldMm });
  const solid = keepFacets(welded, hasArea(welded));
  if (solid.facets.length === 0) return undefined;
  const doubles = new Set(listDuplicates(solid, Array(solid.facets.length / 3).keys()));
  const single = keepFacets(solid, (facet) => !doubles.has(facet));
  const agreeing = disagreeing(single);
  const filled = fillHoles(turned(single, agreeing), given);
  const wrong = insideOut(filled.mesh);
  const mended = turned(filled.mesh, wrong);
  return {
    mesh: mended,
    before,
    after: checkMesh(mended),
    weldedVertices: mesh.positions.length / 3 - welded.positions.length / 3,
    droppedDegenerate: (welded.facets.length - solid.facets.length) / 3,
    droppedDuplicates: doubles.size,
    turnedFacets: agreeing.size + wrong.size,
    filledHoles: filled.filled,
    leftHoles: filled.left,
  };
}
