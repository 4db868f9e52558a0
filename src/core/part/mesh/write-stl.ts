import { facetVector, type Mesh } from './mesh';

/** Header of our own files; a binary STL must not begin with the word that begins a text one. */
const TITLE = 'Mellow Caliper, binary STL, millimetres';

/** Binary STL, 84 + 50 bytes a facet, single precision, normals from the winding. */
export function writeStl(mesh: Mesh): Uint8Array<ArrayBuffer> {
  const count = mesh.facets.length / 3;
  const bytes = new Uint8Array(84 + 50 * count);
  new TextEncoder().encodeInto(TITLE, bytes);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, count, true);
  for (let facet = 0; facet < count; facet++) {
    const at = 84 + 50 * facet;
    const normal = facetVector(mesh, facet);
    const length = Math.hypot(...normal) || 1;
    normal.forEach((value, i) => view.setFloat32(at + 4 * i, value / length, true));
    for (let corner = 0; corner < 3; corner++) {
      const vertex = 3 * mesh.facets[3 * facet + corner];
      for (let i = 0; i < 3; i++)
        view.setFloat32(at + 12 + 12 * corner + 4 * i, mesh.positions[vertex + i], true);
    }
  }
  return bytes;
}
