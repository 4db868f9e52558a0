import type { Cuts } from './cutter';

/** Parallel lines laid over the plate: row j at `fromMm` + (j + 0.5)·pitch across the direction of the lines. */
export interface RowGrid {
  /** Direction of the lines: 0 along X (rows), 1 along Y (columns). */
  readonly along: 0 | 1;
  readonly count: number;
  readonly fromMm: number;
  readonly pitchMm: number;
}

/** Across a wide part rows lie further apart than a pixel: more of them would cost more than they tell. */
const MOST_ROWS = 2048;

/** Rows that tile an extent evenly, at most `pitchMm` apart unless there would be too many. */
export function gridOver(along: 0 | 1, [fromMm, toMm]: readonly [number, number], pitchMm: number): RowGrid {
  const count = Math.max(1, Math.min(MOST_ROWS, Math.ceil((toMm - fromMm) / pitchMm - 1e-9)));
  return { along, count, fromMm, pitchMm: (toMm - fromMm) / count || pitchMm };
}

/** Middle of a row across the lines, mm. */
export function middleOfRow({ fromMm, pitchMm }: RowGrid, row: number): number {
  return fromMm + (row + 0.5) * pitchMm;
}

/** Faces nearer than this are one, mm: two bodies drawn to touch. */
const TOUCHING_MM = 1e-6;

/**
 * One layer as the stretches of solid on each row of a grid: ends are exact crossings of the contours, only the rows are
 * sampled. Solid is where the winding is positive, so that shells drawn into one another count once.
 */
export class SpanRows {
  /** Spans of row j lie from `firstOf[j]` to before `firstOf[j + 1]`, ascending. */
  readonly firstOf: Int32Array;
  left = new Float64Array(1024);
  right = new Float64Array(1024);
  /** The facet that each end lies on; −1 where an end stands for a sliver between two rows. */
  leftFacet = new Int32Array(1024);
  rightFacet = new Int32Array(1024);
  count = 0;
  /** Rows outside from–to have no spans. */
  rowFrom = 0;
  rowTo = 0;
  /** The whole layer lies between two rows and stands on the nearer one. */
  isSliver = false;
  /** Some of the solid is covered twice: bodies drawn into one another. */
  overlapping = false;
  private readonly head: Int32Array;
  private crossings = 0;
  private at = new Float64Array(4096);
  /** Facet of a crossing going into the solid, its complement going out. */
  private facet = new Int32Array(4096);
  private nextInRow = new Int32Array(4096);
  private rowAt = new Float64Array(64);
  private rowFacet = new Int32Array(64);

  constructor(readonly grid: RowGrid) {
    this.firstOf = new Int32Array(grid.count + 1);
    this.head = new Int32Array(grid.count).fill(-1);
  }

  /** Takes the next layer; `sense` −1 reads a part that is inside out as a whole. */
  fill(cuts: Cuts, sense: 1 | -1): void {
    this.crossings = 0;
    this.count = 0;
    this.overlapping = false;
    this.isSliver = false;
    this.rowFrom = this.grid.count;
    this.rowTo = 0;
    this.gather(cuts, sense);
    this.rowFrom = Math.min(this.rowFrom, this.rowTo);
    this.firstOf.fill(0, 0, this.rowFrom);
    for (let row = this.rowFrom; row < this.rowTo; row++) {
      this.firstOf[row] = this.count;
      if (this.head[row] >= 0) this.spanRow(row);
    }
    this.firstOf.fill(this.count, this.rowTo);
    if (this.count === 0 && cuts.count > 0) this.enterSliver(cuts);
  }

  /** Crossings of all pieces with all rows, chained by row. */
  private gather({ ends, facetOf, count }: Cuts, sense: 1 | -1): void {
    const { along, fromMm, pitchMm, count: rows } = this.grid;
    const across = 1 - along;
    for (let piece = 0; piece < count; piece++) {
      const v0 = ends[4 * piece + across];
      const v1 = ends[4 * piece + 2 + across];
      const first = Math.max(0, Math.ceil((Math.min(v0, v1) - fromMm) / pitchMm - 0.5));
      const end = Math.min(rows, Math.ceil((Math.max(v0, v1) - fromMm) / pitchMm - 0.5));
      if (first >= end) continue;
      if (first < this.rowFrom) this.rowFrom = first;
      if (end > this.rowTo) this.rowTo = end;
      const u0 = ends[4 * piece + along];
      const slope = (ends[4 * piece + 2 + along] - u0) / (v1 - v0);
      const entering = v1 < v0 === ((along === 0) === (sense === 1));
      const facet = entering ? facetOf[piece] : ~facetOf[piece];
      if (this.crossings + end - first > this.at.length) this.growCrossings(end - first);
      for (let row = first; row < end; row++) {
        const crossing = this.crossings++;
        this.at[crossing] = u0 + (fromMm + (row + 0.5) * pitchMm - v0) * slope;
        this.facet[crossing] = facet;
        this.nextInRow[crossing] = this.head[row];
        this.head[row] = crossing;
      }
    }
  }

