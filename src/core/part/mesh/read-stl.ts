import { fail, ok, type Result } from '@/core/kit';
import type { FacetSoup } from './mesh';
import { readCoordinate } from './read-coordinate';
import { WordReader } from './word-reader';

export const LARGEST_FILE_BYTES = 300 * 1024 * 1024;

export type StlIssue =
  | { readonly code: 'emptyFile' }
  | { readonly code: 'tooLarge'; readonly bytes: number; readonly limitBytes: number }
  | { readonly code: 'notStl' }
  | { readonly code: 'cutShort'; readonly claimed: number; readonly whole: number }
  | { readonly code: 'noFacets' }
  | { readonly code: 'notFinite'; readonly facet: number }
  | { readonly code: 'badVertex'; readonly line: number }
  | { readonly code: 'looseCorners'; readonly corners: number };

/** A text that goes on for so many words without a facet is no STL: it need not be read to its end. */
const MOST_WITHOUT_FACET = 100_000;

/** Told the share read so far, 0 … 1. */
export type Progress = (share: number) => void;

const HEADER = 84;
const FACET = 50;
const STEP = 65536;

/**
 * Reads a binary or ASCII STL. Binary when the byte count fits its facet count, whatever the header says.
 * Refuses, with the place: an empty file, one cut short, one that is neither form, coordinates that are no numbers.
 */
export function readStl(bytes: Uint8Array, onProgress: Progress = () => {}): Result<FacetSoup, StlIssue> {
  if (bytes.length === 0) return fail({ code: 'emptyFile' });
  if (bytes.length > LARGEST_FILE_BYTES) {
    return fail({ code: 'tooLarge', bytes: bytes.length, limitBytes: LARGEST_FILE_BYTES });
  }
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const claimed = bytes.length >= HEADER ? view.getUint32(80, true) : 0;
  const fits = bytes.length >= HEADER && bytes.length === HEADER + FACET * claimed;
  if (!fits && looksLikeText(bytes))
    return startsWithSolid(bytes) ? readAscii(bytes, onProgress) : fail({ code: 'notStl' });
  if (bytes.length < HEADER) return fail({ code: 'notStl' });
  const whole = Math.floor((bytes.length - HEADER) / FACET);
  if (claimed > whole) return fail({ code: 'cutShort', claimed, whole });
  if (claimed === 0) return fail({ code: 'noFacets' });
  return readBinary(view, claimed, onProgress);
}

function startsWithSolid(bytes: Uint8Array): boolean {
  return /^\s*solid\b/i.test(new TextDecoder('latin1').decode(bytes.subarray(0, 64)).replace(/^ï»¿/, ''));
}

/** The first kilobyte holds nothing but printable characters and white space. */
function looksLikeText(bytes: Uint8Array): boolean {
  const head = bytes.subarray(0, 1024);
  return head.every((byte) => byte === 9 || byte === 10 || byte === 13 || byte >= 32);
}

function readBinary(view: DataView, count: number, onProgress: Progress): Result<FacetSoup, StlIssue> {
  const corners = new Float32Array(9 * count);
  for (let facet = 0; facet < count; facet++) {
    const from = HEADER + FACET * facet + 12;
    for (let i = 0; i < 9; i++) {
      const value = view.getFloat32(from + 4 * i, true);
      if (!Number.isFinite(value)) return fail({ code: 'notFinite', facet: facet + 1 });
      corners[9 * facet + i] = value;
    }
    if (facet % STEP === 0) onProgress(facet / count);
  }
  return ok({ format: 'stl-binary', corners });
}

/** A growing array of single-precision numbers. */
class FloatList {
  private values = new Float32Array(9 * 1024);
  length = 0;

  push(value: number): void {
    if (this.length === this.values.length) {
      const larger = new Float32Array(2 * this.values.length);
      larger.set(this.values);
      this.values = larger;
    }
    this.values[this.length++] = value;
  }

  done(): Float32Array {
    return this.values.slice(0, this.length);
  }
}

function readAscii(bytes: Uint8Array, onProgress: Progress): Result<FacetSoup, StlIssue> {
  const corners = new FloatList();
  const words = new WordReader(bytes);
  let facets = 0;
  let ended = false;
  let count = 0;
  for (let word = words.next(); word !== ''; word = words.next()) {
    if (++count > MOST_WITHOUT_FACET && facets === 0) break;
    ended = word === 'endsolid' || (ended && word !== 'facet');
    if (word === 'facet' && ++facets % STEP === 0) onProgress(words.share);
    if (word !== 'vertex') continue;
    const line = words.line;
    for (let i = 0; i < 3; i++) {
      const text = words.next();
      const value = Math.fround(readCoordinate(text));
      if (text === '' || Number.isNaN(value)) {
        return /nan|inf/i.test(text)
          ? fail({ code: 'notFinite', facet: facets })
          : fail({ code: 'badVertex', line });
      }
      if (!Number.isFinite(value)) return fail({ code: 'notFinite', facet: facets });
      corners.push(value);
    }
  }
  const cornerCount = corners.length / 3;
  if (facets === 0 || cornerCount === 0) return fail({ code: 'noFacets' });
  if (!ended) return fail({ code: 'cutShort', claimed: facets, whole: Math.floor(cornerCount / 3) });
  if (cornerCount !== 3 * facets) return fail({ code: 'looseCorners', corners: cornerCount });
  return ok({ format: 'stl-ascii', corners: corners.done() });
}
