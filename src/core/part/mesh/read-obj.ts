import { fail, ok, type Result } from '@/core/kit';
import { FacetList, type FacetIssue } from './facet-list';
import type { FacetSoup } from './mesh';
import { readCoordinate } from './read-coordinate';
import type { Progress } from './read-stl';
import { WordReader } from './word-reader';

export type ObjIssue =
  | FacetIssue
  | { readonly code: 'badVertex'; readonly line: number }
  | { readonly code: 'badFace'; readonly line: number; readonly text: string }
  | { readonly code: 'notFinite'; readonly facet: number }
  | { readonly code: 'noFacets' };

const STEP = 65536;
/** A text that goes on so long without a vertex is no OBJ: it need not be read to its end. */
const MOST_WITHOUT_VERTEX = 100_000;

/** Index of a corner such as `7/2/3`; negative ones count back from the newest vertex. */
function indexOf(word: string, vertices: number): number {
  const text = word.split('/')[0];
  if (!/^[+-]?\d+(\.0*)?$/.test(text)) return NaN;
  const index = Number(text);
  return index < 0 ? vertices + index : index - 1;
}

/** A remark may stand behind the numbers of a line. */
function withoutComment(words: string[]): string[] {
  const from = words.findIndex((word) => word.startsWith('#'));
  return from < 0 ? words : words.slice(0, from);
}

/**
 * Reads the vertices and polygons of a Wavefront OBJ, taken as millimetres; everything else of it is passed over.
 * Refuses indices out of range (0 too), coordinates that are no numbers, a face that is no list of indices.
 */
export function readObj(bytes: Uint8Array, onProgress: Progress = () => {}): Result<FacetSoup, ObjIssue> {
  const facets = new FacetList();
  const lines = new WordReader(bytes);
  let count = 0;
  for (;;) {
    const { line } = lines;
    const whole = lines.nextLine();
    if (whole === undefined) break;
    const words = withoutComment(whole);
    if (++count % STEP === 0) onProgress(lines.share);
    if (count > MOST_WITHOUT_VERTEX && facets.vertices === 0) break;
    if (words[0] === 'v') {
      const [x, y, z] = words.slice(1, 4).map(readCoordinate);
      if (words.length < 4 || [x, y, z].some(Number.isNaN)) return fail({ code: 'badVertex', line });
      if (![x, y, z].every(Number.isFinite)) return fail({ code: 'badVertex', line });
      facets.addVertex(x, y, z);
    } else if (words[0] === 'f') {
      const indices = words.slice(1).map((word) => indexOf(word, facets.vertices));
      if (indices.length < 3 || indices.some(Number.isNaN))
        return fail({ code: 'badFace', line, text: words.slice(1).join(' ').slice(0, 40) });
      const added = facets.addPolygon(indices);
      if (!added.ok) return added;
    }
  }
  return facets.facets === 0 ? fail({ code: 'noFacets' }) : ok({ format: 'obj', corners: facets.done() });
}
