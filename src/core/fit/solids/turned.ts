import type { Point } from '@/core/part/mesh';
import type { Corner, Solid, Workshop } from './kernel';
import { lengthOf, type DrawnOf, type TurnedRecipe } from './recipe';

/** A section with its drawn sizes and where it stands; mm. */
interface DrawnSection {
  readonly outerMm: number;
  readonly innerMm?: number;
  readonly fromMm: number;
  readonly heightMm: number;
  readonly leadIn?: { readonly outerMm: number; readonly innerMm: number; readonly lengthMm: number };
}

function drawnSections(recipe: TurnedRecipe, drawn: DrawnOf): DrawnSection[] {
  let fromMm = 0;
  return recipe.sections.map(({ outer, inner, height, leadIn }) => {
    const heightMm = lengthOf(height, drawn);
    const section = {
      outerMm: lengthOf(outer, drawn),
      innerMm: inner === undefined ? undefined : lengthOf(inner, drawn),
      fromMm,
      heightMm,
      leadIn,
    };
    fromMm += heightMm;
    return section;
  });
}

export function buildTurned(shop: Workshop, recipe: TurnedRecipe, drawn: DrawnOf): Solid {
  const sections = drawnSections(recipe, drawn);
  const bodies = sections.flatMap(({ outerMm, fromMm, heightMm, leadIn }) => {
    const chamfer = leadIn === undefined || leadIn.outerMm <= 0 ? 0 : leadIn.lengthMm;
    const body = shop.move(shop.shaft(outerMm, heightMm - chamfer), [0, 0, fromMm]);
    if (chamfer === 0 || leadIn === undefined) return [body];
    const tip = shop.shaft(outerMm, chamfer, outerMm - 2 * leadIn.outerMm);
    return [body, shop.move(tip, [0, 0, fromMm + heightMm - chamfer])];
  });
  const cutters = sections.flatMap(({ innerMm, fromMm, heightMm, leadIn }, i) => {
    if (innerMm === undefined) return [];
    // Through the open ends by a millimetre, so that no skin is left there.
    const below = i === 0 ? 1 : 0;
    const above = i === sections.length - 1 ? 1 : 0;
    const bore = shop.move(shop.hole(innerMm, heightMm + below + above), [0, 0, fromMm - below]);
    if (leadIn === undefined || leadIn.innerMm <= 0) return [bore];
    const { lengthMm } = leadIn;
    const mouth = shop.hole(innerMm, lengthMm, innerMm + 2 * leadIn.innerMm);
    return [bore, shop.move(mouth, [0, 0, fromMm + heightMm - lengthMm])];
  });
  return shop.cut(shop.join(bodies), cutters);
}

/** A radius at which the upper face of a section is not covered by the one above it. */
function freeRadius({ outerMm, innerMm = 0, leadIn }: DrawnSection, above?: DrawnSection): number {
  const outer = outerMm / 2 - (leadIn?.outerMm ?? 0);
  const inner = innerMm / 2 + (leadIn?.innerMm ?? 0);
  if (above === undefined) return (outer + inner) / 2;
  return above.outerMm < outerMm ? (above.outerMm / 2 + outer) / 2 : (inner + (above.innerMm ?? 0) / 2) / 2;
}

/** Where each feature is found again: walls at the middle of their section, heights on the face that ends them. */
export function anchorsOfTurned(recipe: TurnedRecipe, drawn: DrawnOf): Map<number, Point> {
  const anchors = new Map<number, Point>();
  const sections = drawnSections(recipe, drawn);
  sections.forEach(({ outerMm, innerMm, fromMm, heightMm, leadIn }, i) => {
    const { outer, inner, height } = recipe.sections[i];
    const middle = fromMm + (heightMm - (leadIn?.lengthMm ?? 0)) / 2;
    if ('feature' in outer) anchors.set(outer.feature, [outerMm / 2, 0, middle]);
    if (inner !== undefined && 'feature' in inner) anchors.set(inner.feature, [-innerMm! / 2, 0, middle]);
    const onFace = freeRadius(sections[i], sections[i + 1]);
    if ('feature' in height) anchors.set(height.feature, [0, onFace, fromMm + heightMm]);
  });
  return anchors;
}

/** Half of the part's section on the side of positive radius, closed, corners (radius, z). */
export function halfSection(recipe: TurnedRecipe, drawn: DrawnOf): Corner[] {
  const sections = drawnSections(recipe, drawn);
  const outside = sections.flatMap(({ outerMm, fromMm, heightMm, leadIn }): Corner[] => {
    const top = fromMm + heightMm;
    const tip: Corner[] =
      leadIn === undefined || leadIn.outerMm <= 0
        ? [[outerMm / 2, top]]
        : [
            [outerMm / 2, top - leadIn.lengthMm],
            [outerMm / 2 - leadIn.outerMm, top],
          ];
    return [[outerMm / 2, fromMm], ...tip];
  });
  const inside = [...sections].reverse().flatMap(({ innerMm, fromMm, heightMm, leadIn }): Corner[] => {
    const top = fromMm + heightMm;
    const radius = (innerMm ?? 0) / 2;
    const mouth: Corner[] =
      innerMm === undefined || leadIn === undefined || leadIn.innerMm <= 0
        ? [[radius, top]]
        : [
            [radius + leadIn.innerMm, top],
            [radius, top - leadIn.lengthMm],
          ];
    return [...mouth, [radius, fromMm]];
  });
  return [...outside, ...inside];
}
