import type { Mesh } from '@/core/part/mesh';
import { grown, gridOver, middleOfRow, type RowGrid } from './span-rows';

/** A window of the plate, mm. */
export interface Window {
  readonly min: readonly [number, number];
  readonly max: readonly [number, number];
}

/** Columns are laid as close as the pixel while a window takes no more than so many of them. */
export const MOST_COLUMNS = 1 << 17;

/**
 * The faces above one place of the plate, from below: heights and facets. A facet that is left is stored as its
 * complement.
 */
export interface Column {
  length: number;
  z: Float64Array;
  facet: Int32Array;
}

/** How far apart columns lie over a window: a pixel, or more where the window is large. */
function pitchOver({ min, max }: Window, pixelMm: number, most: number): number {
  const area = (max[0] - min[0]) * (max[1] - min[1]);
  return Math.max(pixelMm, Math.sqrt(area / most));
}

/**
 * A mesh seen along Z: at the middle of every cell of a grid over the plate, where its facets lie. Heights are exact, only
 * the places are sampled. Cost: facets plus crossings; memory by the crossings.
 */
export class ZColumns {
  readonly x: RowGrid;
  readonly y: RowGrid;
  private readonly head: Int32Array;
  private next = new Int32Array(1 << 18);
  private z = new Float64Array(1 << 18);
  private facet = new Int32Array(1 << 18);
  private crossings = 0;
  private readonly column: Column = { length: 0, z: new Float64Array(16), facet: new Int32Array(16) };

  constructor(
    private readonly mesh: Mesh,
    window: Window,
    pixelMm: number,
    most = MOST_COLUMNS,
  ) {
    const pitchMm = pitchOver(window, pixelMm, most);
    this.x = gridOver(1, [window.min[0], window.max[0]], pitchMm);
    this.y = gridOver(0, [window.min[1], window.max[1]], pitchMm);
    this.head = new Int32Array(this.x.count * this.y.count).fill(-1);
    for (let facet = 0; facet < mesh.facets.length / 3; facet++) this.enter(facet);
  }

  /** Area that one column stands for, mm². */
  get cellMm2(): number {
    return this.x.pitchMm * this.y.pitchMm;
  }

  /** Calls back with every column that meets the mesh and its place; the column is the same object each time. */
  each(take: (column: Column, xMm: number, yMm: number) => void): void {
    for (let j = 0; j < this.y.count; j++) {
      const yMm = middleOfRow(this.y, j);
      for (let i = 0; i < this.x.count; i++) {
        const at = j * this.x.count + i;
        if (this.head[at] < 0) continue;
        this.gather(at);
        take(this.column, middleOfRow(this.x, i), yMm);
      }
    }
  }

