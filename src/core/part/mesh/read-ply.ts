import { fail, ok, type Result } from '@/core/kit';
import { FacetList, type FacetIssue } from './facet-list';
import type { FacetSoup, MeshFormat } from './mesh';
import { readCoordinate } from './read-coordinate';
import type { Progress } from './read-stl';
import { WordReader } from './word-reader';

export type PlyIssue =
  | FacetIssue
  | { readonly code: 'badHeader'; readonly line: string }
  | { readonly code: 'cutShort'; readonly claimed: number; readonly whole: number }
  | { readonly code: 'badVertex'; readonly line: number }
  | { readonly code: 'notFinite'; readonly facet: number }
  | { readonly code: 'noFacets' };

type Scalar = 'int8' | 'uint8' | 'int16' | 'uint16' | 'int32' | 'uint32' | 'float32' | 'float64';

const SCALARS: Readonly<Record<string, Scalar>> = {
  char: 'int8',
  uchar: 'uint8',
  short: 'int16',
  ushort: 'uint16',
  int: 'int32',
  uint: 'uint32',
  float: 'float32',
  double: 'float64',
  int8: 'int8',
  uint8: 'uint8',
  int16: 'int16',
  uint16: 'uint16',
  int32: 'int32',
  uint32: 'uint32',
  float32: 'float32',
  float64: 'float64',
};
const BYTES: Readonly<Record<Scalar, number>> = {
  int8: 1,
  uint8: 1,
  int16: 2,
  uint16: 2,
  int32: 4,
  uint32: 4,
  float32: 4,
  float64: 8,
};

interface Property {
  readonly name: string;
  readonly scalar: Scalar;
  /** Scalar of the length when it is a list. */
  readonly count?: Scalar;
}

interface PlyElement {
  readonly name: string;
  readonly count: number;
  readonly properties: Property[];
}

interface Header {
  readonly format: MeshFormat;
  readonly elements: readonly PlyElement[];
  /** Byte at which the data begin. */
  readonly start: number;
}

const FORMATS: Readonly<Record<string, MeshFormat>> = {
  ascii: 'ply-ascii',
  binary_little_endian: 'ply-little-endian',
  binary_big_endian: 'ply-big-endian',
};
/** A header longer than this is none. */
const LONGEST_HEADER = 65_536;

function propertyOf(words: readonly string[]): Property | undefined {
  if (words[1] === 'list') {
    const [count, scalar, name] = [SCALARS[words[2]], SCALARS[words[3]], words[4]];
    return count === undefined || scalar === undefined || name === undefined
      ? undefined
      : { name, scalar, count };
  }
  const [scalar, name] = [SCALARS[words[1]], words[2]];
  return scalar === undefined || name === undefined ? undefined : { name, scalar };
}

function readHeader(bytes: Uint8Array): Result<Header, PlyIssue> {
  const text = new TextDecoder('latin1').decode(bytes.subarray(0, LONGEST_HEADER));
  const end = /end_header[ \t]*(\r\n|\n|\r)/.exec(text);
  if (end === null) return fail({ code: 'badHeader', line: 'end_header' });
  const elements: PlyElement[] = [];
  let format: MeshFormat | undefined;
  for (const line of text
    .slice(0, end.index)
    .split(/\r\n|\n|\r/)
    .slice(1)) {
    const words = line.trim().split(/\s+/);
    const bad = fail({ code: 'badHeader', line: line.slice(0, 60) } as const);
    if (words[0] === 'format') {
      format = FORMATS[words[1]];
      if (format === undefined) return bad;
    } else if (words[0] === 'element') {
      const count = Number(words[2]);
      if (!(Number.isSafeInteger(count) && count >= 0)) return bad;
      elements.push({ name: words[1], count, properties: [] });
    } else if (words[0] === 'property') {
      const property = propertyOf(words);
      const element = elements.at(-1);
      if (property === undefined || element === undefined) return bad;
      element.properties.push(property);
    } else if (!['comment', 'obj_info', ''].includes(words[0])) return bad;
  }
  if (format === undefined) return fail({ code: 'badHeader', line: 'format' });
  return ok({ format, elements, start: end.index + end[0].length });
}

/** Reads one value after another; undefined at the end of the data. */
type Source = (scalar: Scalar) => number | undefined;

