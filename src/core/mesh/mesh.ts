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
  const min = [Infinity, Infinity, Infinity];
  const max = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < positions.length; i++) {
    const axis = i % 3;
    if (positions[i] < min[axis]) min[axis] = positions[i];
    if (positions[i] > max[axis]) max[axis] = positions[i];
  }
  return { min: min as unknown as Point, max: max as unknown as Point };
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
