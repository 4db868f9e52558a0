import { keysOf } from '@/core/kit';
import type { Permuted } from './permutation';
import { rankTest } from './rank-test';
import { crowdedPlace, MANY_PRINTS, type PlacesOfPrint, powerOfSamePlace, samePlace } from './same-place';

/** What failures can have in common. */
export const COMMON_WORDS = {
  plate: 'at one place of the plate',
  part: 'at one place of the part',
  height: 'at one height',
  area: 'where the layers are large',
  jump: 'where the area jumps',
  edge: 'near the edge of the plate',
} as const;
export type Common = keyof typeof COMMON_WORDS;
export const COMMON = keysOf(COMMON_WORDS);

/** The layers of one print, and those at which something failed. */
export interface LayersOfPrint {
  /** Area of each layer, mm². */
  readonly areasMm2: ArrayLike<number>;
  readonly layerMm: number;
  readonly failed: readonly number[];
}

export interface WhereAsk {
  /** Pieces or regions by their place on the plate, from its middle. */
  readonly plate?: readonly PlacesOfPrint[];
  /** The same in the part's own coordinates, of prints of one file. */
  readonly part?: readonly PlacesOfPrint[];
  readonly layers?: readonly LayersOfPrint[];
  /** Half of the plate along X and Y, mm: how near to its edge a place lies. */
  readonly halfPlateMm?: readonly [number, number];
}

export interface WhereTest extends Permuted {
  readonly common: Common;
  /** After Holm's correction for so many questions at once. */
  readonly adjusted: number;
}

/** Where failures cluster, or that there is not enough data. */
export type WhereVerdict =
  | { readonly code: 'tooFew'; readonly failures: number }
  | { readonly code: 'told'; readonly common: readonly Common[] }
  | { readonly code: 'notTold'; readonly power?: number };

export interface Where {
  readonly verdict: WhereVerdict;
  /** The most telling first. */
  readonly tests: readonly WhereTest[];
}

const LEAST_FAILURES = 3;
const LEVEL = 0.05;
/** At one place of a part, and at one height, mm. */
const PART_RADIUS_MM = 6;
const HEIGHT_RADIUS_MM = 0.5;

/** Holm's step-down correction: p-values of several questions asked at once. Source: S. Holm, Scand. J. Stat. 6 (1979) 65. */
export function holm(ps: readonly number[]): number[] {
  const order = [...ps.keys()].sort((a, b) => ps[a] - ps[b]);
  const adjusted = new Array<number>(ps.length);
  let most = 0;
  order.forEach((at, i) => {
    most = Math.max(most, Math.min(1, (ps.length - i) * ps[at]));
    adjusted[at] = most;
  });
  return adjusted;
}

/** Area gained from the layer below, mm². */
function jumpsOf(areas: ArrayLike<number>): number[] {
  return Array.from(areas, (area, i) => (i === 0 ? 0 : area - areas[i - 1]));
}

const heightsOf = ({ areasMm2, layerMm, failed }: LayersOfPrint): PlacesOfPrint => ({
  places: Array.from(areasMm2, (_, i) => [(i + 0.5) * layerMm, 0]),
  failed,
});

/** How far a place is from the nearest edge of the plate, mm. */
function toEdge([x, y]: readonly number[], [halfX, halfY]: readonly [number, number]): number {
  return Math.min(halfX - Math.abs(x), halfY - Math.abs(y));
}

function testsOf({ plate, part, layers, halfPlateMm }: WhereAsk): (Permuted & { common: Common })[] {
  const found: (Permuted & { common: Common })[] = [];
  const add = (common: Common, test: Permuted | undefined) => test && found.push({ common, ...test });
  const placed = (common: Common, prints: readonly PlacesOfPrint[] | undefined, radiusMm?: number) => {
    const failing = (prints ?? []).filter(({ failed }) => failed.length > 0).length;
    const test = prints && (failing >= MANY_PRINTS ? crowdedPlace(prints, radiusMm) : samePlace(prints));
    add(common, test?.ok === true ? test.value : undefined);
  };
  placed('plate', plate);
  placed('part', part, PART_RADIUS_MM);
  placed('height', layers?.map(heightsOf), HEIGHT_RADIUS_MM);
  if (layers !== undefined) {
    const by = (valuesOf: (of: LayersOfPrint) => readonly number[]) =>
      rankTest(
        layers.map((each) => ({ values: valuesOf(each), failed: each.failed })),
        'high',
      );
    add(
      'area',
      by(({ areasMm2 }) => Array.from(areasMm2)),
    );
    add(
      'jump',
      by(({ areasMm2 }) => jumpsOf(areasMm2)),
    );
  }
  if (plate !== undefined && halfPlateMm !== undefined)
    add(
      'edge',
      rankTest(
        plate.map(({ places, failed }) => ({ values: places.map((at) => toEdge(at, halfPlateMm)), failed })),
        'low',
      ),
    );
  return found;
}

/** A test that could not come below the level says nothing by not doing so. */
const canTell = ({ arrangements }: Permuted) => 1 / arrangements <= LEVEL;

/** Where failures come together: every question with its p-value, corrected for asking several, and the plain verdict. */
export function whereItFails(ask: WhereAsk): Where {
  const failures = Math.max(
    ...[ask.plate, ask.part, ask.layers].map((prints) =>
      (prints ?? []).reduce((sum, { failed }) => sum + failed.length, 0),
    ),
  );
  if (failures < LEAST_FAILURES) return { verdict: { code: 'tooFew', failures }, tests: [] };
  const raw = testsOf(ask).filter(canTell);
  const adjusted = holm(raw.map(({ p }) => p));
  const tests = raw
    .map((test, i): WhereTest => ({ ...test, adjusted: adjusted[i] }))
    .sort((a, b) => a.p - b.p);
  const told = tests.filter((test) => test.adjusted <= LEVEL).map(({ common }) => common);
  if (told.length > 0) return { verdict: { code: 'told', common: told }, tests };
  return { verdict: { code: 'notTold', power: ask.plate && powerOfSamePlace(ask.plate) }, tests };
}