function binarySource(bytes: Uint8Array, start: number, littleEndian: boolean): Source {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const readers: Readonly<Record<Scalar, (at: number) => number>> = {
    int8: (at) => view.getInt8(at),
    uint8: (at) => view.getUint8(at),
    int16: (at) => view.getInt16(at, littleEndian),
    uint16: (at) => view.getUint16(at, littleEndian),
    int32: (at) => view.getInt32(at, littleEndian),
    uint32: (at) => view.getUint32(at, littleEndian),
    float32: (at) => view.getFloat32(at, littleEndian),
    float64: (at) => view.getFloat64(at, littleEndian),
  };
  let at = start;
  return (scalar) => {
    if (at + BYTES[scalar] > bytes.length) return undefined;
    const value = readers[scalar](at);
    at += BYTES[scalar];
    return value;
  };
}

function textSource(bytes: Uint8Array, start: number): Source {
  const words = new WordReader(bytes, start);
  return () => {
    const word = words.next();
    return word === '' ? undefined : readCoordinate(word);
  };
}

/** A list longer than this is a lying count, not a polygon. */
const LONGEST_LIST = 100_000;

/** Values of one element by property, lists whole; undefined when the data end in it. */
function readRow(properties: readonly Property[], next: Source): Map<string, number | number[]> | undefined {
  const row = new Map<string, number | number[]>();
  for (const { name, scalar, count } of properties) {
    if (count === undefined) {
      const value = next(scalar);
      if (value === undefined) return undefined;
      row.set(name, value);
      continue;
    }
    const length = next(count);
    if (length === undefined || !(length >= 0 && length <= LONGEST_LIST)) return undefined;
    const list: number[] = [];
    for (let i = 0; i < length; i++) {
      const value = next(scalar);
      if (value === undefined) return undefined;
      list.push(value);
    }
    row.set(name, list);
  }
  return row;
}

const STEP = 65536;

/**
 * Reads a PLY, text or binary of either byte order, taken as millimetres: vertices with x, y, z, faces with a list of
 * indices; other elements and properties are passed over. Refuses a header it cannot follow and counts that the data do
 * not hold. Source: G. Turk, The PLY Polygon File Format (1994).
 */
export function readPly(bytes: Uint8Array, onProgress: Progress = () => {}): Result<FacetSoup, PlyIssue> {
  const header = readHeader(bytes);
  if (!header.ok) return header;
  const { format, elements, start } = header.value;
  const next =
    format === 'ply-ascii'
      ? textSource(bytes, start)
      : binarySource(bytes, start, format === 'ply-little-endian');
  const total = elements.reduce((sum, { count }) => sum + count, 0);
  const facets = new FacetList();
  let done = 0;
  for (const { name, count, properties } of elements) {
    if (properties.length === 0) continue;
    for (let i = 0; i < count; i++) {
      if (++done % STEP === 0) onProgress(done / total);
      const row = readRow(properties, next);
      if (row === undefined) return fail({ code: 'cutShort', claimed: count, whole: i });
      const issue =
        name === 'vertex' ? takeVertex(facets, row, i) : name === 'face' ? takeFace(facets, row) : undefined;
      if (issue !== undefined) return fail(issue);
    }
  }
  return facets.facets === 0 ? fail({ code: 'noFacets' }) : ok({ format, corners: facets.done() });
}

function takeVertex(
  facets: FacetList,
  row: ReadonlyMap<string, number | number[]>,
  i: number,
): PlyIssue | undefined {
  const [x, y, z] = ['x', 'y', 'z'].map((name) => row.get(name));
  if (typeof x !== 'number' || typeof y !== 'number' || typeof z !== 'number')
    return { code: 'badHeader', line: 'property x, y and z of vertex' };
  if (![x, y, z].every(Number.isFinite)) return { code: 'badVertex', line: i + 1 };
  facets.addVertex(x, y, z);
  return undefined;
}

function takeFace(facets: FacetList, row: ReadonlyMap<string, number | number[]>): PlyIssue | undefined {
  const list = row.get('vertex_indices') ?? row.get('vertex_index');
  if (!Array.isArray(list)) return { code: 'badHeader', line: 'property list vertex_indices of face' };
  const added = facets.addPolygon(list);
  return added.ok ? undefined : added.issue;
}
