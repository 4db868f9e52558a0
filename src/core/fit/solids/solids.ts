import type { Mesh, Point } from '@/core/part/mesh';
import { anchorsOfComb, buildComb } from './comb';
import { buildMesh, type SolidKernel } from './kernel';
import { anchorsOfPlate, buildPlate } from './plate';
import type { DrawnOf, SolidRecipe } from './recipe';
import { anchorsOfTurned, buildTurned } from './turned';

/** The part as a closed mesh, standing on z = 0 with its middle at the origin; mm. */
export function buildSolid(kernel: SolidKernel, recipe: SolidRecipe, drawn: DrawnOf): Mesh {
  return buildMesh(kernel, (shop) => {
    switch (recipe.kind) {
      case 'turned':
        return buildTurned(shop, recipe, drawn);
      case 'comb':
        return buildComb(shop, recipe, drawn);
      case 'plate':
        return buildPlate(shop, recipe, drawn);
    }
  });
}

/** Where on the part each feature is found again: a place on one of its faces, by feature id. */
export function anchorsOf(recipe: SolidRecipe, drawn: DrawnOf): Map<number, Point> {
  switch (recipe.kind) {
    case 'turned':
      return anchorsOfTurned(recipe, drawn);
    case 'comb':
      return anchorsOfComb(recipe, drawn);
    case 'plate':
      return anchorsOfPlate(recipe, drawn);
  }
}
