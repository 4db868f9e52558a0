export type MeshFormat =
  'stl-binary' | 'stl-ascii' | 'obj' | 'ply-ascii' | 'ply-little-endian' | 'ply-big-endian' | '3mf';

/** Facets as read from a file, before equal corners are joined. */
export interface FacetSoup {
  readonly format: MeshFormat;
  /** Nine coordinates a facet (three corners × x, y, z), counter-clockwise seen from outside, mm. */
  readonly corners: Float32Array | Float64Array;
}

/** A mesh with shared vertices. */
export interface Mesh {
  /** Three coordinates a vertex, mm. */
  readonly positions: Float64Array;
  /** Three vertex indices a facet, counter-clockwise seen from outside. */
  readonly facets: Uint32Array;
}

export type Point = readonly [number, number, number];

export interface Bounds {
  readonly min: Point;
  readonly max: Point;
}

/** Smallest and largest coordinates, mm; throws RangeError for a mesh without vertices. */
export function boundsOf(positions: ArrayLike<number>): Bounds {
  if (positions.length < 3) throw new RangeError('boundsOf: at least one vertex is needed');
  let [minX, minY, minZ] = [Infinity, Infinity, Infinity];
  let [maxX, maxY, maxZ] = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i + 2 < positions.length; i += 3) {
    const x = positions[i];
    const y = positions[i + 1];
    const z = positions[i + 2];
    if (x < minX) minX = x;
    if (x > maxX) maxX = x;
    if (y < minY) minY = y;
    if (y > maxY) maxY = y;
    if (z < minZ) minZ = z;
    if (z > maxZ) maxZ = z;
  }
  return { min: [minX, minY, minZ], max: [maxX, maxY, maxZ] };
}

/** Twice the vector area of a facet: its length is twice the area, its direction the outward normal. */
export function facetVector({ positions, facets }: Mesh, facet: number): [number, number, number] {
  const a = 3 * facets[3 * facet];
  const b = 3 * facets[3 * facet + 1];
  const c = 3 * facets[3 * facet + 2];
  const ux = positions[b] - positions[a];
  const uy = positions[b + 1] - positions[a + 1];
  const uz = positions[b + 2] - positions[a + 2];
  const vx = positions[c] - positions[a];
  const vy = positions[c + 1] - positions[a + 1];
  const vz = positions[c + 2] - positions[a + 2];
  return [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
}
