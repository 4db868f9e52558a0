import type { FeatureKind } from '@/core/measure';
import type { Point } from '@/core/part/mesh';
import type { Solid, Workshop } from '@/core/fit/solids';

/** A size on a gauge, with where its middle lies on the plate, mm. */
export interface BlockFeature {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly xMm: number;
  readonly yMm: number;
}

/** A size to be read on a piece: from the piece's middle, with a place on one of its faces. */
export interface PieceFeature {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly atMm: readonly [number, number];
  readonly anchorMm: Point;
}

/** One body of a gauge: what it takes up on the plate, what is read on it, and how it is made around the origin. */
export interface Piece {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly features: readonly PieceFeature[];
  readonly build: (shop: Workshop) => { readonly add: readonly Solid[]; readonly cut?: readonly Solid[] };
}

export interface PlacedPiece {
  readonly piece: Piece;
  readonly xMm: number;
  readonly yMm: number;
}

/** Gap between pieces that a caliper's jaws go into, mm. */
const APART_MM = 4;

/**
 * Sets pieces in rows of at most `widthMm`, in the order given, centred on the plate's middle. A piece longer than a row
 * has one of its own.
 */
export function setInRows(pieces: readonly Piece[], widthMm: number): PlacedPiece[] {
  const rows: Piece[][] = [];
  let used = Infinity;
  for (const piece of pieces) {
    if (used + piece.lengthMm > widthMm) {
      rows.push([]);
      used = 0;
    }
    rows[rows.length - 1].push(piece);
    used += piece.lengthMm + APART_MM;
  }
  const depths = rows.map((row) => Math.max(...row.map((piece) => piece.widthMm)));
  const total = depths.reduce((sum, depth) => sum + depth + APART_MM, -APART_MM);
  let y = -total / 2;
  return rows.flatMap((row, i) => {
    const length = row.reduce((sum, piece) => sum + piece.lengthMm + APART_MM, -APART_MM);
    let x = -length / 2;
    const placed = row.map((piece): PlacedPiece => {
      const at = { piece, xMm: x + piece.lengthMm / 2, yMm: y + depths[i] / 2 };
      x += piece.lengthMm + APART_MM;
      return at;
    });
    y += depths[i] + APART_MM;
    return placed;
  });
}

/** The features of placed pieces, by their places on the plate. */
export function featuresOf(placed: readonly PlacedPiece[]): BlockFeature[] {
  return placed.flatMap(({ piece, xMm, yMm }) =>
    piece.features.map(({ feature, kind, drawnMm, atMm }) => ({
      feature,
      kind,
      drawnMm,
      xMm: xMm + atMm[0],
      yMm: yMm + atMm[1],
    })),
  );
}

/** Where each feature is found on the built gauge. */
export function anchorsOfPieces(placed: readonly PlacedPiece[]): Map<string, Point> {
  return new Map(
    placed.flatMap(({ piece, xMm, yMm }) =>
      piece.features.map(({ feature, anchorMm: [x, y, z] }): [string, Point] => [
        feature,
        [x + xMm, y + yMm, z],
      ]),
    ),
  );
}

/** The extent of placed pieces, mm: length, width. */
export function extentOf(placed: readonly PlacedPiece[]): readonly [number, number] {
  const reach = (side: (each: PlacedPiece) => number) => 2 * Math.max(...placed.map(side));
  return [
    reach(({ piece, xMm }) => Math.abs(xMm) + piece.lengthMm / 2),
    reach(({ piece, yMm }) => Math.abs(yMm) + piece.widthMm / 2),
  ];
}

/** Width of one small notch and of one that counts five, depth of both, mm: to be felt with a fingernail. */
const NOTCH = { oneMm: 1, fiveMm: 3, deepMm: 0.8, apartMm: 1 } as const;

/** Notches for a number along a line, offsets from its middle: fives first, wide; then ones, narrow. */
export function notchesFor(number: number): readonly { readonly atMm: number; readonly widthMm: number }[] {
  const widths = [
    ...Array.from({ length: Math.floor(number / 5) }, () => NOTCH.fiveMm),
    ...Array.from({ length: number % 5 }, () => NOTCH.oneMm),
  ];
  const total = widths.reduce((sum, width) => sum + width + NOTCH.apartMm, -NOTCH.apartMm);
  let at = -total / 2;
  return widths.map((widthMm) => {
    const atMm = at + widthMm / 2;
    at += widthMm + NOTCH.apartMm;
    return { atMm, widthMm };
  });
}

/** Cutters that write a number into the edge y = `edgeMm` of a body, over its whole height. */
export function notchCutters(shop: Workshop, number: number, edgeMm: number, heightMm: number): Solid[] {
  return notchesFor(number).map(({ atMm, widthMm }) =>
    shop.move(shop.box(widthMm, 2 * NOTCH.deepMm, heightMm + 2), [atMm, edgeMm, -1]),
  );
}
