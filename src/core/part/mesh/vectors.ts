import type { Mesh, Point } from './mesh';

export const dotOf = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const crossOf = (a: Point, b: Point): Point => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const scaled = (a: Point, by: number): Point => [a[0] * by, a[1] * by, a[2] * by];
export function unit(a: Point): Point {
  const length = Math.hypot(...a);
  return length === 0 ? [0, 0, 0] : scaled(a, 1 / length);
}

export function cornersOfFacet({ positions, facets }: Mesh, facet: number): [Point, Point, Point] {
  const corner = (k: number): Point => {
    const at = 3 * facets[3 * facet + k];
    return [positions[at], positions[at + 1], positions[at + 2]];
  };
  return [corner(0), corner(1), corner(2)];
}

/**
 * Returns the distance of a point from a triangle, mm: to its plane where the projection is inside, else to its sides.
 */
export function distanceToFacet(mesh: Mesh, facet: number, point: Point): number {
  const [a, b, c] = cornersOfFacet(mesh, facet);
  const normal = crossOf(minus(b, a), minus(c, a));
  const sides = [
    [a, b],
    [b, c],
    [c, a],
  ] as const;
  const isWithin = sides.every(
    ([from, to]) => dotOf(crossOf(minus(to, from), minus(point, from)), normal) >= 0,
  );
  if (isWithin) return Math.abs(dotOf(minus(point, a), unit(normal)));
  return Math.min(
    ...sides.map(([from, to]) => {
      const along = minus(to, from);
      const share = Math.min(1, Math.max(0, dotOf(minus(point, from), along) / (dotOf(along, along) || 1)));
      return Math.hypot(...minus(minus(point, from), scaled(along, share)));
    }),
  );
}
