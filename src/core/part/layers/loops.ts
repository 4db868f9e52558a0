import type { Cuts } from './cutter';

/** Which closed line of the layer the piece on each facet belongs to. Ends of neighbours are equal to the last bit. */
export function loopsOfFacets({ ends, facetOf, count }: Cuts): Map<number, number> {
  const pieceFrom = new Map<string, number>();
  for (let piece = 0; piece < count; piece++)
    pieceFrom.set(`${ends[4 * piece]},${ends[4 * piece + 1]}`, piece);
  const loops = new Map<number, number>();
  for (let first = 0; first < count; first++) {
    for (let at: number | undefined = first; at !== undefined && !loops.has(facetOf[at]);) {
      loops.set(facetOf[at], first);
      at = pieceFrom.get(`${ends[4 * at + 2]},${ends[4 * at + 3]}`);
    }
  }
  return loops;
}
