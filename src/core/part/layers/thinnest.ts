import type { Cuts } from './cutter';
import { NearGrid } from './near-grid';
import { middleOfRow, type SpanRows } from './span-rows';

/** A wall or a gap between two faces that look against one another, in the plane of a layer or along Z. */
export interface ThinSpot {
  readonly sizeMm: number;
  readonly layer: number;
  /** Middle between the two faces. */
  readonly atMm: readonly [number, number, number];
  /** The two faces belong to different bodies. */
  readonly betweenBodies: boolean;
}

/** What the faces are read from: normals (three a facet) and, where known, which body each facet belongs to. */
interface Faces {
  readonly normals: Float32Array;
  readonly bodyOf?: ArrayLike<number>;
}

/** Up to here every edge is held against its neighbourhood; wider sizes are read along sparse rows. */
const NEAR_MM = 4;
/** A size at the border is found near rather than nowhere, mm. */
const TIE_MM = 1e-3;
/** Spots below the threshold are gathered in cells of this size, mm; those in neighbouring cells are one. */
const CELL_MM = 4;
/** Far sizes are read on every so manieth row, between faces that are parallel to within 3°. */
const FAR_EVERY = 8;
const FAR_OPPOSITE = -Math.cos((3 * Math.PI) / 180);

/** Keeps the smallest of one sort of spot, and one of each neighbourhood below a threshold. */
export class SpotKeeper {
  smallest: ThinSpot | undefined;
  private readonly spots = new Map<string, ThinSpot>();

  constructor(readonly belowMm: number) {}

  /** Larger sizes add no information. */
  get uptoMm(): number {
    return Math.max(this.smallest?.sizeMm ?? Infinity, this.belowMm);
  }

  offer(spot: ThinSpot): void {
    if (this.smallest === undefined || spot.sizeMm < this.smallest.sizeMm) this.smallest = spot;
    if (spot.sizeMm >= this.belowMm) return;
    const cell = spot.atMm.map((value) => Math.round(value / CELL_MM) + 0).join();
    const known = this.spots.get(cell);
    if (known === undefined || spot.sizeMm < known.sizeMm) this.spots.set(cell, spot);
  }

  /** One spot of each run of neighbouring cells, the smallest first. */
  list(): ThinSpot[] {
    const left = new Set(this.spots.keys());
    const inOrder = [...this.spots].sort(([, a], [, b]) => a.sizeMm - b.sizeMm);
    return inOrder.flatMap(([cell, spot]) => {
      if (!left.has(cell)) return [];
      takeRun(cell, left);
      return spot;
    });
  }
}

/** Takes a cell and all that hang together with it out of a set. */
function takeRun(cell: string, left: Set<string>): void {
  left.delete(cell);
  const reached = [cell];
  for (const name of reached) {
    for (const near of neighboursOf(name)) if (left.delete(near)) reached.push(near);
  }
}

/** Names of the 26 cells around one. */
function neighboursOf(cell: string): string[] {
  const [x, y, z] = cell.split(',').map(Number);
  const steps = [-1, 0, 1];
  return steps.flatMap((dx) =>
    steps.flatMap((dy) => steps.map((dz) => [x + dx, y + dy, z + dz].map((value) => value + 0).join())),
  );
}

/** Follows the smallest wall and the smallest gap through all layers, and those below their thresholds. */
export class Thinnest {
  readonly walls: SpotKeeper;
  readonly gaps: SpotKeeper;
  private readonly near: NearGrid;
  private readonly columns: SpanRows;

  constructor(
    private readonly faces: Faces,
    { thinWallMm, thinGapMm, columns }: { thinWallMm: number; thinGapMm: number; columns: SpanRows },
  ) {
    this.walls = new SpotKeeper(thinWallMm);
    this.gaps = new SpotKeeper(thinGapMm);
    this.near = new NearGrid(faces.normals);
    this.columns = columns;
  }

  take(layer: number, zMm: number, cuts: Cuts, rows: SpanRows, sense: 1 | -1): void {
    const keep = (keeper: SpotKeeper) => (sizeMm: number, at: readonly number[], facets: readonly number[]) =>
      keeper.offer({ sizeMm, layer, atMm: [at[0], at[1], zMm], betweenBodies: this.areTwoBodies(facets) });
    this.near.search(
      cuts,
      sense,
      { limit: () => Math.min(NEAR_MM + TIE_MM, this.walls.uptoMm), found: keep(this.walls) },
      { limit: () => Math.min(NEAR_MM + TIE_MM, this.gaps.uptoMm), found: keep(this.gaps) },
    );
    // What is known to be near can only be undercut by what is nearer still.
    if (this.walls.uptoMm <= NEAR_MM && this.gaps.uptoMm <= NEAR_MM) return;
    this.columns.fill(cuts, sense);
    for (const grid of [rows, this.columns]) {
      const step = grid === rows ? FAR_EVERY : 1;
      for (let row = step >> 1; row < grid.grid.count; row += step) this.readRow(grid, row, layer, zMm);
    }
  }

  private areTwoBodies([a, b]: readonly number[]): boolean {
    const { bodyOf } = this.faces;
    return bodyOf !== undefined && bodyOf[a] !== bodyOf[b];
  }

  private readRow(rows: SpanRows, row: number, layer: number, zMm: number): void {
    const { firstOf, left, right, leftFacet, rightFacet } = rows;
    for (let i = firstOf[row]; i < firstOf[row + 1]; i++) {
      const wall = this.acrossMm(rows, right[i] - left[i], leftFacet[i], rightFacet[i]);
      if (wall > NEAR_MM && wall < this.walls.uptoMm) {
        const middle = (left[i] + right[i]) / 2;
        this.offerFar(this.walls, wall, [rows, row, middle], [leftFacet[i], rightFacet[i]], [layer, zMm]);
      }
      if (i === firstOf[row]) continue;
      const gap = this.acrossMm(rows, left[i] - right[i - 1], rightFacet[i - 1], leftFacet[i]);
      if (gap > NEAR_MM && gap < this.gaps.uptoMm) {
        const middle = (left[i] + right[i - 1]) / 2;
        this.offerFar(this.gaps, gap, [rows, row, middle], [rightFacet[i - 1], leftFacet[i]], [layer, zMm]);
      }
    }
  }

  /** Distance between two faces across them, from that along a row; Infinity where they do not face each other. */
  private acrossMm({ grid }: SpanRows, alongMm: number, a: number, b: number): number {
    if (a < 0 || b < 0) return Infinity;
    const { normals } = this.faces;
    const nx = normals[3 * a];
    const ny = normals[3 * a + 1];
    const mx = normals[3 * b];
    const my = normals[3 * b + 1];
    if (nx * mx + ny * my + normals[3 * a + 2] * normals[3 * b + 2] > FAR_OPPOSITE) return Infinity;
    return (alongMm * Math.abs(grid.along === 0 ? mx - nx : my - ny)) / Math.hypot(mx - nx, my - ny);
  }

  private offerFar(
    keeper: SpotKeeper,
    sizeMm: number,
    [{ grid }, row, middle]: readonly [SpanRows, number, number],
    facets: readonly number[],
    [layer, zMm]: readonly [number, number],
  ): void {
    const across = middleOfRow(grid, row);
    const [x, y] = grid.along === 0 ? [middle, across] : [across, middle];
    keeper.offer({ sizeMm, layer, atMm: [x, y, zMm], betweenBodies: this.areTwoBodies(facets) });
  }
}

/** Columns for the far sizes: as sparse as the rows that are read. */
export function farPitch(pixelMm: number): number {
  return FAR_EVERY * pixelMm;
}
