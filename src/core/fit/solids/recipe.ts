/** A length of a part: the drawn size of a feature by its id, or fixed. */
type Length = { readonly feature: number } | { readonly mm: number };

/** How a part is built from its drawn sizes. */
export type SolidRecipe = TurnedRecipe | CombRecipe | PlateRecipe;

/** Round about Z, sections standing on one another from the plate up: rings, washers, plugs, caps, sleeves. */
export interface TurnedRecipe {
  readonly kind: 'turned';
  readonly sections: readonly TurnedSection[];
}

interface TurnedSection {
  readonly outer: Length;
  /** Left out: solid. */
  readonly inner?: Length;
  readonly height: Length;
  /** Chamfers at its upper end: taken off the outside, and off the bore; depth of each face, and length along Z. */
  readonly leadIn?: {
    readonly outerMm: number;
    readonly innerMm: number;
    readonly lengthMm: number;
  };
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

/** A flat plate with round holes; places from its lower left corner as drawn. */
export interface PlateRecipe {
  readonly kind: 'plate';
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  readonly holes: readonly {
    readonly diameter: Length;
    /** From the first hole; the first one's own place is from the corner, fixed. */
    readonly x: Length;
    readonly y: Length;
  }[];
}

/** A plain ring over three features. */
export function ringOf(outer: number, bore: number, height: number): TurnedRecipe {
  const section = { outer: { feature: outer }, inner: { feature: bore }, height: { feature: height } };
  return { kind: 'turned', sections: [section] };
}

/** Drawn size of a feature by its id, mm. */
export type DrawnOf = (featureId: number) => number;

export function lengthOf(length: Length, drawn: DrawnOf): number {
  return 'mm' in length ? length.mm : drawn(length.feature);
}

/** The same part over other features; undefined when one of them is missing. */
export function renumberRecipe(
  recipe: SolidRecipe,
  idOf: (featureId: number) => number | undefined,
): SolidRecipe | undefined {
  let missing = false;
  const id = (featureId: number) => {
    const found = idOf(featureId);
    if (found === undefined) missing = true;
    return found ?? featureId;
  };
  const length = (each: Length): Length => ('mm' in each ? each : { feature: id(each.feature) });
  const copy = mapLengths(recipe, id, length);
  return missing ? undefined : copy;
}

function mapLengths(
  recipe: SolidRecipe,
  id: (featureId: number) => number,
  length: (each: Length) => Length,
): SolidRecipe {
  switch (recipe.kind) {
    case 'turned':
      return {
        ...recipe,
        sections: recipe.sections.map((section) => ({
          ...section,
          outer: length(section.outer),
          ...(section.inner === undefined ? {} : { inner: length(section.inner) }),
          height: length(section.height),
        })),
      };
    case 'comb':
      return {
        ...recipe,
        length: id(recipe.length),
        height: id(recipe.height),
        pockets: recipe.pockets.map(id),
      };
    case 'plate':
      return {
        ...recipe,
        length: length(recipe.length),
        width: length(recipe.width),
        thickness: length(recipe.thickness),
        holes: recipe.holes.map(({ diameter, x, y }) => ({
          diameter: length(diameter),
          x: length(x),
          y: length(y),
        })),
      };
  }
}