  /** Puts a facet into the columns whose middles it covers; an edge that two facets share belongs to one of them. */
  private enter(facet: number): void {
    const { positions, facets } = this.mesh;
    const { x, y } = this;
    const a = 3 * facets[3 * facet];
    const b = 3 * facets[3 * facet + 1];
    const c = 3 * facets[3 * facet + 2];
    const ay = positions[a + 1];
    const by = positions[b + 1];
    const cy = positions[c + 1];
    const lowY = ay < by ? (ay < cy ? ay : cy) : by < cy ? by : cy;
    const highY = ay > by ? (ay > cy ? ay : cy) : by > cy ? by : cy;
    const first = Math.max(0, Math.ceil((lowY - y.fromMm) / y.pitchMm - 0.5));
    const end = Math.min(y.count, Math.ceil((highY - y.fromMm) / y.pitchMm - 0.5));
    if (first >= end) return;
    const ax = positions[a];
    const bx = positions[b];
    const cx = positions[c];
    const lowX = ax < bx ? (ax < cx ? ax : cx) : bx < cx ? bx : cx;
    const highX = ax > bx ? (ax > cx ? ax : cx) : bx > cx ? bx : cx;
    // Most facets of a fine mesh lie between the columns.
    if (Math.ceil((lowX - x.fromMm) / x.pitchMm - 0.5) >= Math.ceil((highX - x.fromMm) / x.pitchMm - 0.5))
      return;
    const ux = bx - ax;
    const uy = by - ay;
    const vx = cx - ax;
    const vy = cy - ay;
    const area2 = ux * vy - uy * vx;
    if (area2 === 0) return;
    const uz = positions[b + 2] - positions[a + 2];
    const vz = positions[c + 2] - positions[a + 2];
    const slopeX = (uz * vy - vz * uy) / area2;
    const slopeY = (vz * ux - uz * vx) / area2;
    // Seen from below, what looks down is entered and what looks up is left.
    const told = area2 < 0 ? facet : ~facet;
    for (let row = first; row < end; row++) {
      const at = y.fromMm + (row + 0.5) * y.pitchMm;
      const { first: from, end: to } = this.cellsWithin(a, b, c, at);
      for (let i = from; i < to; i++) {
        const dx = middleOfRow(x, i) - ax;
        this.push(row * x.count + i, positions[a + 2] + slopeX * dx + slopeY * (at - ay), told);
      }
    }
  }

  private readonly cells = { first: 0, end: 0 };

  /** Cells of a row whose middles lie within a facet. */
  private cellsWithin(a: number, b: number, c: number, y: number): { first: number; end: number } {
    let low = Infinity;
    let high = -Infinity;
    for (let k = 0; k < 3; k++) {
      const x =
        k === 0 ? this.crossEdge(a, b, y) : k === 1 ? this.crossEdge(b, c, y) : this.crossEdge(c, a, y);
      if (Number.isNaN(x)) continue;
      if (x < low) low = x;
      if (x > high) high = x;
    }
    const { fromMm, pitchMm, count } = this.x;
    this.cells.first = Math.max(0, Math.ceil((low - fromMm) / pitchMm - 0.5));
    this.cells.end = high < low ? 0 : Math.min(count, Math.ceil((high - fromMm) / pitchMm - 0.5));
    return this.cells;
  }

  /** Where an edge crosses a line across Y; taken from its lower corner, so that both its facets get the same to the last bit. */
  private crossEdge(one: number, other: number, y: number): number {
    const { positions } = this.mesh;
    const from = one < other ? one : other;
    const to = one < other ? other : one;
    const fromY = positions[from + 1];
    const toY = positions[to + 1];
    if (fromY > y === toY > y) return NaN;
    return positions[from] + ((y - fromY) / (toY - fromY)) * (positions[to] - positions[from]);
  }

  private push(at: number, z: number, facet: number): void {
    if (this.crossings === this.z.length) {
      const size = 2 * this.crossings;
      this.next = grown(this.next, new Int32Array(size));
      this.z = grown(this.z, new Float64Array(size));
      this.facet = grown(this.facet, new Int32Array(size));
    }
    this.z[this.crossings] = z;
    this.facet[this.crossings] = facet;
    this.next[this.crossings] = this.head[at];
    this.head[at] = this.crossings++;
  }

  /** Sorts the crossings of one column by height; at one height what is left comes before what is entered. */
  private gather(at: number): void {
    const { column } = this;
    let length = 0;
    for (let crossing = this.head[at]; crossing >= 0; crossing = this.next[crossing]) {
      if (length === column.z.length) {
        column.z = grown(column.z, new Float64Array(2 * length));
        column.facet = grown(column.facet, new Int32Array(2 * length));
      }
      const z = this.z[crossing];
      let place = length++;
      while (place > 0 && column.z[place - 1] > z) {
        column.z[place] = column.z[place - 1];
        column.facet[place] = column.facet[place - 1];
        place--;
      }
      column.z[place] = z;
      column.facet[place] = this.facet[crossing];
    }
    column.length = length;
  }
}
