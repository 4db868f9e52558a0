import type { Manifold, ManifoldToplevel } from 'manifold-3d';
import type { Mesh } from '@/core/mesh';
import type { Point } from '@/core/mesh';
import type { CombRecipe, DrawnOf, RingRecipe, SolidRecipe } from './recipe';

/** The solid kernel, loaded by whoever calls (a worker, a route handler, a script). */
export type SolidKernel = Pick<ManifoldToplevel, 'CrossSection' | 'Manifold'>;

/** Sides of a circle so that the facet error on the diameter, D(1 − cos π/n), stays under a micrometre. */
export function sidesOfCircle(diameterMm: number): number {
  const most = Math.PI / Math.acos(1 - 0.001 / diameterMm);
  return 8 * Math.ceil(Math.max(48, most) / 8);
}

/** Shafts are inscribed: their corners lie on the true circle. */
function shaft(kernel: SolidKernel, diameterMm: number, heightMm: number): Manifold {
  const sides = sidesOfCircle(diameterMm);
  return kernel.Manifold.cylinder(heightMm, diameterMm / 2, diameterMm / 2, sides);
}

/** Holes are circumscribed: their sides touch the true circle, so a pin of that size goes in. */
function holeCutter(kernel: SolidKernel, diameterMm: number, heightMm: number): Manifold {
  const sides = sidesOfCircle(diameterMm);
  const radius = diameterMm / 2 / Math.cos(Math.PI / sides);
  const cylinder = kernel.Manifold.cylinder(heightMm + 2, radius, radius, sides);
  const moved = cylinder.translate([0, 0, -1]);
  cylinder.delete();
  return moved;
}

function toMesh(solid: Manifold): Mesh {
  const { vertProperties, triVerts, numProp } = solid.getMesh();
  const count = vertProperties.length / numProp;
  const positions = new Float64Array(3 * count);
  for (let vertex = 0; vertex < count; vertex++) {
    for (let i = 0; i < 3; i++) positions[3 * vertex + i] = vertProperties[vertex * numProp + i];
  }
  return { positions, facets: Uint32Array.from(triVerts) };
}

function buildRing(kernel: SolidKernel, recipe: RingRecipe, drawn: DrawnOf): Mesh {
  const body = shaft(kernel, drawn(recipe.outer), drawn(recipe.height));
  const cutter = holeCutter(kernel, drawn(recipe.bore), drawn(recipe.height));
  const ring = body.subtract(cutter);
  const mesh = toMesh(ring);
  [body, cutter, ring].forEach((solid) => solid.delete());
  return mesh;
}

/** Middles of the pockets along X, mm, walls of equal thickness between them. */
function pocketMiddles(recipe: CombRecipe, drawn: DrawnOf): number[] {
  const widths = recipe.pockets.map(drawn);
  const total = widths.reduce((sum, width) => sum + width, 0) + recipe.wallMm * (widths.length - 1);
  let at = -total / 2;
  return widths.map((width) => {
    const middle = at + width / 2;
    at += width + recipe.wallMm;
    return middle;
  });
}

function buildComb(kernel: SolidKernel, recipe: CombRecipe, drawn: DrawnOf): Mesh {
  const height = drawn(recipe.height);
  const parts: Manifold[] = [kernel.Manifold.cube([drawn(recipe.length), recipe.depthMm, height], true)];
  const middles = pocketMiddles(recipe, drawn);
  recipe.pockets.forEach((pocket, i) => {
    const cutter = kernel.Manifold.cube([drawn(pocket), recipe.depthMm, height + 2], true);
    const moved = cutter.translate([middles[i], -recipe.depthMm / 2, 0]);
    cutter.delete();
    const cut = parts[parts.length - 1].subtract(moved);
    moved.delete();
    parts.push(cut);
  });
  const seated = parts[parts.length - 1].translate([0, 0, height / 2]);
  const mesh = toMesh(seated);
  [...parts, seated].forEach((solid) => solid.delete());
  return mesh;
}

/** The part as a closed mesh, standing on z = 0 with its middle at the origin; mm. */
export function buildSolid(kernel: SolidKernel, recipe: SolidRecipe, drawn: DrawnOf): Mesh {
  return recipe.kind === 'ring' ? buildRing(kernel, recipe, drawn) : buildComb(kernel, recipe, drawn);
}

/** Where on the part each feature is found again: a place on one of its faces, by feature id. */
export function anchorsOf(recipe: SolidRecipe, drawn: DrawnOf): Map<number, Point> {
  if (recipe.kind === 'ring') {
    const [outer, bore, height] = [drawn(recipe.outer) / 2, drawn(recipe.bore) / 2, drawn(recipe.height)];
    return new Map<number, Point>([
      [recipe.outer, [outer, 0, height / 2]],
      [recipe.bore, [-bore, 0, height / 2]],
      [recipe.height, [0, (outer + bore) / 2, height]],
    ]);
  }
  const height = drawn(recipe.height);
  const middles = pocketMiddles(recipe, drawn);
  return new Map<number, Point>([
    [recipe.length, [drawn(recipe.length) / 2, recipe.depthMm / 4, height / 2]],
    [recipe.height, [0, recipe.depthMm / 4, height]],
    ...recipe.pockets.map((pocket, i): [number, Point] => [
      pocket,
      [middles[i] + drawn(pocket) / 2, -recipe.depthMm / 4, height * (i % 2 === 0 ? 0.85 : 0.6)],
    ]),
  ]);
}
