import type { Mesh } from './mesh';

/** Contact is no crossing: an edge must pierce a face this far within, as a share of both. */
const WITHIN = 1e-7;
/** So many facets hang in one leaf of the tree. */
const LEAF = 8;

/** Boxes of facets in a binary tree, split at the middle of their longest side. */
interface Branch {
  readonly from: number;
  readonly to: number;
  readonly left?: Branch;
  readonly right?: Branch;
  readonly box: Float64Array;
}

/** Finds facets that cut through one another, by a tree of boxes held against itself. */
class CrossingFinder {
  private readonly boxes: Float64Array;
  private readonly order: Uint32Array;
  readonly pairs: (readonly [number, number])[] = [];

  constructor(private readonly mesh: Mesh) {
    const count = mesh.facets.length / 3;
    this.boxes = new Float64Array(6 * count);
    this.order = Uint32Array.from({ length: count }, (_, facet) => facet);
    for (let facet = 0; facet < count; facet++) this.measure(facet);
  }

  find(): void {
    if (this.order.length > 1) this.within(this.grow(0, this.order.length));
  }

  private measure(facet: number): void {
    const { positions, facets } = this.mesh;
    for (let axis = 0; axis < 3; axis++) {
      const [a, b, c] = [0, 1, 2].map((k) => positions[3 * facets[3 * facet + k] + axis]);
      this.boxes[6 * facet + axis] = Math.min(a, b, c);
      this.boxes[6 * facet + 3 + axis] = Math.max(a, b, c);
    }
  }

  private grow(from: number, to: number): Branch {
    const box = new Float64Array([Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity]);
    for (let i = from; i < to; i++)
      for (let axis = 0; axis < 3; axis++) {
        const at = 6 * this.order[i];
        if (this.boxes[at + axis] < box[axis]) box[axis] = this.boxes[at + axis];
        if (this.boxes[at + 3 + axis] > box[3 + axis]) box[3 + axis] = this.boxes[at + 3 + axis];
      }
    if (to - from <= LEAF) return { from, to, box };
    const sides = [0, 1, 2].map((axis) => box[3 + axis] - box[axis]);
    const axis = sides.indexOf(Math.max(...sides));
    const middleOf = (facet: number) => this.boxes[6 * facet + axis] + this.boxes[6 * facet + 3 + axis];
    this.order.subarray(from, to).sort((a, b) => middleOf(a) - middleOf(b));
    const middle = (from + to) >> 1;
    return { from, to, box, left: this.grow(from, middle), right: this.grow(middle, to) };
  }

  private within(branch: Branch): void {
    const { left, right, from, to } = branch;
    if (left === undefined || right === undefined) {
      for (let i = from; i < to; i++)
        for (let j = i + 1; j < to; j++) this.hold(this.order[i], this.order[j]);
      return;
    }
    this.within(left);
    this.within(right);
    this.between(left, right);
  }

  private between(a: Branch, b: Branch): void {
    for (let axis = 0; axis < 3; axis++)
      if (a.box[axis] > b.box[3 + axis] || b.box[axis] > a.box[3 + axis]) return;
    const splitA = a.left !== undefined && (b.left === undefined || a.to - a.from >= b.to - b.from);
    if (splitA) {
      this.between(a.left!, b);
      this.between(a.right!, b);
    } else if (b.left !== undefined) {
      this.between(a, b.left);
      this.between(a, b.right!);
    } else {
      for (let i = a.from; i < a.to; i++)
        for (let j = b.from; j < b.to; j++) this.hold(this.order[i], this.order[j]);
    }
  }

  private hold(a: number, b: number): void {
    const { boxes, mesh } = this;
    for (let axis = 0; axis < 3; axis++)
      if (boxes[6 * a + axis] > boxes[6 * b + 3 + axis] || boxes[6 * b + axis] > boxes[6 * a + 3 + axis])
        return;
    if (shareCorner(mesh, a, b)) return;
    if (pierces(mesh, a, b) || pierces(mesh, b, a)) this.pairs.push(a < b ? [a, b] : [b, a]);
  }
}

function shareCorner({ facets }: Mesh, a: number, b: number): boolean {
  for (let i = 0; i < 3; i++)
    for (let j = 0; j < 3; j++) if (facets[3 * a + i] === facets[3 * b + j]) return true;
  return false;
}

/** Does an edge of facet `a` go through the inside of facet `b`? T. Möller and B. Trumbore, J. Graphics Tools 2 (1997) 21. */
function pierces({ positions, facets }: Mesh, a: number, b: number): boolean {
  const corner = (facet: number, k: number) => 3 * facets[3 * facet + k];
  const [o, p, q] = [0, 1, 2].map((k) => corner(b, k));
  const e1 = [0, 1, 2].map((i) => positions[p + i] - positions[o + i]);
  const e2 = [0, 1, 2].map((i) => positions[q + i] - positions[o + i]);
  for (let k = 0; k < 3; k++) {
    const [from, to] = [corner(a, k), corner(a, (k + 1) % 3)];
    const along = [0, 1, 2].map((i) => positions[to + i] - positions[from + i]);
    const h = cross(along, e2);
    const determinant = dot(e1, h);
    if (determinant === 0) continue;
    const s = [0, 1, 2].map((i) => positions[from + i] - positions[o + i]);
    const u = dot(s, h) / determinant;
    const r = cross(s, e1);
    const v = dot(along, r) / determinant;
    const t = dot(e2, r) / determinant;
    if (u > WITHIN && v > WITHIN && u + v < 1 - WITHIN && t > WITHIN && t < 1 - WITHIN) return true;
  }
  return false;
}

function cross(a: readonly number[], b: readonly number[]): number[] {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

/** Beyond so many facets crossings are not looked for. */
export const MOST_CROSSING_FACETS = 500_000;

/**
 * Pairs of facets that cut through one another, the lower number first. Facets that share a corner, and faces that only
 * touch, do not count. Cost: about facets × log facets.
 */
export function findCrossings(mesh: Mesh): (readonly [number, number])[] {
  const finder = new CrossingFinder(mesh);
  finder.find();
  return finder.pairs;
}
