import { fail, type Result } from '@/core/result';
import type { FacetSoup } from './mesh';
import { read3mf, type ThreeMfIssue } from './read-3mf';
import { readObj, type ObjIssue } from './read-obj';
import { readPly, type PlyIssue } from './read-ply';
import { LARGEST_FILE_BYTES, readStl, type Progress, type StlIssue } from './read-stl';

export type MeshIssue = StlIssue | ObjIssue | PlyIssue | ThreeMfIssue;

function startsWith(bytes: Uint8Array, text: string): boolean {
  return [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0));
}

/** Does it look like the text of an OBJ: a first line of one of its words. */
function looksLikeObj(bytes: Uint8Array): boolean {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 4096));
  return /^(?:\s*#[^\n]*\n|\s*\n)*\s*(v|vn|vt|o|g|mtllib|usemtl|s)\s/.test(head);
}

/**
 * Reads a part from any of the four formats, told apart by what is in the file, the name only where that leaves it open.
 * Everything is read as millimetres but 3MF, which says its unit.
 */
export function readMesh(
  bytes: Uint8Array,
  name = '',
  onProgress: Progress = () => {},
): Result<FacetSoup, MeshIssue> {
  if (bytes.length === 0) return fail({ code: 'emptyFile' });
  if (bytes.length > LARGEST_FILE_BYTES)
    return fail({ code: 'tooLarge', bytes: bytes.length, limitBytes: LARGEST_FILE_BYTES });
  if (startsWith(bytes, 'PK')) return read3mf(bytes);
  if (/^ply\r?\n/.test(String.fromCharCode(...bytes.subarray(0, 5)))) return readPly(bytes, onProgress);
  if (/\.3mf$/i.test(name)) return fail({ code: 'notPackage' });
  if (/\.ply$/i.test(name)) return fail({ code: 'badHeader', line: 'ply' });
  if (/\.obj$/i.test(name) || looksLikeObj(bytes)) return readObj(bytes, onProgress);
  return readStl(bytes, onProgress);
}
