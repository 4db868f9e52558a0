import {
  barPiece,
  deckPiece,
  diagonalPiece,
  FALLING,
  HANGING,
  HOLE,
  holePiece,
  ON_PLATE,
  PIN,
  pinPiece,
  postPiece,
  RISING,
  SLOT_X,
  slotPiece,
  TRAY_MM,
  WALL_MM,
  WIDTH_X,
  WIDTH_Y,
} from './block-pieces';
import { sameKind, type FeatureKind } from '@/core/measure';
import { featuresOf, setInRows, type BlockFeature, type Piece, type PlacedPiece } from './piece';

/** A size that a signature block may carry. */
export interface BlockSize {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
}

function family(name: string, kind: FeatureKind, sizesMm: readonly number[]): BlockSize[] {
  return sizesMm.map((drawnMm) => ({ feature: `${name} ${drawnMm}`, kind, drawnMm }));
}

/** Sizes that pin every parameter of the law: small and large of each kind, both diagonals, both heights. */
export const BLOCK_SIZES: readonly BlockSize[] = Object.freeze([
  ...family('width X', WIDTH_X, [4, 10, 20, 40]),
  ...family('width Y', WIDTH_Y, [4, 10, 20, 40]),
  ...family('slot', SLOT_X, [2, 5, 12]),
  ...family('hole', HOLE, [3, 6, 10]),
  ...family('pin', PIN, [3, 6, 10]),
  ...family('rising diagonal', RISING, [30]),
  ...family('falling diagonal', FALLING, [30]),
  ...family('height', ON_PLATE, [3, 8, 15]),
  ...family('hanging plate', HANGING, [2, 6]),
]);

/** Sizes for five minutes with the caliper: one of each kind that matters most, small and large apart. */
export const FEW_SIZES: readonly BlockSize[] = Object.freeze([
  ...family('width X', WIDTH_X, [5]),
  ...family('width Y', WIDTH_Y, [30]),
  ...family('slot', SLOT_X, [5]),
  ...family('hole', HOLE, [8]),
  ...family('pin', PIN, [8]),
  ...family('height', ON_PLATE, [6]),
]);

/** One bar that is quick to print and to read: edges and scale move it, and it is long enough for both. */
export const CONTROL_SIZES: readonly BlockSize[] = Object.freeze(family('control bar', WIDTH_X, [12]));

/** How high a block of these sizes stands: walls and tray, or its highest post or deck, mm. */
export function blockHeightMm(sizes: readonly BlockSize[]): number {
  const tops = layOutBlock(sizes).flatMap(({ piece }) => piece.features.map(({ anchorMm }) => anchorMm[2]));
  return Math.max(WALL_MM + TRAY_MM, ...tops);
}

const ROW_MM = 90;

/** Bars carry one size across X and one across Y: the longest of one with the shortest of the other. */
function bars(ofKind: (kind: FeatureKind) => (readonly [string, number])[]): Piece[] {
  const across = [...ofKind(WIDTH_X)].sort((a, b) => b[1] - a[1]);
  const along = [...ofKind(WIDTH_Y)].sort((a, b) => a[1] - b[1]);
  const count = Math.max(across.length, along.length);
  return Array.from({ length: count }, (_, i) => barPiece(across[i], along[i]));
}

/** Pieces of a block, deep ones behind: heights and decks come to the front edge, where jaws reach under them. */
export function layOutBlock(sizes: readonly BlockSize[]): PlacedPiece[] {
  const ofKind = (kind: FeatureKind) =>
    sizes.filter((size) => sameKind(size.kind, kind)).map((size) => [size.feature, size.drawnMm] as const);
  const [slots, holes] = [ofKind(SLOT_X), ofKind(HOLE)];
  const [[rising], [falling]] = [ofKind(RISING), ofKind(FALLING)];
  const pieces = [
    ...ofKind(HANGING).map(deckPiece),
    ...ofKind(ON_PLATE).map(postPiece),
    ...(slots.length === 0 ? [] : [slotPiece(slots)]),
    ...(holes.length === 0 ? [] : [holePiece(holes)]),
    ...ofKind(PIN).map(pinPiece),
    ...(rising === undefined && falling === undefined ? [] : [diagonalPiece(rising, falling)]),
    ...bars(ofKind),
  ];
  const deepFirst = pieces.sort((a, b) => b.widthMm - a.widthMm);
  return setInRows(deepFirst, ROW_MM).map((each) => ({ ...each, yMm: -each.yMm }));
}

function placed(sizes: readonly BlockSize[]): readonly BlockFeature[] {
  const features = featuresOf(layOutBlock(sizes));
  return Object.freeze(sizes.map(({ feature }) => features.find((each) => each.feature === feature)!));
}

/** The whole block and the short one, each size where it stands on the plate. */
export const BLOCK_OF_24 = placed(BLOCK_SIZES);
export const BLOCK_OF_6 = placed(FEW_SIZES);
