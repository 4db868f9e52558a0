import type { Cuts } from './cutter';

/** Walls and gaps are found where faces look against one another to within 14°: with draft a wall, a knife edge none. */
const OPPOSITE = -Math.cos((14 * Math.PI) / 180);
/** The shortest way between the two faces runs along their normals to within 25°, else they do not face each other. */
const FACING = Math.cos((25 * Math.PI) / 180);
/** Smaller cells would only be more of them. */
const LEAST_CELL_MM = 0.25;
/** Directions are sorted into so many sectors of the circle. */
const SECTORS = 24;

/** Where to look for one sort of spot, and whom to tell. */
interface Seeker {
  /** Farther than this nothing new is to be found, mm; asked again at every edge. */
  readonly limit: () => number;
  readonly found: (sizeMm: number, middle: readonly number[], facets: readonly number[]) => void;
}

/** Which sectors lie opposite to one, with a neighbour on either side. */
const FACING_SECTORS = Array.from({ length: SECTORS }, (_, sector) =>
  [-1, 0, 1].reduce((mask, off) => mask | (1 << ((sector + SECTORS / 2 + off + SECTORS) % SECTORS)), 0),
);

/** The sectors opposite to any of those in a mask. */
function oppositeBits(mask: number): number {
  let bits = 0;
  for (let sector = 0; sector < SECTORS; sector++) if ((mask >> sector) & 1) bits |= FACING_SECTORS[sector];
  return bits;
}

/**
 * The edges of one layer in a grid of cells, so that each is held only against its neighbourhood. Every cell remembers
 * in which directions its edges look: on a smooth part no cell nearby has the opposite one, and the search ends there.
 */
export class NearGrid {
  /** Sector of each facet's direction in the plane. */
  private readonly sectorOf: Uint8Array;
  private cells = 0;
  private columns = 0;
  private originX = 0;
  private originY = 0;
  private cellMm = 1;
  private firstOf = new Int32Array(1024);
  /** Directions of the edges in a cell, and of those in it and the eight around. */
  private mask = new Int32Array(1024);
  private around = new Int32Array(1024);
  private members = new Int32Array(4096);
  private cuts: Cuts = { count: 0, ends: new Float64Array(0), facetOf: new Int32Array(0) };
  private sense: 1 | -1 = 1;
  private readonly nearest = new Float64Array(4);

  constructor(private readonly normals: Float32Array) {
    this.sectorOf = new Uint8Array(normals.length / 3);
    for (let facet = 0; facet < this.sectorOf.length; facet++) {
      const turn = Math.atan2(normals[3 * facet + 1], normals[3 * facet]) / (2 * Math.PI);
      this.sectorOf[facet] = Math.floor((turn + 1) * SECTORS) % SECTORS;
    }
  }

  /** Tells walls and gaps within reach, each edge against those near it. */
  search(cuts: Cuts, sense: 1 | -1, wall: Seeker, gap: Seeker): void {
    if (cuts.count === 0) return;
    this.cuts = cuts;
    this.sense = sense;
    // Cells need be no larger than what can still be found: they shrink as smaller spots come to be known.
    this.layCells(Math.max(LEAST_CELL_MM, wall.limit(), gap.limit()));
    if (!this.lookAround()) return;
    this.sortIntoCells();
    for (let edge = 0; edge < cuts.count; edge++) this.searchAround(edge, wall, gap);
  }

