import { DisjointSets } from '@/core/part/mesh';
import { grown, middleOfRow, type RowGrid, type SpanRows } from './span-rows';

/** The air around the part: the region that every hollow is held against. */
export const OUTSIDE = 0;

/** Overlaps narrower than this join nothing, mm: walls that only touch along a line. */
const LEAST_OVERLAP_MM = 1e-4;

/** What is known of one connected region of a layer. */
interface Region {
  areaMm2: number;
  /** Area-weighted sums of its middle, mm³. */
  momentX: number;
  momentY: number;
}

/** A region of air within the contours, with the thinnest wall beside it: where a hole would be drilled. */
export interface AirRegion extends Region {
  wallMm: number;
  ventX: number;
  ventY: number;
}

/** Calls back with every two spans, one of each row, that overlap. */
export function eachSolidOverlap(
  a: SpanRows,
  rowA: number,
  b: SpanRows,
  rowB: number,
  found: (spanA: number, spanB: number) => void,
): void {
  let i = a.firstOf[rowA];
  let j = b.firstOf[rowB];
  const endA = a.firstOf[rowA + 1];
  const endB = b.firstOf[rowB + 1];
  while (i < endA && j < endB) {
    const right = a.right[i] < b.right[j] ? a.right[i] : b.right[j];
    const left = a.left[i] > b.left[j] ? a.left[i] : b.left[j];
    if (right - left > LEAST_OVERLAP_MM) found(i, j);
    if (a.right[i] < b.right[j]) i++;
    else j++;
  }
}

/**
 * The same for runs of air. Air i is left of span i; the first in a row and the one right of the last are outside,
 * which is −1. Two outside ones are not reported.
 */
export function eachAirOverlap(
  a: SpanRows,
  rowA: number,
  b: SpanRows,
  rowB: number,
  found: (airA: number, airB: number) => void,
): void {
  const firstA = a.firstOf[rowA];
  const firstB = b.firstOf[rowB];
  const endA = a.firstOf[rowA + 1];
  const endB = b.firstOf[rowB + 1];
  // Rows with one span or none have no air between.
  if (endA - firstA < 2 && endB - firstB < 2) return;
  let i = firstA;
  let j = firstB;
  while (i <= endA && j <= endB) {
    const leftA = i > firstA ? a.right[i - 1] : -Infinity;
    const leftB = j > firstB ? b.right[j - 1] : -Infinity;
    const rightA = i < endA ? a.left[i] : Infinity;
    const rightB = j < endB ? b.left[j] : Infinity;
    if (Math.min(rightA, rightB) - Math.max(leftA, leftB) > LEAST_OVERLAP_MM) {
      const airA = i > firstA && i < endA ? i : -1;
      const airB = j > firstB && j < endB ? j : -1;
      if (airA >= 0 || airB >= 0) found(airA, airB);
    }
    if (rightA < rightB) i++;
    else j++;
  }
}

/** The connected regions of solid and of enclosed air in one layer; arrays serve again for the next. */
export class LayerRegions {
  /** Region of each span, from 0. */
  solidOf = new Int32Array(1024);
  /** Region of the air left of each span, from 1; 0 is outside. */
  airOf = new Int32Array(1024);
  solids: Region[] = [];
  /** Index 0 stands for outside and holds nothing. */
  airs: AirRegion[] = [];
  private readonly joinedSolid = new DisjointSets(1024);
  private readonly joinedAir = new DisjointSets(1024);

  label(rows: SpanRows): void {
    const { count } = rows;
    if (count > this.solidOf.length) {
      this.solidOf = grown(this.solidOf, new Int32Array(2 * count));
      this.airOf = grown(this.airOf, new Int32Array(2 * count));
    }
    this.joinedSolid.reset(count);
    // Air i is item i + 1; item 0 is outside.
    this.joinedAir.reset(count + 1);
    const joinSolid = (a: number, b: number) => this.joinedSolid.join(a, b);
    const joinAir = (a: number, b: number) => this.joinedAir.join(a + 1, b + 1);
    const { firstOf, left, right } = rows;
    for (let row = rows.rowFrom + 1; row < rows.rowTo; row++) {
      const here = firstOf[row];
      if (firstOf[row + 1] - here === 1 && here - firstOf[row - 1] === 1) {
        // Most rows have one span, as their neighbours have.
        const end = right[here - 1] < right[here] ? right[here - 1] : right[here];
        const begin = left[here - 1] > left[here] ? left[here - 1] : left[here];
        if (end - begin > LEAST_OVERLAP_MM) this.joinedSolid.attach(here, here - 1);
        continue;
      }
      eachSolidOverlap(rows, row - 1, rows, row, joinSolid);
      eachAirOverlap(rows, row - 1, rows, row, joinAir);
    }
    this.openEdge(rows, rows.rowFrom);
    this.openEdge(rows, rows.rowTo - 1);
    this.measureSolids(rows);
    this.measureAirs(rows);
  }

