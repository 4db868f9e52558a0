import type { Cuts } from './cutter';
import { NearGrid } from './near-grid';
import { middleOfRow, type SpanRows } from './span-rows';

/** A wall or a gap, measured in the plane of a layer between two faces that look against one another. */
export interface ThinSpot {
  readonly sizeMm: number;
  readonly layer: number;
  /** Middle between the two faces. */
  readonly atMm: readonly [number, number, number];
  /** The two faces belong to different bodies. */
  readonly betweenBodies: boolean;
}

/** What the faces are read from: normals (three a facet) and, where known, which body each facet belongs to. */
export interface Faces {
  readonly normals: Float32Array;
  readonly bodyOf?: ArrayLike<number>;
}

/** Up to here every edge is held against its neighbourhood; wider sizes are read along sparse rows. */
export const NEAR_MM = 4;
/** A size at the border is found near rather than nowhere, mm. */
const TIE_MM = 1e-3;
/** Spots below the threshold are gathered in cells of this size, mm; those in neighbouring cells are one. */
const CELL_MM = 4;
/** Far sizes are read on every so manieth row, between faces that are parallel to within 3°. */
const FAR_EVERY = 8;
const FAR_OPPOSITE = -Math.cos((3 * Math.PI) / 180);

/** Keeps the smallest of one sort of spot, and one of each neighbourhood below a threshold. */
class SpotKeeper {
  smallest: ThinSpot | undefined;
  private readonly spots = new Map<string, ThinSpot>();

  constructor(readonly belowMm: number) {}

  /** Sizes from here on tell nothing new. */
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
    const left = new Map(this.spots);
    const kept: ThinSpot[] = [];
    for (const [cell, spot] of [...this.spots].sort(([, a], [, b]) => a.sizeMm - b.sizeMm)) {
      if (!left.has(cell)) continue;
      kept.push(spot);
      const reached = [cell];
      for (const name of reached) {
        left.delete(name);
        for (const near of neighboursOf(name))
          if (left.has(near) && !reached.includes(near)) reached.push(near);
      }
    }
    return kept;
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
    this.near = new NearGrid(faces.normals, NEAR_MM);
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
      this.offerFar(this.walls, rows, row, {
        from: left[i],
        to: right[i],
        a: leftFacet[i],
        b: rightFacet[i],
        layer,
        zMm,
      });
      if (i === firstOf[row]) continue;
      const [from, to] = [right[i - 1], left[i]];
      this.offerFar(this.gaps, rows, row, { from, to, a: rightFacet[i - 1], b: leftFacet[i], layer, zMm });
    }
  }

  private offerFar(
    keeper: SpotKeeper,
    { grid }: SpanRows,
    row: number,
    {
      from,
      to,
      a,
      b,
      layer,
      zMm,
    }: { from: number; to: number; a: number; b: number; layer: number; zMm: number },
  ): void {
    if (a < 0 || b < 0) return;
    const { normals } = this.faces;
    const [nx, ny, nz] = [normals[3 * a], normals[3 * a + 1], normals[3 * a + 2]];
    const [mx, my, mz] = [normals[3 * b], normals[3 * b + 1], normals[3 * b + 2]];
    if (nx * mx + ny * my + nz * mz > FAR_OPPOSITE) return;
    const along = Math.abs(grid.along === 0 ? mx - nx : my - ny) / Math.hypot(mx - nx, my - ny);
    const sizeMm = (to - from) * along;
    if (!(sizeMm > NEAR_MM && sizeMm < keeper.uptoMm)) return;
    const [middle, across] = [(from + to) / 2, middleOfRow(grid, row)];
    const [x, y] = grid.along === 0 ? [middle, across] : [across, middle];
    keeper.offer({ sizeMm, layer, atMm: [x, y, zMm], betweenBodies: this.areTwoBodies([a, b]) });
  }
}

/** Columns for the far sizes: as sparse as the rows that are read. */
export function farPitch(pixelMm: number): number {
  return FAR_EVERY * pixelMm;
}
