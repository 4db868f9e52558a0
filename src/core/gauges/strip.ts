import type { Mesh } from '@/core/mesh';

/** Length and width of a strip, mm: long enough for jaws to close across it, and to tell which way it lies. */
const STRIP_MM = [20, 6] as const;

/** Corners of a box by the bits of their number, and its faces, each as two triangles seen from outside. */
const FACES = [
  [0, 2, 3, 1],
  [4, 5, 7, 6],
  [0, 1, 5, 4],
  [2, 6, 7, 3],
  [0, 4, 6, 2],
  [1, 3, 7, 5],
] as const;

/** A field of one layer: cured on the bare film it leaves a strip as thick as its exposure goes deep. */
export function stripMesh(layerMm: number): Mesh {
  const [length, width] = STRIP_MM;
  const positions = new Float64Array(24);
  for (let corner = 0; corner < 8; corner++)
    positions.set([corner & 1 ? length : 0, corner & 2 ? width : 0, corner & 4 ? layerMm : 0], 3 * corner);
  const facets = Uint32Array.from(FACES.flatMap(([a, b, c, d]) => [a, b, c, a, c, d]));
  return { positions, facets };
}
