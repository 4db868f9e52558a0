import type { Mesh } from './mesh';

/**
 * The sides of all facets, gathered by the lower of their two vertices: neighbours on an edge lie beside one another
 * without a search. Three passes over the facets; a hash table over the edges took five times as long.
 */
export interface EdgeBuckets {
  /** Sides whose lower vertex is v lie from `firstOf[v]` to before `firstOf[v + 1]`, ordered by their higher vertex. */
  readonly firstOf: Uint32Array;
  readonly high: Uint32Array;
  /** Twice the facet, plus one where it runs the side from the low to the high vertex. */
  readonly side: Uint32Array;
}

/** Gathers the sides of the facets that `skip` does not name. */
export function bucketEdges({ positions, facets }: Mesh, skip: (facet: number) => boolean): EdgeBuckets {
  const vertices = positions.length / 3;
  const firstOf = new Uint32Array(vertices + 1);
  const total = facets.length / 3;
  for (let facet = 0; facet < total; facet++) {
    if (skip(facet)) continue;
    const a = facets[3 * facet];
    const b = facets[3 * facet + 1];
    const c = facets[3 * facet + 2];
    firstOf[(a < b ? a : b) + 1]++;
    firstOf[(b < c ? b : c) + 1]++;
    firstOf[(c < a ? c : a) + 1]++;
  }
  for (let vertex = 0; vertex < vertices; vertex++) firstOf[vertex + 1] += firstOf[vertex];
  const high = new Uint32Array(firstOf[vertices]);
  const side = new Uint32Array(firstOf[vertices]);
  const next = firstOf.slice();
  const enter = (from: number, to: number, facet: number) => {
    const at = next[from < to ? from : to]++;
    high[at] = from < to ? to : from;
    side[at] = 2 * facet + (from < to ? 1 : 0);
  };
  for (let facet = 0; facet < total; facet++) {
    if (skip(facet)) continue;
    const a = facets[3 * facet];
    const b = facets[3 * facet + 1];
    const c = facets[3 * facet + 2];
    enter(a, b, facet);
    enter(b, c, facet);
    enter(c, a, facet);
  }
  for (let vertex = 0; vertex < vertices; vertex++)
    sortSides(high, side, firstOf[vertex], firstOf[vertex + 1]);
  return { firstOf, high, side };
}

/** A vertex has few sides, and these are put in order one by one; the tip of a fan has as many as the mesh has facets. */
const MANY_SIDES = 64;

/** Orders sides by their higher vertex; those of one edge stay in the order of their facets. */
function sortSides(high: Uint32Array, side: Uint32Array, from: number, to: number): void {
  if (to - from > MANY_SIDES) return sortManySides(high, side, from, to);
  for (let i = from + 1; i < to; i++) {
    const [upper, own] = [high[i], side[i]];
    let at = i;
    while (at > from && high[at - 1] > upper) {
      high[at] = high[at - 1];
      side[at] = side[at - 1];
      at--;
    }
    high[at] = upper;
    side[at] = own;
  }
}

/** The same by one key a side, vertex before facet: both together stay below 2^53. */
function sortManySides(high: Uint32Array, side: Uint32Array, from: number, to: number): void {
  let most = 0;
  for (let i = from; i < to; i++) if (side[i] > most) most = side[i];
  const keys = new Float64Array(to - from);
  for (let i = from; i < to; i++) keys[i - from] = high[i] * (most + 1) + side[i];
  keys.sort();
  for (let i = from; i < to; i++) {
    const key = keys[i - from];
    high[i] = Math.floor(key / (most + 1));
    side[i] = key - high[i] * (most + 1);
  }
}

/** Calls back once an edge with the range of its sides in the buckets. */
export function eachEdge(
  { firstOf, high }: EdgeBuckets,
  run: (low: number, from: number, to: number) => void,
): void {
  for (let vertex = 0; vertex + 1 < firstOf.length; vertex++) {
    const end = firstOf[vertex + 1];
    for (let from = firstOf[vertex]; from < end;) {
      let to = from + 1;
      while (to < end && high[to] === high[from]) to++;
      run(vertex, from, to);
      from = to;
    }
  }
}
