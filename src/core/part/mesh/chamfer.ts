import { boundsOf, facetVector, type Mesh } from './mesh';

/** A mesh cut along a plane of constant z: facets that crossed it are divided, and stay joined. */
function cutAt({ positions, facets }: Mesh, z: number): Mesh {
  const points = [...positions];
  const cut: number[] = [];
  const onEdge = new Map<string, number>();
  const heightOf = (vertex: number) => {
    const height = points[3 * vertex + 2] - z;
    return Math.abs(height) < 1e-9 ? 0 : height;
  };
  const crossing = (a: number, b: number): number => {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`;
    const known = onEdge.get(key);
    if (known !== undefined) return known;
    const share = heightOf(a) / (heightOf(a) - heightOf(b));
    const made = points.length / 3;
    for (let i = 0; i < 2; i++)
      points.push(points[3 * a + i] + share * (points[3 * b + i] - points[3 * a + i]));
    points.push(z);
    onEdge.set(key, made);
    return made;
  };
  for (let facet = 0; facet < facets.length; facet += 3) {
    const corners = [facets[facet], facets[facet + 1], facets[facet + 2]];
    const sides = corners.map((vertex) => Math.sign(heightOf(vertex)));
    if (!(sides.includes(1) && sides.includes(-1))) {
      cut.push(...corners);
      continue;
    }
    // Walk round the facet and gather the polygon on either side; each is a triangle or a quadrangle.
    for (const side of [1, -1]) {
      const polygon: number[] = [];
      corners.forEach((vertex, i) => {
        const next = corners[(i + 1) % 3];
        if (sides[i] !== -side) polygon.push(vertex);
        if (sides[i] * sides[(i + 1) % 3] < 0) polygon.push(crossing(vertex, next));
      });
      for (let i = 1; i + 1 < polygon.length; i++) cut.push(polygon[0], polygon[i], polygon[i + 1]);
    }
  }
  return { positions: Float64Array.from(points), facets: Uint32Array.from(cut) };
}

/** A part with its lower edges drawn in. */
export interface ChamferedMesh {
  readonly mesh: Mesh;
  /** Facets that turned over: a wall or a gap is thinner than two chamfers. */
  readonly turnedFacets: number;
}

/** A wall leans less than this from upright: |n_z| of its normal. */
const UPRIGHT = 0.7;

/** Normal equations in the plane: how far walls around a vertex ask it to move inwards, each by `inwardMm`. */
function moveInwards(sums: Float64Array, vertex: number, inwardMm: number): [number, number] {
  const [xx, xy, yy, x, y] = sums.subarray(5 * vertex, 5 * vertex + 5);
  const ridge = 1e-9 * (xx + yy) || 1;
  const determinant = (xx + ridge) * (yy + ridge) - xy * xy;
  return [
    (-inwardMm * ((yy + ridge) * x - xy * y)) / determinant,
    (-inwardMm * ((xx + ridge) * y - xy * x)) / determinant,
  ];
}

/** Sums over the walls around each vertex: n·nᵀ (xx, xy, yy) and n (x, y) of their horizontal normals; stride five. */
function gatherWalls(mesh: Mesh): Float64Array {
  const sums = new Float64Array((5 * mesh.positions.length) / 3);
  const seen = new Map<number, [number, number][]>();
  for (let facet = 0; facet < mesh.facets.length / 3; facet++) {
    const vector = facetVector(mesh, facet);
    const length = Math.hypot(...vector);
    if (length === 0 || Math.abs(vector[2]) > UPRIGHT * length) continue;
    const across = Math.hypot(vector[0], vector[1]);
    const normal: [number, number] = [vector[0] / across, vector[1] / across];
    for (let k = 0; k < 3; k++) {
      const vertex = mesh.facets[3 * facet + k];
      const known = seen.get(vertex) ?? [];
      seen.set(vertex, known);
      // Facets of one wall count once, into however many it is divided.
      if (known.some(([x, y]) => x * normal[0] + y * normal[1] > 1 - 1e-9)) continue;
      known.push(normal);
      const terms = [
        normal[0] * normal[0],
        normal[0] * normal[1],
        normal[1] * normal[1],
        normal[0],
        normal[1],
      ];
      terms.forEach((term, i) => (sums[5 * vertex + i] += term));
    }
  }
  return sums;
}

/**
 * Returns the mesh with a chamfer of 45° around every edge on the plate: walls lower than `legMm` above the lowest
 * point move inwards by the missing height, so that the flare of the first layers fills the chamfer. Outer walls move
 * in, walls of holes open. Throws RangeError if the part is no higher than the chamfer.
 */
export function chamferFoot(mesh: Mesh, legMm: number): ChamferedMesh {
  const { min, max } = boundsOf(mesh.positions);
  if (!(legMm > 0 && max[2] - min[2] > legMm))
    throw new RangeError('chamferFoot: the part is no higher than the chamfer');
  const top = min[2] + legMm;
  const cut = cutAt(mesh, top);
  const walls = gatherWalls(cut);
  const positions = cut.positions.slice();
  for (let vertex = 0; vertex < positions.length / 3; vertex++) {
    const below = top - positions[3 * vertex + 2];
    if (below <= 1e-9) continue;
    const [x, y] = moveInwards(walls, vertex, below);
    positions[3 * vertex] += x;
    positions[3 * vertex + 1] += y;
  }
  const chamfered = { positions, facets: cut.facets };
  return { mesh: chamfered, turnedFacets: countTurned(cut, chamfered) };
}

/** Facets that lie the other way round, or have no area left. */
function countTurned(before: Mesh, after: Mesh): number {
  let turned = 0;
  for (let facet = 0; facet < before.facets.length / 3; facet++) {
    const [was, is] = [facetVector(before, facet), facetVector(after, facet)];
    const dot = was[0] * is[0] + was[1] * is[1] + was[2] * is[2];
    if (Math.hypot(...was) > 1e-12 && dot <= 0) turned++;
  }
  return turned;
}