  /** Beyond the first and the last row there is nothing to hold air. */
  private openEdge({ firstOf }: SpanRows, row: number): void {
    if (row < 0) return;
    for (let i = firstOf[row] + 1; i < firstOf[row + 1]; i++) this.joinedAir.join(0, i + 1);
  }

  private measureSolids({ grid, firstOf, left, right, rowFrom, rowTo }: SpanRows): void {
    this.solids = [];
    let region: Region = { areaMm2: 0, momentX: 0, momentY: 0 };
    let current = -1;
    // Spans that follow one another are mostly of one region: summed here, entered when another one comes.
    let [area, momentX, momentY] = [0, 0, 0];
    for (let row = rowFrom; row < rowTo; row++) {
      const middle = middleOfRow(grid, row);
      for (let i = firstOf[row]; i < firstOf[row + 1]; i++) {
        const root = this.joinedSolid.rootOf(i);
        // A root is the lowest of its set and so comes first.
        if (root === i) this.solidOf[i] = this.solids.push({ areaMm2: 0, momentX: 0, momentY: 0 }) - 1;
        else this.solidOf[i] = this.solidOf[root];
        if (this.solidOf[i] !== current) {
          addTo(region, area, momentX, momentY);
          current = this.solidOf[i];
          region = this.solids[current];
          area = momentX = momentY = 0;
        }
        const own = (right[i] - left[i]) * grid.pitchMm;
        area += own;
        momentX += (own * (left[i] + right[i])) / 2;
        momentY += own * middle;
      }
    }
    addTo(region, area, momentX, momentY);
  }

  private measureAirs(rows: SpanRows): void {
    this.airs = [{ areaMm2: 0, momentX: 0, momentY: 0, wallMm: Infinity, ventX: 0, ventY: 0 }];
    const regionOfRoot = new Map<number, number>([[0, OUTSIDE]]);
    for (let row = rows.rowFrom; row < rows.rowTo; row++) {
      const first = rows.firstOf[row];
      const end = rows.firstOf[row + 1];
      if (end > first) this.airOf[first] = OUTSIDE;
      for (let i = first + 1; i < end; i++) {
        const root = this.joinedAir.rootOf(i + 1);
        let region = regionOfRoot.get(root);
        if (region === undefined) {
          region = this.airs.length;
          regionOfRoot.set(root, region);
          this.airs.push({ areaMm2: 0, momentX: 0, momentY: 0, wallMm: Infinity, ventX: 0, ventY: 0 });
        }
        this.airOf[i] = region;
        if (region === OUTSIDE) continue;
        addStretch(this.airs[region], rows.grid, row, rows.right[i - 1], rows.left[i]);
        this.offerVent(rows, row, i - 1, region);
        this.offerVent(rows, row, i, region);
      }
    }
  }

  /** A span beside enclosed air is where a hole could go, the better the thinner it is. */
  private offerVent(rows: SpanRows, row: number, span: number, region: number): void {
    const air = this.airs[region];
    const wall = rows.right[span] - rows.left[span];
    if (wall >= air.wallMm) return;
    air.wallMm = wall;
    air.ventX = (rows.left[span] + rows.right[span]) / 2;
    air.ventY = middleOfRow(rows.grid, row);
  }
}

function addTo(region: Region, areaMm2: number, momentX: number, momentY: number): void {
  region.areaMm2 += areaMm2;
  region.momentX += momentX;
  region.momentY += momentY;
}

function addStretch(region: Region, grid: RowGrid, row: number, left: number, right: number): void {
  const area = (right - left) * grid.pitchMm;
  addTo(region, area, (area * (left + right)) / 2, area * middleOfRow(grid, row));
}
