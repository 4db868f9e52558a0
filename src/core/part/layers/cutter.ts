import type { Mesh } from '@/core/part/mesh';
import { middleOfLayer, planeFinder, type LayerPlan } from './layer-plan';

/** The straight pieces that one plane cuts out of a mesh. The arrays are the cutter's own: valid until the next layer. */
export interface Cuts {
  count: number;
  /** x0, y0, x1, y1 a piece, mm, the solid on its left. */
  ends: Float64Array;
  facetOf: Int32Array;
}

function hasThreeCorners(facets: Uint32Array, facet: number): boolean {
  const a = facets[3 * facet];
  const b = facets[3 * facet + 1];
  const c = facets[3 * facet + 2];
  return a !== b && b !== c && a !== c;
}

/** So many pieces are cut at a time, unless one layer has more. */
const PIECES_AT_ONCE = 400_000;

/**
 * Cuts a mesh layer by layer, upwards, a band of layers at a time. How many pieces each layer has follows from the first
 * and last plane of every facet, so a band is filled facet by facet, each piece straight into its layer's place: the cost
 * is facets plus pieces, without a search, and memory that of one band.
 */
export class LayerCutter {
  private readonly firstOf: Int32Array;
  private readonly lastOf: Int32Array;
  /** Facets in order of their first plane; those of plane k lie between two neighbouring starts. */
  private readonly order: Uint32Array;
  private readonly starts: Uint32Array;
  private readonly piecesOf: Int32Array;
  /** Facets that were begun in an earlier band. */
  private crossing: Uint32Array = new Uint32Array(0);
  private next = 0;
  private band = { from: 0, to: 0 };
  /** Where the pieces of each layer of the band begin. */
  private offsets = new Uint32Array(1);
  private ends = new Float64Array(0);
  private facetOf = new Int32Array(0);

  constructor(
    private readonly mesh: Mesh,
    private readonly plan: LayerPlan,
  ) {
    const { positions, facets } = mesh;
    const total = facets.length / 3;
    const planeFrom = planeFinder(plan);
    this.firstOf = new Int32Array(total);
    this.lastOf = new Int32Array(total);
    this.starts = new Uint32Array(plan.count + 2);
    this.piecesOf = new Int32Array(plan.count + 1);
    for (let facet = 0; facet < total; facet++) {
      const za = positions[3 * facets[3 * facet] + 2];
      const zb = positions[3 * facets[3 * facet + 1] + 2];
      const zc = positions[3 * facets[3 * facet + 2] + 2];
      const last = planeFrom(Math.max(za, zb, zc));
      // A facet with two corners in one is a line: nothing is cut of it.
      const first = hasThreeCorners(facets, facet) ? Math.min(last, planeFrom(Math.min(za, zb, zc))) : last;
      this.firstOf[facet] = first;
      this.lastOf[facet] = last;
      this.starts[first + 1]++;
      this.piecesOf[first]++;
      this.piecesOf[last]--;
    }
    for (let layer = 0; layer <= plan.count; layer++) this.starts[layer + 1] += this.starts[layer];
    for (let layer = 1; layer <= plan.count; layer++) this.piecesOf[layer] += this.piecesOf[layer - 1];
    this.order = new Uint32Array(total);
    const at = this.starts.slice();
    for (let facet = 0; facet < total; facet++) this.order[at[this.firstOf[facet]]++] = facet;
  }

  /** The pieces of the next layer. Throws RangeError beyond the last. */
  cutNext(): Cuts {
    const layer = this.next++;
    if (layer >= this.plan.count) throw new RangeError('LayerCutter: no layer is left');
    if (layer >= this.band.to) this.cutBand(layer);
    const [begin, end] = [this.offsets[layer - this.band.from], this.offsets[layer - this.band.from + 1]];
    return {
      count: end - begin,
      ends: this.ends.subarray(4 * begin, 4 * end),
      facetOf: this.facetOf.subarray(begin, end),
    };
  }

  private cutBand(from: number): void {
    let to = from;
    let pieces = 0;
    const offsets = [0];
    while (to < this.plan.count && (to === from || pieces + this.piecesOf[to] <= PIECES_AT_ONCE)) {
      pieces += this.piecesOf[to++];
      offsets.push(pieces);
    }
    this.band = { from, to };
    this.offsets = Uint32Array.from(offsets);
    if (pieces > this.facetOf.length) {
      this.ends = new Float64Array(4 * pieces);
      this.facetOf = new Int32Array(pieces);
    }
    const cursor = this.offsets.slice();
    const begun = this.order.subarray(this.starts[from], this.starts[to]);
    const going: number[] = [];
    for (const facets of [this.crossing, begun]) {
      for (let i = 0; i < facets.length; i++) {
        this.cutFacet(facets[i], cursor);
        if (this.lastOf[facets[i]] > to) going.push(facets[i]);
      }
    }
    this.crossing = Uint32Array.from(going);
  }

  /** Puts the pieces of one facet into their layers of the band. */
  private cutFacet(facet: number, cursor: Uint32Array): void {
    const { positions, facets } = this.mesh;
    const { from, to } = this.band;
    const a = 3 * facets[3 * facet];
    const b = 3 * facets[3 * facet + 1];
    const c = 3 * facets[3 * facet + 2];
    const [za, zb, zc] = [positions[a + 2], positions[b + 2], positions[c + 2]];
    const last = Math.min(to, this.lastOf[facet]);
    for (let layer = Math.max(from, this.firstOf[facet]); layer < last; layer++) {
      const z = middleOfLayer(this.plan, layer);
      // A corner in the plane lies below it, as the first and last planes of a facet count it.
      const aUp = za > z;
      const bUp = zb > z;
      const cUp = zc > z;
      // Going round, one edge falls through the plane and one rises: the contour runs from the one to the other.
      const fall = aUp && !bUp ? a : bUp && !cUp ? b : c;
      const rise = !aUp && bUp ? a : !bUp && cUp ? b : c;
      const fallTo = fall === a ? b : fall === b ? c : a;
      const riseTo = rise === a ? b : rise === b ? c : a;
      const piece = cursor[layer - from]++;
      this.facetOf[piece] = facet;
      // Each edge is cut from its lower vertex index, so that both its facets get the same point to the last bit.
      this.crossEdge(fall < fallTo ? fall : fallTo, fall < fallTo ? fallTo : fall, z, 4 * piece);
      this.crossEdge(rise < riseTo ? rise : riseTo, rise < riseTo ? riseTo : rise, z, 4 * piece + 2);
    }
  }

  private crossEdge(from: number, to: number, z: number, at: number): void {
    const { positions } = this.mesh;
    const share = (z - positions[from + 2]) / (positions[to + 2] - positions[from + 2]);
    this.ends[at] = positions[from] + share * (positions[to] - positions[from]);
    this.ends[at + 1] = positions[from + 1] + share * (positions[to + 1] - positions[from + 1]);
  }
}
