import { facetVector, type Mesh } from '@/core/part/mesh';

/** Outward unit normals, three numbers a facet; 0 for facets without area. */
export function facetNormals(mesh: Mesh): Float32Array {
  const total = mesh.facets.length / 3;
  const normals = new Float32Array(3 * total);
  for (let facet = 0; facet < total; facet++) {
    const [x, y, z] = facetVector(mesh, facet);
    const length = Math.sqrt(x * x + y * y + z * z);
    if (length === 0) continue;
    normals[3 * facet] = x / length;
    normals[3 * facet + 1] = y / length;
    normals[3 * facet + 2] = z / length;
  }
  return normals;
}
