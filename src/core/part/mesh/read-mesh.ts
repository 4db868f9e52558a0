import { fail, type Result } from '@/core/kit';
import type { FacetSoup } from './mesh';
import { read3mf, type ThreeMfIssue } from './read-3mf';
import { readObj, type ObjIssue } from './read-obj';
import { readPly, type PlyIssue } from './read-ply';
import { LARGEST_FILE_BYTES, readStl, type Progress, type StlIssue } from './read-stl';

export type MeshIssue =
  | StlIssue
  | ObjIssue
  | PlyIssue
  | ThreeMfIssue
  | { readonly code: 'farOut'; readonly facet: number; readonly limitMm: number };

/** A hundred kilometres: a part of micrometres read as millimetres is far below, and squares of such lengths are still sound. */
const FARTHEST_MM = 1e8;

function startsWith(bytes: Uint8Array, text: string): boolean {
  return [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0));
}

/** A text in UTF-16, or with a byte order mark, as the plain bytes that all readers take; anything else as it is. */
function plainText(bytes: Uint8Array): Uint8Array {
  if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) return bytes.subarray(3);
  const isLittle = bytes[0] === 0xff && bytes[1] === 0xfe && bytes[3] === 0;
  const isBig = bytes[0] === 0xfe && bytes[1] === 0xff && bytes[2] === 0;
  if (!isLittle && !isBig) return bytes;
  return new TextEncoder().encode(new TextDecoder(isLittle ? 'utf-16le' : 'utf-16be').decode(bytes));
}

/** Does it look like the text of an OBJ: a first line of one of its words. */
function looksLikeObj(bytes: Uint8Array): boolean {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 4096));
  return /^(?:\s*#[^\n]*\n|\s*\n)*\s*(v|vn|vt|o|g|mtllib|usemtl|s)\s/.test(head);
}

/**
 * Reads a part from any of the four formats, told apart by what is in the file, the name only where that leaves it open.
 * Everything is read as millimetres but 3MF, which says its unit. Refuses coordinates that no unit would explain.
 */
export function readMesh(
  file: Uint8Array,
  name = '',
  onProgress: Progress = () => {},
): Result<FacetSoup, MeshIssue> {
  const soup = readSoup(file, name, onProgress);
  if (!soup.ok) return soup;
  const far = soup.value.corners.findIndex((value) => !(Math.abs(value) <= FARTHEST_MM));
  return far < 0 ? soup : fail({ code: 'farOut', facet: Math.floor(far / 9) + 1, limitMm: FARTHEST_MM });
}

function readSoup(file: Uint8Array, name: string, onProgress: Progress): Result<FacetSoup, MeshIssue> {
  if (file.length === 0) return fail({ code: 'emptyFile' });
  if (file.length > LARGEST_FILE_BYTES)
    return fail({ code: 'tooLarge', bytes: file.length, limitBytes: LARGEST_FILE_BYTES });
  const bytes = plainText(file);
  if (startsWith(bytes, 'PK')) return read3mf(bytes);
  if (/^ply\r?\n/.test(String.fromCharCode(...bytes.subarray(0, 5)))) return readPly(bytes, onProgress);
  if (/\.3mf$/i.test(name)) return fail({ code: 'notPackage' });
  if (/\.ply$/i.test(name)) return fail({ code: 'badHeader', line: 'ply' });
  if (/\.obj$/i.test(name) || looksLikeObj(bytes)) return readObj(bytes, onProgress);
  return readStl(bytes, onProgress);
}