  /** Sorts the crossings of one row and keeps the stretches between the first way in and the last way out. */
  private spanRow(row: number): void {
    const one = this.head[row];
    const other = this.nextInRow[one];
    if (other >= 0 && this.nextInRow[other] < 0) {
      this.spanPair(row, this.at[one] <= this.at[other] ? one : other, one + other);
      return;
    }
    let length = 0;
    for (let crossing = this.head[row]; crossing >= 0; crossing = this.nextInRow[crossing]) {
      if (length === this.rowAt.length) this.growRow();
      const at = this.at[crossing];
      let place = length++;
      while (place > 0 && this.rowAt[place - 1] > at) {
        this.rowAt[place] = this.rowAt[place - 1];
        this.rowFacet[place] = this.rowFacet[place - 1];
        place--;
      }
      this.rowAt[place] = at;
      this.rowFacet[place] = this.facet[crossing];
    }
    this.head[row] = -1;
    let winding = 0;
    let opened = 0;
    for (let i = 0; i < length; i++) {
      if (this.rowFacet[i] >= 0) {
        if (winding === 0) opened = i;
        winding++;
        if (winding > 1 && this.rowAt[i] - this.rowAt[opened] > TOUCHING_MM) this.overlapping = true;
      } else {
        winding--;
        if (winding === 0) this.push(row, opened, i);
      }
    }
  }

  /** Most rows are crossed twice: in and out, without sorting. `sum` is that of both crossings. */
  private spanPair(row: number, left: number, sum: number): void {
    const right = sum - left;
    this.head[row] = -1;
    if (this.facet[left] < 0 || this.facet[right] >= 0 || this.at[right] <= this.at[left]) return;
    if (this.count === this.left.length) this.growSpans();
    this.left[this.count] = this.at[left];
    this.right[this.count] = this.at[right];
    this.leftFacet[this.count] = this.facet[left];
    this.rightFacet[this.count++] = ~this.facet[right];
  }

  private push(row: number, opened: number, closed: number): void {
    const left = this.rowAt[opened];
    const right = this.rowAt[closed];
    if (right <= left) return;
    const before = this.count - 1;
    if (before >= this.firstOf[row] && left - this.right[before] <= TOUCHING_MM) {
      this.right[before] = right;
      this.rightFacet[before] = ~this.rowFacet[closed];
      return;
    }
    if (this.count === this.left.length) this.growSpans();
    this.left[this.count] = left;
    this.right[this.count] = right;
    this.leftFacet[this.count] = this.rowFacet[opened];
    this.rightFacet[this.count++] = ~this.rowFacet[closed];
  }

  /** A layer so small that it lies between two rows is entered on the nearer one by its extent. */
  private enterSliver({ ends, count }: Cuts): void {
    const { along, fromMm, pitchMm, count: rows } = this.grid;
    let [low, high, middle] = [Infinity, -Infinity, 0];
    for (let piece = 0; piece < count; piece++) {
      low = Math.min(low, ends[4 * piece + along]);
      high = Math.max(high, ends[4 * piece + along]);
      middle += ends[4 * piece + 1 - along] / count;
    }
    const row = Math.max(0, Math.min(rows - 1, Math.floor((middle - fromMm) / pitchMm)));
    this.left[0] = low;
    this.right[0] = Math.max(high, low + TOUCHING_MM);
    this.leftFacet[0] = this.rightFacet[0] = -1;
    this.count = 1;
    this.isSliver = true;
    this.rowFrom = row;
    this.rowTo = row + 1;
    this.firstOf.fill(1, row + 1);
  }

  private growCrossings(by: number): void {
    const size = 2 * this.at.length + by;
    this.at = grown(this.at, new Float64Array(size));
    this.facet = grown(this.facet, new Int32Array(size));
    this.nextInRow = grown(this.nextInRow, new Int32Array(size));
  }

  private growRow(): void {
    this.rowAt = grown(this.rowAt, new Float64Array(2 * this.rowAt.length));
    this.rowFacet = grown(this.rowFacet, new Int32Array(2 * this.rowFacet.length));
  }

  private growSpans(): void {
    const size = 2 * this.left.length;
    this.left = grown(this.left, new Float64Array(size));
    this.right = grown(this.right, new Float64Array(size));
    this.leftFacet = grown(this.leftFacet, new Int32Array(size));
    this.rightFacet = grown(this.rightFacet, new Int32Array(size));
  }
}

/** The larger array, with what the smaller one held. */
export function grown<Values extends Float64Array | Int32Array>(smaller: Values, larger: Values): Values {
  larger.set(smaller);
  return larger;
}
