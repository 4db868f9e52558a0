import type { Mesh } from '@/core/part/mesh';

/** Nine coordinates a facet, in single precision as a file has them. */
export function cornersOf({ facets, positions }: Mesh): Float32Array {
  return Float32Array.from(
    [...facets].flatMap((vertex) => [...positions.subarray(3 * vertex, 3 * vertex + 3)]),
  );
}

/**
 * A prism over a polygon, closed, standing on z = 0. `outline`: corners counter-clockwise; `holes`: clockwise loops.
 * Only for convex outlines without holes the caps are fans; otherwise give `capFacets` over outline and holes in order.
 */
export function prism(
  loops: readonly (readonly (readonly [number, number])[])[],
  heightMm: number,
  capFacets?: readonly (readonly [number, number, number])[],
): Mesh {
  const points = loops.flat();
  const count = points.length;
  const positions = new Float64Array(6 * count);
  points.forEach(([x, y], i) => {
    positions.set([x, y, 0], 3 * i);
    positions.set([x, y, heightMm], 3 * (count + i));
  });
  const facets: number[] = [];
  let from = 0;
  for (const loop of loops) {
    loop.forEach((_, i) => {
      const [a, b] = [from + i, from + ((i + 1) % loop.length)];
      facets.push(a, b, count + b, a, count + b, count + a);
    });
    from += loop.length;
  }
  const caps = capFacets ?? points.slice(2).map((_, i) => [0, i + 1, i + 2] as const);
  for (const [a, b, c] of caps) facets.push(a, c, b, count + a, count + b, count + c);
  return { positions, facets: Uint32Array.from(facets) };
}

export function box(x: number, y: number, z: number): Mesh {
  return prism(
    [
      [
        [-x / 2, -y / 2],
        [x / 2, -y / 2],
        [x / 2, y / 2],
        [-x / 2, y / 2],
      ],
    ],
    z,
  );
}

/** Moves and turns a mesh about Z. */
export function moved(mesh: Mesh, by: readonly [number, number, number], angleRad = 0): Mesh {
  const positions = mesh.positions.slice();
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)];
  for (let i = 0; i < positions.length; i += 3) {
    const [x, y] = [positions[i], positions[i + 1]];
    positions[i] = cos * x - sin * y + by[0];
    positions[i + 1] = sin * x + cos * y + by[1];
    positions[i + 2] += by[2];
  }
  return { positions, facets: mesh.facets };
}

/** Two meshes in one file, drawn into one another or not. */
export function joined(one: Mesh, other: Mesh): Mesh {
  const count = one.positions.length / 3;
  return {
    positions: Float64Array.from([...one.positions, ...other.positions]),
    facets: Uint32Array.from([...one.facets, ...[...other.facets].map((vertex) => vertex + count)]),
  };
}