  /** Lays the cells over the layer and notes in which directions the edges in each look. */
  private layCells(reachMm: number): void {
    const { ends, count, facetOf } = this.cuts;
    let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let at = 0; at < 4 * count; at += 2) {
      if (ends[at] < minX) minX = ends[at];
      if (ends[at] > maxX) maxX = ends[at];
      if (ends[at + 1] < minY) minY = ends[at + 1];
      if (ends[at + 1] > maxY) maxY = ends[at + 1];
    }
    // A layer metres wide gets larger cells, never millions of them.
    this.cellMm = Math.max(reachMm, (maxX - minX) / 512, (maxY - minY) / 512);
    this.originX = minX;
    this.originY = minY;
    this.columns = Math.floor((maxX - minX) / this.cellMm) + 1;
    this.cells = this.columns * (Math.floor((maxY - minY) / this.cellMm) + 1);
    if (this.cells + 1 > this.firstOf.length) {
      this.firstOf = new Int32Array(2 * this.cells + 2);
      this.mask = new Int32Array(2 * this.cells + 2);
      this.around = new Int32Array(2 * this.cells + 2);
    }
    this.firstOf.fill(0, 0, this.cells + 1);
    this.mask.fill(0, 0, this.cells);
    for (let edge = 0; edge < count; edge++) {
      const bit = 1 << this.sectorOf[facetOf[edge]];
      const one = this.cellAt(4 * edge);
      if (one === this.cellAt(4 * edge + 2)) {
        this.firstOf[one + 1]++;
        this.mask[one] |= bit;
      } else {
        this.eachCell(edge, (cell) => {
          this.firstOf[cell + 1]++;
          this.mask[cell] |= bit;
        });
      }
    }
  }

  /** Gathers the directions around each cell; is there any cell with an opposite one in reach? */
  private lookAround(): boolean {
    const { mask, around, columns, cells } = this;
    let any = false;
    for (let cell = 0; cell < cells; cell++) {
      const column = cell % columns;
      let bits = 0;
      for (let at = cell - columns; at <= cell + columns; at += columns) {
        if (at < 0 || at >= cells) continue;
        bits |= mask[at];
        if (column > 0) bits |= mask[at - 1];
        if (column < columns - 1) bits |= mask[at + 1];
      }
      around[cell] = bits;
      any ||= mask[cell] !== 0 && (bits & oppositeBits(mask[cell])) !== 0;
    }
    return any;
  }

  /** Lists the edges of every cell, counted before. */
  private sortIntoCells(): void {
    const { firstOf, cells, cuts } = this;
    for (let cell = 0; cell < cells; cell++) firstOf[cell + 1] += firstOf[cell];
    if (firstOf[cells] > this.members.length) this.members = new Int32Array(2 * firstOf[cells]);
    const { members } = this;
    const at = firstOf.slice(0, cells);
    for (let edge = 0; edge < cuts.count; edge++) this.eachCell(edge, (cell) => (members[at[cell]++] = edge));
  }

  private cellAt(end: number): number {
    const { ends } = this.cuts;
    return this.rowOf(ends[end + 1]) * this.columns + this.columnOf(ends[end]);
  }

  private columnOf(x: number): number {
    return Math.floor((x - this.originX) / this.cellMm);
  }

  private rowOf(y: number): number {
    return Math.floor((y - this.originY) / this.cellMm);
  }

  /** The cells that the box of an edge touches, grown by `margin` cells. */
  private eachCell(edge: number, run: (cell: number) => void, margin = 0): void {
    const { ends } = this.cuts;
    const [c0, c1] = [this.columnOf(ends[4 * edge]), this.columnOf(ends[4 * edge + 2])];
    const [r0, r1] = [this.rowOf(ends[4 * edge + 1]), this.rowOf(ends[4 * edge + 3])];
    const left = Math.max(0, Math.min(c0, c1) - margin);
    const right = Math.min(this.columns - 1, Math.max(c0, c1) + margin);
    const bottom = Math.max(0, Math.min(r0, r1) - margin);
    const top = Math.min(this.cells / this.columns - 1, Math.max(r0, r1) + margin);
    for (let row = bottom; row <= top; row++) {
      for (let column = left; column <= right; column++) run(row * this.columns + column);
    }
  }

  private searchAround(edge: number, wall: Seeker, gap: Seeker): void {
    const opposite = FACING_SECTORS[this.sectorOf[this.cuts.facetOf[edge]]];
    const one = this.cellAt(4 * edge);
    if (one === this.cellAt(4 * edge + 2) && (this.around[one] & opposite) === 0) return;
    this.eachCell(
      edge,
      (cell) => {
        if ((this.mask[cell] & opposite) === 0) return;
        const [wallLimit, gapLimit] = [wall.limit(), gap.limit()];
        for (let i = this.firstOf[cell]; i < this.firstOf[cell + 1]; i++) {
          const other = this.members[i];
          // Each pair once.
          if (other <= edge || ((opposite >> this.sectorOf[this.cuts.facetOf[other]]) & 1) === 0) continue;
          if (!this.facesOpposite(edge, other)) continue;
          const limit = this.isBehind(edge, other) ? wallLimit : gapLimit;
          if (this.boxesWithin(edge, other, limit)) this.hold(edge, other, limit, wall, gap);
        }
      },
      1,
    );
  }

  private facesOpposite(edge: number, other: number): boolean {
    const { normals } = this;
    const a = 3 * this.cuts.facetOf[edge];
    const b = 3 * this.cuts.facetOf[other];
    return (
      normals[a] * normals[b] + normals[a + 1] * normals[b + 1] + normals[a + 2] * normals[b + 2] < OPPOSITE
    );
  }

  /** Behind the face of an edge lies the solid: an opposite face there makes a wall, one before it a gap. */
  private isBehind(edge: number, other: number): boolean {
    const { normals, sense } = this;
    const { ends, facetOf } = this.cuts;
    const at = 3 * facetOf[edge];
    const dx = ends[4 * other] - ends[4 * edge];
    const dy = ends[4 * other + 1] - ends[4 * edge + 1];
    return (dx * normals[at] + dy * normals[at + 1]) * sense < 0;
  }

  /** Are the boxes of two edges at most so far apart? Most pairs end here. */
  private boxesWithin(edge: number, other: number, farthest: number): boolean {
    const { ends } = this.cuts;
    for (let axis = 0; axis < 2; axis++) {
      const a0 = ends[4 * edge + axis];
      const a1 = ends[4 * edge + 2 + axis];
      const b0 = ends[4 * other + axis];
      const b1 = ends[4 * other + 2 + axis];
      if ((b0 < b1 ? b0 : b1) - (a0 > a1 ? a0 : a1) > farthest) return false;
      if ((a0 < a1 ? a0 : a1) - (b0 > b1 ? b0 : b1) > farthest) return false;
    }
    return true;
  }

  /** Holds two edges against one another: facing through solid a wall, through air a gap. */
  private hold(edge: number, other: number, limitMm: number, wall: Seeker, gap: Seeker): void {
    this.findNearest(edge, other);
    const { normals, sense, nearest } = this;
    const { facetOf } = this.cuts;
    const dx = nearest[2] - nearest[0];
    const dy = nearest[3] - nearest[1];
    const size = Math.sqrt(dx * dx + dy * dy);
    if (size >= limitMm || size < 1e-6) return;
    const nx = normals[3 * facetOf[edge]];
    const ny = normals[3 * facetOf[edge] + 1];
    const ahead = (dx * nx + dy * ny) * sense;
    if (Math.abs(ahead) < FACING * Math.sqrt(nx * nx + ny * ny) * size) return;
    const middle = [(nearest[0] + nearest[2]) / 2, (nearest[1] + nearest[3]) / 2];
    (ahead < 0 ? wall : gap).found(size, middle, [facetOf[edge], facetOf[other]]);
  }

  /** The two nearest points of two edges that do not cross: one of them is an end. Left in `nearest`, the edge's first. */
  private findNearest(edge: number, other: number): void {
    const { nearest } = this;
    let least = Infinity;
    for (let k = 0; k < 4; k++) {
      const ofEdge = k < 2;
      const base = 4 * (ofEdge ? other : edge);
      const end = 4 * (ofEdge ? edge : other) + 2 * (k & 1);
      const { ends } = this.cuts;
      const x = ends[end];
      const y = ends[end + 1];
      const dx = ends[base + 2] - ends[base];
      const dy = ends[base + 3] - ends[base + 1];
      const length2 = dx * dx + dy * dy;
      const along = length2 === 0 ? 0 : ((x - ends[base]) * dx + (y - ends[base + 1]) * dy) / length2;
      const share = along < 0 ? 0 : along > 1 ? 1 : along;
      const fx = ends[base] + share * dx;
      const fy = ends[base + 1] + share * dy;
      const apart = (fx - x) * (fx - x) + (fy - y) * (fy - y);
      if (apart >= least) continue;
      least = apart;
      nearest[0] = ofEdge ? x : fx;
      nearest[1] = ofEdge ? y : fy;
      nearest[2] = ofEdge ? fx : x;
      nearest[3] = ofEdge ? fy : y;
    }
  }
}
