import type { Point } from '@/core/part/mesh';
import type { Solid, Workshop } from './kernel';
import { lengthOf, type DrawnOf, type PlateRecipe } from './recipe';

interface DrawnHole {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

/** Holes from the plate's middle; the first one's place is fixed, the others' count from it. */
export function drawnHoles(recipe: PlateRecipe, drawn: DrawnOf): DrawnHole[] {
  const [halfX, halfY] = [lengthOf(recipe.length, drawn) / 2, lengthOf(recipe.width, drawn) / 2];
  const [first] = recipe.holes;
  if (first === undefined) return [];
  const [x0, y0] = [lengthOf(first.x, drawn) - halfX, lengthOf(first.y, drawn) - halfY];
  return recipe.holes.map(({ x, y, diameter }, i) => ({
    xMm: i === 0 ? x0 : x0 + lengthOf(x, drawn),
    yMm: i === 0 ? y0 : y0 + lengthOf(y, drawn),
    diameterMm: lengthOf(diameter, drawn),
  }));
}

export function buildPlate(shop: Workshop, recipe: PlateRecipe, drawn: DrawnOf): Solid {
  const thickness = lengthOf(recipe.thickness, drawn);
  const body = shop.box(lengthOf(recipe.length, drawn), lengthOf(recipe.width, drawn), thickness);
  const cutters = drawnHoles(recipe, drawn).map(({ xMm, yMm, diameterMm }) =>
    shop.move(shop.hole(diameterMm, thickness + 2), [xMm, yMm, -1]),
  );
  return shop.cut(body, cutters);
}

export function anchorsOfPlate(recipe: PlateRecipe, drawn: DrawnOf): Map<number, Point> {
  const [length, width, thickness] = [recipe.length, recipe.width, recipe.thickness].map((each) =>
    lengthOf(each, drawn),
  );
  const anchors = new Map<number, Point>();
  const set = (each: PlateRecipe['length'], at: Point) => {
    if ('feature' in each && !anchors.has(each.feature)) anchors.set(each.feature, at);
  };
  set(recipe.length, [length / 2, width / 2 - 1, thickness / 2]);
  set(recipe.width, [1 - length / 2, width / 2, thickness / 2]);
  set(recipe.thickness, [1 - length / 2, 1 - width / 2, thickness]);
  drawnHoles(recipe, drawn).forEach(({ xMm, yMm, diameterMm }, i) => {
    const { diameter, x, y } = recipe.holes[i];
    set(diameter, [xMm - diameterMm / 2, yMm, thickness / 2]);
    set(x, [xMm, yMm + diameterMm / 2, thickness]);
    set(y, [xMm + diameterMm / 2, yMm, thickness]);
  });
  return anchors;
}
