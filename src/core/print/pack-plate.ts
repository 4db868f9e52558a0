import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';

/** A thing that is to lie on a plate, in so many copies; its footprint as it stands, mm. */
export interface Footprint {
  readonly id: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly copies: number;
}

/** Where one copy lies: its middle from the middle of the plate, mm. */
export interface PlacedCopy {
  readonly id: number;
  readonly xMm: number;
  readonly yMm: number;
  /** Rotated by 90°. */
  readonly isTurned: boolean;
}

export interface PackedPlate {
  readonly placed: readonly PlacedCopy[];
  /** Copies of each thing for which no room was left. */
  readonly leftOut: ReadonlyMap<number, number>;
}

/** A plate, and the least gap between two pieces and to its edge, mm. */
export interface PlateRoom {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly gapMm: number;
}

/** Lengths go to the packer as whole hundredths of a millimetre, rounded up: gaps never come out too narrow. */
const UNIT_MM = 0.01;
const units = (mm: number) => Math.ceil(mm / UNIT_MM - 1e-9);

/** A copy with its gap, in units of the packer. */
interface Wanted {
  readonly id: number;
  readonly w: number;
  readonly d: number;
  /** Turned before the packer sees it. */
  readonly isTurned: boolean;
}

interface Laid extends Wanted {
  readonly x: number;
  readonly y: number;
}

/** Best short side fit, the largest first; what does not fit is left out. */
function layDown(wanted: readonly Wanted[], width: number, depth: number, mayTurn: boolean): Laid[] {
  const fits = (w: number, d: number) => w <= width && d <= depth;
  const packer = new MaxRectsPacker(Math.max(1, width), Math.max(1, depth), 0, {
    allowRotation: mayTurn,
    smart: false,
    pot: false,
    square: false,
  });
  wanted
    .filter(({ w, d }) => fits(w, d) || (mayTurn && fits(d, w)))
    .sort((a, b) => Math.max(b.w, b.d) - Math.max(a.w, a.d) || a.id - b.id)
    .forEach((each) => packer.add(each.w, each.d, each));
  return (packer.bins[0]?.rects ?? []).map(({ x, y, width: w, height: d, rot, data }) => {
    const { id, isTurned } = data as Wanted;
    return { id, x, y, w, d, isTurned: isTurned !== rot };
  });
}

/**
 * Packs footprints as rectangles, each rotated by 90° where that helps; of several packings, the one with the most
 * pieces is used. The pieces are then moved together to the centre of the plate, where the exposure is most even. Equal
 * inputs give equal plates. Packing after J. Jylänki, *A Thousand Ways to Pack the Bin* (2010), by a library.
 */
export function packPlate(things: readonly Footprint[], { widthMm, depthMm, gapMm }: PlateRoom): PackedPlate {
  const inner = (mm: number) => Math.floor((mm - gapMm) / UNIT_MM + 1e-9);
  const [width, depth] = [inner(widthMm), inner(depthMm)];
  const straight = things.flatMap(({ id, widthMm: w, depthMm: d, copies }) => {
    const size = { w: units(w + gapMm), d: units(d + gapMm) };
    // More than its area allows never go on: the packer need not try.
    const most = Math.min(copies, Math.floor((width * depth) / (size.w * size.d)));
    return Array.from({ length: Math.max(0, most) }, () => ({ id, ...size, isTurned: false }));
  });
  const turned = straight.map(({ id, w, d }) => ({ id, w: d, d: w, isTurned: true }));
  const ways = [
    layDown(straight, width, depth, false),
    layDown(turned, width, depth, false),
    layDown(straight, width, depth, true),
  ];
  const laid = ways.reduce((best, way) => (way.length > best.length ? way : best));
  const right = Math.max(0, ...laid.map(({ x, w }) => x + w));
  const back = Math.max(0, ...laid.map(({ y, d }) => y + d));
  const placed = laid.map(({ id, x, y, w, d, isTurned }) => ({
    id,
    xMm: (x + w / 2 - right / 2) * UNIT_MM,
    yMm: (y + d / 2 - back / 2) * UNIT_MM,
    isTurned,
  }));
  const leftOut = new Map<number, number>();
  for (const { id, copies } of things) {
    const left = copies - placed.filter((copy) => copy.id === id).length;
    if (left > 0) leftOut.set(id, left);
  }
  return { placed, leftOut };
}

/** A piece on the plate: footprint rotated or not. */
export interface LyingPiece {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly isTurned: boolean;
}

/** Returns the half sides of a piece on the plate, mm. */
export function halfSides({ widthMm, depthMm, isTurned }: LyingPiece): readonly [number, number] {
  return isTurned ? [depthMm / 2, widthMm / 2] : [widthMm / 2, depthMm / 2];
}

/** What is wrong with where a piece lies. */
export type PlaceIssue = 'offPlate' | 'tooNear';

/** Pieces that lie beyond the edge of the plate, or nearer to another than the gap, by their place in the list. */
export function findPlaceIssues(
  pieces: readonly LyingPiece[],
  { widthMm, depthMm, gapMm }: PlateRoom,
): ReadonlyMap<number, PlaceIssue> {
  const issues = new Map<number, PlaceIssue>();
  const sides = pieces.map(halfSides);
  pieces.forEach(({ xMm, yMm }, i) => {
    const [a, b] = sides[i];
    const off = Math.abs(xMm) + a > widthMm / 2 + 1e-6 || Math.abs(yMm) + b > depthMm / 2 + 1e-6;
    const near = pieces.some((other, j) => {
      if (j === i) return false;
      const [c, d] = sides[j];
      const apart = Math.max(Math.abs(other.xMm - xMm) - a - c, Math.abs(other.yMm - yMm) - b - d);
      return apart < gapMm - 1e-6;
    });
    if (off) issues.set(i, 'offPlate');
    else if (near) issues.set(i, 'tooNear');
  });
  return issues;
}
