import type { Point } from '@/core/part/mesh';
import type { Solid, Workshop } from './kernel';
import type { CombRecipe, DrawnOf } from './recipe';

/** Middles of the pockets along X, mm, walls of equal thickness between them. */
export function pocketMiddles(recipe: CombRecipe, drawn: DrawnOf): number[] {
  const widths = recipe.pockets.map(drawn);
  const total = widths.reduce((sum, width) => sum + width, 0) + recipe.wallMm * (widths.length - 1);
  let at = -total / 2;
  return widths.map((width) => {
    const middle = at + width / 2;
    at += width + recipe.wallMm;
    return middle;
  });
}

export function buildComb(shop: Workshop, recipe: CombRecipe, drawn: DrawnOf): Solid {
  const height = drawn(recipe.height);
  const body = shop.box(drawn(recipe.length), recipe.depthMm, height);
  const middles = pocketMiddles(recipe, drawn);
  const cutters = recipe.pockets.map((pocket, i) =>
    shop.move(shop.box(drawn(pocket), recipe.depthMm, height + 2), [middles[i], -recipe.depthMm / 2, -1]),
  );
  return shop.cut(body, cutters);
}

export function anchorsOfComb(recipe: CombRecipe, drawn: DrawnOf): Map<number, Point> {
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
