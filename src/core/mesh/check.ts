import { boundsOf, type Bounds, type Mesh } from './mesh';

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
  readonly invertedShells: number;
  readonly volumeMm3: number;
  readonly areaMm2: number;
  readonly bounds: Bounds;
}

/** Edges by their two vertices: how many facets use each, and how many run it from low to high index. */
interface EdgeTable {
  readonly low: Uint32Array;
  readonly high: Uint32Array;
  readonly uses: Uint16Array;
  readonly upward: Uint16Array;
  readonly firstFacet: Uint32Array;
}

/** Disjoint sets of facets, joined over shared edges. */
class ShellSets {
  readonly parent: Uint32Array;

  constructor(facets: number) {
    this.parent = Uint32Array.from({ length: facets }, (_, i) => i);
  }

  rootOf(facet: number): number {
    const { parent } = this;
    while (parent[facet] !== facet) {
      parent[facet] = parent[parent[facet]];
      facet = parent[facet];
    }
    return facet;
  }

  join(a: number, b: number): void {
    const [rootA, rootB] = [this.rootOf(a), this.rootOf(b)];
    this.parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
  }
}

function makeEdgeTable(facetCount: number): EdgeTable {
  let slots = 16;
  while (slots < 2.4 * facetCount) slots *= 2;
  return {
    low: new Uint32Array(slots),
    high: new Uint32Array(slots),
    uses: new Uint16Array(slots),
    upward: new Uint16Array(slots),
    firstFacet: new Uint32Array(slots),
  };
}

/** Enters one directed edge and gives the facet that used it first. */
function enterEdge(table: EdgeTable, from: number, to: number, facet: number): number {
  const low = Math.min(from, to);
  const high = Math.max(from, to);
  const mask = table.low.length - 1;
  let slot = (Math.imul(low, 0x9e3779b1) ^ Math.imul(high, 0x85ebca77)) >>> 0;
  slot = (slot ^ (slot >>> 15)) & mask;
  while (table.uses[slot] > 0 && (table.low[slot] !== low || table.high[slot] !== high))
    slot = (slot + 1) & mask;
  if (table.uses[slot] === 0) {
    table.low[slot] = low;
    table.high[slot] = high;
    table.firstFacet[slot] = facet;
  }
  if (table.uses[slot] < 65535) table.uses[slot]++;
  if (from === low && table.upward[slot] < 65535) table.upward[slot]++;
  return table.firstFacet[slot];
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

function countDuplicates({ facets }: Mesh, kept: readonly number[]): number {
  const seen = new Set<string>();
  let duplicates = 0;
  for (const facet of kept) {
    const key = [facets[3 * facet], facets[3 * facet + 1], facets[3 * facet + 2]]
      .sort((a, b) => a - b)
      .join(',');
    if (seen.has(key)) duplicates++;
    else seen.add(key);
  }
  return duplicates;
}

/** Facets that stand on an edge used more than twice or share all corners can only be duplicates there. */
function facetsOnCrowdedEdges(mesh: Mesh, table: EdgeTable, area2: Float64Array): number[] {
  const crowded = new Set<number>();
  for (let slot = 0; slot < table.uses.length; slot++) {
    if (table.uses[slot] > 2 || (table.uses[slot] === 2 && table.upward[slot] !== 1)) {
      crowded.add(table.low[slot] * 2 ** 26 + (table.high[slot] % 2 ** 26));
    }
  }
  return Array.from(area2.keys()).filter((facet) => {
    if (area2[facet] === 0) return false;
    const [a, b, c] = mesh.facets.subarray(3 * facet, 3 * facet + 3);
    return [
      [a, b],
      [b, c],
      [c, a],
    ].some(([from, to]) => {
      return crowded.has(Math.min(from, to) * 2 ** 26 + (Math.max(from, to) % 2 ** 26));
    });
  });
}

/**
 * Checks a welded mesh as a solid: edges, shells, volume, area, bounds. Degenerate facets are counted and left out.
 * A shell is inverted when its signed volume is negative. Volume is signed: negative when all is inside out.
 * Time and memory linear in the facets. Throws RangeError for a mesh without facets.
 */
export function checkMesh(mesh: Mesh): MeshCheck {
  const total = mesh.facets.length / 3;
  if (total === 0) throw new RangeError('checkMesh: at least one facet is needed');
  const bounds = boundsOf(mesh.positions);
  const { area2, volume6 } = measureFacets(mesh, bounds);
  const { facets } = mesh;
  const table = makeEdgeTable(3 * total);
  const shells = new ShellSets(total);
  let degenerate = 0;
  for (let facet = 0; facet < total; facet++) {
    if (area2[facet] === 0) {
      degenerate++;
      continue;
    }
    const [a, b, c] = [facets[3 * facet], facets[3 * facet + 1], facets[3 * facet + 2]];
    shells.join(facet, enterEdge(table, a, b, facet));
    shells.join(facet, enterEdge(table, b, c, facet));
    shells.join(facet, enterEdge(table, c, a, facet));
  }
  const edges = { boundary: 0, nonManifold: 0, misoriented: 0 };
  for (let slot = 0; slot < table.uses.length; slot++) {
    if (table.uses[slot] === 1) edges.boundary++;
    else if (table.uses[slot] > 2) edges.nonManifold++;
    else if (table.uses[slot] === 2 && table.upward[slot] !== 1) edges.misoriented++;
  }
  const volume6OfShell = new Map<number, number>();
  let doubledArea = 0;
  for (let facet = 0; facet < total; facet++) {
    if (area2[facet] === 0) continue;
    const root = shells.rootOf(facet);
    volume6OfShell.set(root, (volume6OfShell.get(root) ?? 0) + volume6[facet]);
    doubledArea += area2[facet];
  }
  const volumes = [...volume6OfShell.values()].map((six) => six / 6);
  const crowded = edges.nonManifold + edges.misoriented > 0 ? facetsOnCrowdedEdges(mesh, table, area2) : [];
  return {
    facets: total,
    vertices: mesh.positions.length / 3,
    watertight: degenerate < total && edges.boundary + edges.nonManifold + edges.misoriented === 0,
    boundaryEdges: edges.boundary,
    nonManifoldEdges: edges.nonManifold,
    misorientedEdges: edges.misoriented,
    degenerateFacets: degenerate,
    duplicateFacets: countDuplicates(mesh, crowded),
    shells: volumes.length,
    invertedShells: volumes.filter((volume) => volume < 0).length,
    volumeMm3: volumes.reduce((sum, volume) => sum + volume, 0),
    areaMm2: doubledArea / 2,
    bounds,
  };
}
