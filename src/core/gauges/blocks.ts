import type { FeatureKind } from '@/core/metrology';

/** A size on a gauge, with where its middle lies on the plate, mm. */
export interface BlockFeature {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly xMm: number;
  readonly yMm: number;
}

const WIDTH_X: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
const WIDTH_Y: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Y' };
const SLOT_X: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'X' };
const HOLE: FeatureKind = { sense: 'inside', shape: 'round', axis: 'XY' };
const PIN: FeatureKind = { sense: 'outside', shape: 'round', axis: 'XY' };
const ON_PLATE: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' };
const HANGING: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'supported' };
const DIAGONAL_UP: FeatureKind = { sense: 'pitch', shape: 'flat', axis: 'XY', angleRad: Math.PI / 4 };
const DIAGONAL_DOWN: FeatureKind = { sense: 'pitch', shape: 'flat', axis: 'XY', angleRad: -Math.PI / 4 };

function family(
  name: string,
  kind: FeatureKind,
  sizesMm: readonly number[],
  place: readonly [number, number],
): BlockFeature[] {
  return sizesMm.map((drawnMm, i) => ({
    feature: `${name} ${drawnMm}`,
    kind,
    drawnMm,
    xMm: place[0] + 6 * i,
    yMm: place[1],
  }));
}

/** The block that pins every parameter of the law: small and large of each kind, both diagonals, both heights. */
export const BLOCK_OF_24: readonly BlockFeature[] = Object.freeze([
  ...family('width X', WIDTH_X, [4, 10, 20, 40], [-20, 18]),
  ...family('width Y', WIDTH_Y, [4, 10, 20, 40], [-20, -18]),
  ...family('slot', SLOT_X, [2, 5, 12], [-12, 8]),
  ...family('hole', HOLE, [3, 6, 10], [-16, 0]),
  ...family('pin', PIN, [3, 6, 10], [4, 0]),
  ...family('rising diagonal', DIAGONAL_UP, [30], [0, 0]),
  ...family('falling diagonal', DIAGONAL_DOWN, [30], [0, 0]),
  ...family('height', ON_PLATE, [3, 8, 15], [-18, -8]),
  ...family('hanging plate', HANGING, [2, 6], [10, -8]),
]);

/** The block for five minutes: one size of each kind that matters most, small and large apart. */
export const BLOCK_OF_6: readonly BlockFeature[] = Object.freeze([
  ...family('width X', WIDTH_X, [5], [-15, 8]),
  ...family('width Y', WIDTH_Y, [30], [0, -8]),
  ...family('slot', SLOT_X, [5], [0, 8]),
  ...family('hole', HOLE, [8], [-10, 0]),
  ...family('pin', PIN, [8], [10, 0]),
  ...family('height', ON_PLATE, [6], [0, 0]),
]);
