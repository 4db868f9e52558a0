import { pocketMiddles } from './comb';
import type { Corner } from './kernel';
import { drawnHoles } from './plate';
import { lengthOf, type DrawnOf, type SolidRecipe } from './recipe';
import { halfSection } from './turned';

/** A flat outline to be drawn or exported: closed loops of corners, and circles; mm, Y up. */
export interface Profile {
  readonly loops: readonly (readonly Corner[])[];
  readonly circles: readonly { readonly centre: Corner; readonly diameterMm: number }[];
  /** What it shows. */
  readonly view: 'section' | 'plan';
}

function rectangle(lengthMm: number, widthMm: number): Corner[] {
  const [x, y] = [lengthMm / 2, widthMm / 2];
  return [
    [-x, -y],
    [x, -y],
    [x, y],
    [-x, y],
  ];
}

/** The outline of a comb seen from above, slots opening to the front. */
function combOutline(recipe: Extract<SolidRecipe, { kind: 'comb' }>, drawn: DrawnOf): Corner[] {
  const [half, front, back] = [drawn(recipe.length) / 2, -recipe.depthMm / 2, recipe.depthMm / 2];
  const slots = pocketMiddles(recipe, drawn).flatMap((middle, i): Corner[] => {
    const width = drawn(recipe.pockets[i]) / 2;
    return [
      [middle - width, front],
      [middle - width, 0],
      [middle + width, 0],
      [middle + width, front],
    ];
  });
  return [[-half, front], ...slots, [half, front], [half, back], [-half, back]];
}

/** The profile that a modeller needs: the half section of what is turned, the plan of what is flat. */
export function profileOf(recipe: SolidRecipe, drawn: DrawnOf): Profile {
  switch (recipe.kind) {
    case 'turned': {
      const right = halfSection(recipe, drawn);
      const left = right.map(([radius, z]): Corner => [-radius, z]).reverse();
      return { view: 'section', loops: [right, left], circles: [] };
    }
    case 'comb':
      return { view: 'plan', loops: [combOutline(recipe, drawn)], circles: [] };
    case 'plate':
      return {
        view: 'plan',
        loops: [rectangle(lengthOf(recipe.length, drawn), lengthOf(recipe.width, drawn))],
        circles: drawnHoles(recipe, drawn).map(({ xMm, yMm, diameterMm }) => ({
          centre: [xMm, yMm],
          diameterMm,
        })),
      };
  }
}
