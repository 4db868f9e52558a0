/** How a part is built from its drawn sizes; the numbers are ids of features, the rest fixed lengths in mm. */
export type SolidRecipe = RingRecipe | CombRecipe;

export interface RingRecipe {
  readonly kind: 'ring';
  readonly outer: number;
  readonly bore: number;
  readonly height: number;
}

/** A block with open slots side by side, from the front face half through its depth. */
export interface CombRecipe {
  readonly kind: 'comb';
  readonly length: number;
  readonly height: number;
  readonly pockets: readonly number[];
  readonly wallMm: number;
  readonly depthMm: number;
}

/** Drawn size of a feature by its id, mm. */
export type DrawnOf = (featureId: number) => number;

export function featuresOfRecipe(recipe: SolidRecipe): number[] {
  if (recipe.kind === 'ring') return [recipe.outer, recipe.bore, recipe.height];
  return [recipe.length, recipe.height, ...recipe.pockets];
}
