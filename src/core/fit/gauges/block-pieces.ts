import type { FeatureKind } from '@/core/measure';
import type { Solid, Workshop } from '@/core/fit/solids';
import type { Piece, PieceFeature } from './piece';

/** Thickness of the tray that carries the pieces; sizes in the plane are read well above it. */
export const TRAY_MM = 1;
/** Height of walls over the plate, mm: enough for jaws, quick to print. */
export const WALL_MM = 7;
/** Height at which they are read. */
const READ_AT_MM = 4;
const DECK_FROM_MM = 9;

export const WIDTH_X: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };
export const WIDTH_Y: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Y' };
export const SLOT_X: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'X' };
export const HOLE: FeatureKind = { sense: 'inside', shape: 'round', axis: 'XY' };
export const PIN: FeatureKind = { sense: 'outside', shape: 'round', axis: 'XY' };
export const ON_PLATE: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' };
export const HANGING: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'supported' };
export const RISING: FeatureKind = { sense: 'pitch', shape: 'flat', axis: 'XY', angleRad: Math.PI / 4 };
export const FALLING: FeatureKind = { sense: 'pitch', shape: 'flat', axis: 'XY', angleRad: -Math.PI / 4 };

type Size = readonly [name: string, mm: number];

/** A bar read across X, across Y, or both; a side that is not read is 6 mm. */
export function barPiece(x: Size | undefined, y: Size | undefined): Piece {
  const [lengthMm, widthMm] = [x?.[1] ?? 6, y?.[1] ?? 6];
  const features: PieceFeature[] = [];
  if (x !== undefined)
    features.push({
      feature: x[0],
      kind: WIDTH_X,
      drawnMm: x[1],
      atMm: [0, 0],
      anchorMm: [x[1] / 2, 0, READ_AT_MM],
    });
  if (y !== undefined)
    features.push({
      feature: y[0],
      kind: WIDTH_Y,
      drawnMm: y[1],
      atMm: [0, 0],
      anchorMm: [0, y[1] / 2, READ_AT_MM],
    });
  return { lengthMm, widthMm, features, build: (shop) => ({ add: [shop.box(lengthMm, widthMm, WALL_MM)] }) };
}

/** Slots side by side, open to the front. */
export function slotPiece(slots: readonly Size[]): Piece {
  const wall = 3;
  const deep = 10;
  const lengthMm = slots.reduce((sum, [, mm]) => sum + mm + wall, wall);
  let at = -lengthMm / 2 + wall;
  const middles = slots.map(([, mm]) => {
    const middle = at + mm / 2;
    at += mm + wall;
    return middle;
  });
  return {
    lengthMm,
    widthMm: deep + wall,
    features: slots.map(([feature, drawnMm], i) => ({
      feature,
      kind: SLOT_X,
      drawnMm,
      atMm: [middles[i], -wall / 2],
      anchorMm: [middles[i] + drawnMm / 2, -wall / 2, READ_AT_MM],
    })),
    build: (shop) => ({
      add: [shop.box(lengthMm, deep + wall, WALL_MM)],
      cut: slots.map(([, mm], i) =>
        shop.move(shop.box(mm, deep + wall, WALL_MM), [middles[i], -wall, TRAY_MM]),
      ),
    }),
  };
}

/** Round holes through a bar. */
export function holePiece(holes: readonly Size[]): Piece {
  const wall = 3;
  const widthMm = Math.max(...holes.map(([, mm]) => mm)) + 2 * wall;
  const lengthMm = holes.reduce((sum, [, mm]) => sum + mm + wall, wall);
  let at = -lengthMm / 2 + wall;
  const middles = holes.map(([, mm]) => {
    const middle = at + mm / 2;
    at += mm + wall;
    return middle;
  });
  return {
    lengthMm,
    widthMm,
    features: holes.map(([feature, drawnMm], i) => ({
      feature,
      kind: HOLE,
      drawnMm,
      atMm: [middles[i], 0],
      anchorMm: [middles[i] + drawnMm / 2, 0, READ_AT_MM],
    })),
    build: (shop) => ({
      add: [shop.box(lengthMm, widthMm, WALL_MM)],
      cut: holes.map(([, mm], i) => shop.move(shop.hole(mm, WALL_MM + 2), [middles[i], 0, -1])),
    }),
  };
}

export function pinPiece([feature, drawnMm]: Size): Piece {
  return {
    lengthMm: drawnMm,
    widthMm: drawnMm,
    features: [{ feature, kind: PIN, drawnMm, atMm: [0, 0], anchorMm: [drawnMm / 2, 0, READ_AT_MM] }],
    build: (shop) => ({ add: [shop.shaft(drawnMm, WALL_MM)] }),
  };
}

/** A post whose height is read from the tray's underside. */
export function postPiece([feature, drawnMm]: Size): Piece {
  return {
    lengthMm: 6,
    widthMm: 6,
    features: [{ feature, kind: ON_PLATE, drawnMm, atMm: [0, 0], anchorMm: [0, 0, drawnMm] }],
    build: (shop) => ({ add: [shop.box(6, 6, drawnMm)] }),
  };
}

/** A deck over air between two legs; its thickness is read from the open front. */
export function deckPiece([feature, drawnMm]: Size): Piece {
  const [leg, span, deep] = [3, 8, 6];
  return {
    lengthMm: span + 2 * leg,
    widthMm: deep,
    features: [{ feature, kind: HANGING, drawnMm, atMm: [0, 0], anchorMm: [0, 0, DECK_FROM_MM + drawnMm] }],
    build: (shop) => ({
      add: [shop.box(span + 2 * leg, deep, DECK_FROM_MM + drawnMm)],
      cut: [shop.move(shop.box(span, deep + 2, DECK_FROM_MM - TRAY_MM), [0, 0, TRAY_MM])],
    }),
  };
}

/** A stepped bar along a diagonal: from the shoulder of its head to its far end, both looking the same way. */
function diagonalBar(shop: Workshop, lengthMm: number, degrees: number): Solid {
  const head = 4;
  const start = -lengthMm / 2;
  const bar = shop.move(shop.box(lengthMm + head, 4, WALL_MM), [-head / 2, 0, 0]);
  const shoulder = shop.move(shop.box(head, 9, WALL_MM), [start - head / 2, 0, 0]);
  return shop.turn(shop.join([bar, shoulder]), [0, 0, degrees]);
}

/** One or both diagonals, crossing in their middles. */
export function diagonalPiece(rising: Size | undefined, falling: Size | undefined): Piece {
  const longest = Math.max(rising?.[1] ?? 0, falling?.[1] ?? 0);
  const extent = (longest + 8 + 9) / Math.SQRT2;
  const feature = ([name, drawnMm]: Size, kind: FeatureKind, sign: 1 | -1): PieceFeature => {
    const end = drawnMm / 2 / Math.SQRT2;
    return { feature: name, kind, drawnMm, atMm: [0, 0], anchorMm: [end, sign * end, READ_AT_MM] };
  };
  return {
    lengthMm: extent,
    widthMm: extent,
    features: [
      ...(rising === undefined ? [] : [feature(rising, RISING, 1)]),
      ...(falling === undefined ? [] : [feature(falling, FALLING, -1)]),
    ],
    build: (shop) => ({
      add: [
        ...(rising === undefined ? [] : [diagonalBar(shop, rising[1], 45)]),
        ...(falling === undefined ? [] : [diagonalBar(shop, falling[1], -45)]),
      ],
    }),
  };
}
