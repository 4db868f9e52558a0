import { bucketEdges, eachEdge, type EdgeBuckets } from './edges';
import { boundsOf, type Bounds, type Mesh } from './mesh';
import { NO_SHELL, sortShells, type SortedShells } from './shells';
import { DisjointSets } from './disjoint-sets';

/** What a mesh is worth as a solid. Lengths mm, areas mm², volumes mm³. */
export interface MeshCheck {
  readonly facets: number;
  readonly vertices: number;
  /** Every edge has two facets that agree on which side is out. */
  readonly watertight: boolean;
  readonly boundaryEdges: number;
  readonly nonManifoldEdges: number;
  readonly misorientedEdges: number;
  readonly degenerateFacets: number;
  readonly duplicateFacets: number;
  readonly shells: number;
  /** Shells with their inside out; the wall of a cavity is not one of them. */
  readonly invertedShells: number;
  /** Shells within another that bound a cavity: sealed permanently. */
  readonly enclosedVoids: number;
  readonly volumeMm3: number;
  readonly areaMm2: number;
  readonly bounds: Bounds;
}

/** What each facet is worth by itself: doubled area, and six times the volume of its tetrahedron to a point within the part. */
interface FacetMeasures {
  readonly area2: Float64Array;
  readonly volume6: Float64Array;
}

/** Volumes are taken to the part's middle: to an origin far away they would drown in the distance. */
function measureFacets({ positions, facets }: Mesh, { min, max }: Bounds): FacetMeasures {
  const total = facets.length / 3;
  const [cx, cy, cz] = [0, 1, 2].map((axis) => (min[axis] + max[axis]) / 2);
  const area2 = new Float64Array(total);
  const volume6 = new Float64Array(total);
  for (let facet = 0; facet < total; facet++) {
    const a = 3 * facets[3 * facet];
    const b = 3 * facets[3 * facet + 1];
    const c = 3 * facets[3 * facet + 2];
    if (a === b || b === c || a === c) continue;
    const ux = positions[b] - positions[a];
    const uy = positions[b + 1] - positions[a + 1];
    const uz = positions[b + 2] - positions[a + 2];
    const vx = positions[c] - positions[a];
    const vy = positions[c + 1] - positions[a + 1];
    const vz = positions[c + 2] - positions[a + 2];
    const nx = uy * vz - uz * vy;
    const ny = uz * vx - ux * vz;
    const nz = ux * vy - uy * vx;
    area2[facet] = Math.sqrt(nx * nx + ny * ny + nz * nz);
    volume6[facet] = (positions[a] - cx) * nx + (positions[a + 1] - cy) * ny + (positions[a + 2] - cz) * nz;
  }
  return { area2, volume6 };
}

/** Facets with the same three corners as an earlier one, in whatever order. */
export function listDuplicates({ facets }: Mesh, candidates: Iterable<number>): number[] {
  const seen = new Set<string>();
  const duplicates: number[] = [];
  for (const facet of candidates) {
    const key = [facets[3 * facet], facets[3 * facet + 1], facets[3 * facet + 2]]
      .sort((a, b) => a - b)
      .join(',');
    if (seen.has(key)) duplicates.push(facet);
    else seen.add(key);
  }
  return duplicates;
}

/** Result of the edges of a mesh. */
interface EdgeReport {
  readonly boundary: number;
  readonly nonManifold: number;
  readonly misoriented: number;
  /** Shell of each facet, by the lowest facet in it; NO_SHELL for those without area. */
  readonly shellOf: Uint32Array;
  /** Facets on an edge that more than two facets use, or two that disagree: only there can duplicates be. */
  readonly crowded: ReadonlySet<number>;
}

/** Shell of each facet, by the lowest facet in it: facets that hang together over edges. */
export function listShells(mesh: Mesh): Uint32Array {
  const { area2 } = measureFacets(mesh, boundsOf(mesh.positions));
  return readEdges(mesh, (facet) => area2[facet] > 0).shellOf;
}

/** Which shells are solids, cavities, or inside out, with the shell of each facet. */
export function readShells(mesh: Mesh): SortedShells & { readonly shellOf: Uint32Array } {
  const { area2, volume6 } = measureFacets(mesh, boundsOf(mesh.positions));
  const { shellOf } = readEdges(mesh, (facet) => area2[facet] > 0);
  return { ...sortShells(mesh, shellOf, volume6), shellOf };
}

/** Reads the edges of the facets that have an area. */
function readEdges(mesh: Mesh, hasArea: (facet: number) => boolean): EdgeReport {
  const total = mesh.facets.length / 3;
  const edges: EdgeBuckets = bucketEdges(mesh, (facet) => !hasArea(facet));
  const { side } = edges;
  const shells = new DisjointSets(total);
  const crowded = new Set<number>();
  let [boundary, nonManifold, misoriented] = [0, 0, 0];
  eachEdge(edges, (_, from, to) => {
    const uses = to - from;
    if (uses === 1) boundary++;
    else if (uses > 2) nonManifold++;
    else if ((side[from] & 1) === (side[from + 1] & 1)) misoriented++;
    const isFair = uses === 2 && (side[from] & 1) !== (side[from + 1] & 1);
    for (let i = from; i < to; i++) {
      if (i > from) shells.join(side[from] >>> 1, side[i] >>> 1);
      if (uses > 1 && !isFair) crowded.add(side[i] >>> 1);
    }
  });
  const shellOf = shells.parent;
  for (let facet = 0; facet < total; facet++) shellOf[facet] = shells.rootOf(facet);
  for (let facet = 0; facet < total; facet++) if (!hasArea(facet)) shellOf[facet] = NO_SHELL;
  return { boundary, nonManifold, misoriented, shellOf, crowded };
}

/**
 * Checks a welded mesh as a solid: edges, shells, volume, area, bounds. Degenerate facets are counted and left out.
 * Volume is signed: negative when all is inside out, less by its cavities.
 * Time and memory linear in the facets. Throws RangeError for a mesh without facets.
 */
export function checkMesh(mesh: Mesh): MeshCheck {
  const total = mesh.facets.length / 3;
  if (total === 0) throw new RangeError('checkMesh: at least one facet is needed');
  const bounds = boundsOf(mesh.positions);
  const { area2, volume6 } = measureFacets(mesh, bounds);
  let degenerate = 0;
  for (let facet = 0; facet < total; facet++) if (area2[facet] === 0) degenerate++;
  const { boundary, nonManifold, misoriented, shellOf, crowded } = readEdges(
    mesh,
    (facet) => area2[facet] > 0,
  );
  const { volumes, inverted, cavities } = sortShells(mesh, shellOf, volume6);
  let doubledArea = 0;
  for (let facet = 0; facet < total; facet++) doubledArea += area2[facet];
  return {
    facets: total,
    vertices: mesh.positions.length / 3,
    watertight: degenerate < total && boundary + nonManifold + misoriented === 0,
    boundaryEdges: boundary,
    nonManifoldEdges: nonManifold,
    misorientedEdges: misoriented,
    degenerateFacets: degenerate,
    duplicateFacets: listDuplicates(
      mesh,
      [...crowded].sort((a, b) => a - b),
    ).length,
    shells: volumes.size,
    invertedShells: inverted.size,
    enclosedVoids: cavities.size,
    volumeMm3: [...volumes.values()].reduce((sum, volume) => sum + volume, 0),
    areaMm2: doubledArea / 2,
    bounds,
  };
}
