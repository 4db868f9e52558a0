import type { Mesh } from '@/core/part/mesh';

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

/** A box as a mesh, its lower corner there. */
function boxMesh(sizeMm: readonly [number, number, number], at: readonly [number, number, number]): Mesh {
  const positions = new Float64Array(24);
  for (let corner = 0; corner < 8; corner++)
    for (let axis = 0; axis < 3; axis++)
      positions[3 * corner + axis] = at[axis] + (corner & (1 << axis) ? sizeMm[axis] : 0);
  return { positions, facets: Uint32Array.from(FACES.flatMap(([a, b, c, d]) => [a, b, c, a, c, d])) };
}

/** A field of one layer: cured on the bare film it leaves a strip as thick as its exposure goes deep. */
export function stripMesh(layerMm: number): Mesh {
  return boxMesh([...STRIP_MM, layerMm], [0, 0, 0]);
}

/** A post, how far apart they stand, and how far from the edge of the plate, mm. */
const POST = { wideMm: 2, highMm: 3, everyMm: 12, marginMm: 4 } as const;

/**
 * Small posts all over a plate: where one is missing or poor, the printer has a bad place. Prints in half an hour on
 * most printers.
 */
export function postField([widthMm, depthMm]: readonly [number, number]): Mesh {
  const { wideMm, highMm, everyMm, marginMm } = POST;
  const along = (length: number) => {
    const room = Math.max(0, length - 2 * marginMm - wideMm);
    const gaps = Math.max(1, Math.floor(room / everyMm));
    return Array.from({ length: gaps + 1 }, (_, i) => -room / 2 + (room * i) / gaps - wideMm / 2);
  };
  const posts = along(widthMm).flatMap((x) =>
    along(depthMm).map((y) => boxMesh([wideMm, wideMm, highMm], [x, y, 0])),
  );
  const positions = new Float64Array(24 * posts.length);
  const facets = new Uint32Array(36 * posts.length);
  posts.forEach((post, i) => {
    positions.set(post.positions, 24 * i);
    facets.set(
      post.facets.map((corner) => corner + 8 * i),
      36 * i,
    );
  });
  return { positions, facets };
}
