import type { FeatureKind, Sense, Shape } from '@/core/measure';
import type { ClearanceBand, Ruin, Wish } from '@/core/fit/mating';
import type { Corner, Profile, SolidRecipe } from '@/core/fit/solids';

/** The kinds of replacement that people make; each has its measuring sheet. */
export const SHEET_KINDS = [
  'ring',
  'washer',
  'plug',
  'cap',
  'sleeve',
  'pocket',
  'roundPocket',
  'dShaft',
  'plate',
  'panel',
] as const;
export type SheetKind = (typeof SHEET_KINDS)[number];

/** One size to be read on the old part or on what it meets. */
export interface SheetMeasure {
  readonly id: string;
  readonly label: string;
  readonly sense: Sense;
  readonly shape: Shape;
  /** How many heights along its depth, and turns around it, a whole reading takes. */
  readonly levels: number;
  readonly turns: number;
  /** May stay unread: then the size is left to choice. */
  readonly optional?: boolean;
  /** What the drawing assumes until it is read, mm. */
  readonly placeholderMm: number;
}

/** A plain number of the sheet that is chosen, not read. */
export interface SheetOption {
  readonly id: string;
  readonly label: string;
  readonly standard: number;
  readonly low: number;
  readonly high: number;
  readonly whole?: boolean;
}

/** Where the part meets a body that was read. */
export interface SheetInterface {
  readonly id: string;
  readonly label: string;
  readonly measure: string;
  readonly wish: Wish;
}

/** The fit at an interface. */
export interface InterfaceWish {
  readonly wish: Wish;
  readonly ruin: Ruin;
  /** Clearance of this interface alone, in place of the class. */
  readonly clearance?: ClearanceBand;
  /** Coat on each face of the part there, mm. */
  readonly coatMm?: number;
}

/** A size that the sheet comes to, with its target and limits at 20 °C, uncoated. */
export interface SheetFeature {
  readonly id: string;
  readonly name: string;
  readonly kind: FeatureKind;
  readonly targetMm: number;
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  /** The interface that asks for it; undefined where no mate does. */
  readonly interface?: SheetInterface;
}

/** What keeps a sheet from coming out, in terms of its own sizes. */
export type SheetIssue =
  | { readonly code: 'notRead'; readonly label: string }
  | {
      readonly code: 'crossed';
      readonly outer: string;
      readonly outerMm: number;
      readonly inner: string;
      readonly innerMm: number;
    }
  | { readonly code: 'wallGone'; readonly wallMm: number }
  | { readonly code: 'wallThin'; readonly wallMm: number; readonly leastMm: number }
  | { readonly code: 'taperEatsWall'; readonly wallMm: number }
  | { readonly code: 'nothingLeft'; readonly name: string; readonly mm: number };

/** Issues that leave the part unbuildable, the others are warnings. */
export const FATAL_CODES: ReadonlySet<SheetIssue['code']> = new Set([
  'notRead',
  'crossed',
  'wallGone',
  'nothingLeft',
]);

export interface DimensionLine {
  /** Id of the measure it belongs to. */
  readonly measure: string;
  readonly from: Corner;
  readonly to: Corner;
  /** How far the line stands off from the points, in the drawing's own mm; sideways for upright ones. */
  readonly standOffMm: number;
}

/** A sheet's drawing in mm, Y up: bodies as closed loops and circles, with the dimensions to be read. */
export interface SheetDrawing {
  readonly view: 'section' | 'plan';
  readonly bodies: readonly { readonly role: 'part' | 'neighbour'; readonly loop: readonly Corner[] }[];
  readonly circles: readonly {
    readonly role: 'part' | 'neighbour' | 'air';
    readonly centre: Corner;
    readonly diameterMm: number;
  }[];
  readonly dimensions: readonly DimensionLine[];
}

/** What a kind's own functions work with. */
export interface Given {
  /** The size read, or undefined. */
  readonly size: (measure: string) => number | undefined;
  /** The size read, or what the drawing assumes. */
  readonly drawn: (measure: string) => number;
  readonly option: (id: string) => number;
  /** Target and limits of a feature that meets a body; undefined while that body is unread. */
  readonly mated: (
    id: string,
    name: string,
    kind: FeatureKind,
    interfaceId: string,
  ) => SheetFeature | undefined;
}

export interface SheetDefinition {
  readonly kind: SheetKind;
  readonly title: string;
  /** For what, between what. */
  readonly purpose: string;
  readonly options: readonly SheetOption[];
  readonly measures: (option: (id: string) => number) => readonly SheetMeasure[];
  readonly interfaces: (option: (id: string) => number) => readonly SheetInterface[];
  /** Features whose size is known so far. */
  readonly features: (given: Given) => readonly (SheetFeature | undefined)[];
  readonly issues: (given: Given, features: ReadonlyMap<string, SheetFeature>) => readonly SheetIssue[];
  /** The whole part, where the sheet defines it. `idOf` gives a feature's id in its job. */
  readonly solid?: (
    given: Given,
    features: ReadonlyMap<string, SheetFeature>,
    idOf: (feature: string) => number,
  ) => SolidRecipe;
  /** What to cut, where the sheet defines no whole part: the outline over drawn sizes by feature. */
  readonly outline?: (drawn: (feature: string) => number) => Profile;
  readonly drawing: (given: Given) => SheetDrawing;
}

export const ROUND_OUTSIDE: FeatureKind = { sense: 'outside', shape: 'round', axis: 'XY' };
export const ROUND_INSIDE: FeatureKind = { sense: 'inside', shape: 'round', axis: 'XY' };
export const SLOT: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'X' };
export const SLOT_ACROSS: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'Y' };
export const HEIGHT: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' };
export const STEP: FeatureKind = { sense: 'pitch', shape: 'flat', axis: 'Z' };

/** A feature without a mate: a target with even limits. */
export function freeSize(
  id: string,
  name: string,
  kind: FeatureKind,
  targetMm: number | undefined,
  halfMm: number,
): SheetFeature | undefined {
  return targetMm === undefined
    ? undefined
    : { id, name, kind, targetMm, lowerDeviationMm: -halfMm, upperDeviationMm: halfMm };
}

/** The thinnest wall that prints and is handled without care, mm. */
const LEAST_WALL_MM = 0.8;

/** Wall between two diameters of the part, judged. */
export function wallIssues(outerMm: number | undefined, innerMm: number | undefined): SheetIssue[] {
  if (outerMm === undefined || innerMm === undefined) return [];
  const wallMm = (outerMm - innerMm) / 2;
  if (wallMm <= 0) return [{ code: 'wallGone', wallMm }];
  return wallMm < LEAST_WALL_MM ? [{ code: 'wallThin', wallMm, leastMm: LEAST_WALL_MM }] : [];
}

/** A rectangle standing on (x, y), from its lower left corner. */
export function rectangle(x: number, y: number, width: number, height: number): Corner[] {
  return [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ];
}
