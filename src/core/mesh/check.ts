import { boundsOf, facetVector, type Bounds, type Mesh } from './mesh';

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

function isDegenerate(mesh: Mesh, facet: number): boolean {
  const [a, b, c] = mesh.facets.subarray(3 * facet, 3 * facet + 3);
  return a === b || b === c || a === c || Math.hypot(...facetVector(mesh, facet)) === 0;
}

function countDuplicates({ facets }: Mesh, kept: readonly number[] | Uint32Array): number {
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
function facetsOnCrowdedEdges(mesh: Mesh, table: EdgeTable, real: Uint32Array): number[] {
  const crowded = new Set<number>();
  for (let slot = 0; slot < table.uses.length; slot++) {
    if (table.uses[slot] > 2 || (table.uses[slot] === 2 && table.upward[slot] !== 1)) {
      crowded.add(table.low[slot] * 2 ** 26 + (table.high[slot] % 2 ** 26));
    }
  }
  if (crowded.size === 0) return [];
  return [...real].filter((facet) => {
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

/** Signed volume of the tetrahedron between the origin and a facet, times six, and the facet's doubled area. */
function measureFacet(mesh: Mesh, facet: number): { volume6: number; area2: number } {
  const normal = facetVector(mesh, facet);
  const a = 3 * mesh.facets[3 * facet];
  const { positions } = mesh;
  return {
    volume6: positions[a] * normal[0] + positions[a + 1] * normal[1] + positions[a + 2] * normal[2],
    area2: Math.hypot(...normal),
  };
}

/**
 * Checks a welded mesh as a solid: edges, shells, volume, area, bounds. Degenerate facets are counted and left out.
 * A shell is inverted when its signed volume is negative. Volume is signed: negative when all is inside out.
 * Time and memory linear in the facets. Throws RangeError for a mesh without facets.
 */
export function checkMesh(mesh: Mesh): MeshCheck {
  const total = mesh.facets.length / 3;
  if (total === 0) throw new RangeError('checkMesh: at least one facet is needed');
  const real = Uint32Array.from({ length: total }, (_, i) => i).filter((facet) => !isDegenerate(mesh, facet));
  const table = makeEdgeTable(3 * total);
  const shells = new ShellSets(total);
  for (const facet of real) {
    const [a, b, c] = mesh.facets.subarray(3 * facet, 3 * facet + 3);
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
  const volumeOfShell = new Map<number, number>();
  let area2 = 0;
  for (const facet of real) {
    const measured = measureFacet(mesh, facet);
    const root = shells.rootOf(facet);
    volumeOfShell.set(root, (volumeOfShell.get(root) ?? 0) + measured.volume6 / 6);
    area2 += measured.area2;
  }
  const volumes = [...volumeOfShell.values()];
  return {
    facets: total,
    vertices: mesh.positions.length / 3,
    watertight: real.length > 0 && edges.boundary + edges.nonManifold + edges.misoriented === 0,
    boundaryEdges: edges.boundary,
    nonManifoldEdges: edges.nonManifold,
    misorientedEdges: edges.misoriented,
    degenerateFacets: total - real.length,
    duplicateFacets: countDuplicates(mesh, facetsOnCrowdedEdges(mesh, table, real)),
    shells: volumes.length,
    invertedShells: volumes.filter((volume) => volume < 0).length,
    volumeMm3: volumes.reduce((sum, volume) => sum + volume, 0),
    areaMm2: area2 / 2,
    bounds: boundsOf(mesh.positions),
  };
}
