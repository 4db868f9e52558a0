import { strToU8 } from 'fflate';
import { write3mf, writeStl, type Mesh } from '@/core/part/mesh';
import type { SeededRandom } from '@/core/kit/numerics';
import { box } from './meshes';

const triples = (values: ArrayLike<number>) =>
  Array.from({ length: values.length / 3 }, (_, i) => [values[3 * i], values[3 * i + 1], values[3 * i + 2]]);

function objOf({ positions, facets }: Mesh): string {
  const vertices = triples(positions).map((point) => `v ${point.join(' ')}`);
  const faces = triples(facets).map((corners) => `f ${corners.map((index) => index + 1).join(' ')}`);
  return [...vertices, ...faces, ''].join('\n');
}

function plyHeader({ positions, facets }: Mesh, format: string): string {
  return [
    'ply',
    `format ${format} 1.0`,
    `element vertex ${positions.length / 3}`,
    ...['x', 'y', 'z'].map((name) => `property double ${name}`),
    `element face ${facets.length / 3}`,
    'property list uchar int vertex_indices',
    'end_header',
    '',
  ].join('\n');
}

function asciiPlyOf(mesh: Mesh): string {
  const vertices = triples(mesh.positions).map((point) => point.join(' '));
  const faces = triples(mesh.facets).map((corners) => `3 ${corners.join(' ')}`);
  return plyHeader(mesh, 'ascii') + [...vertices, ...faces, ''].join('\n');
}

function binaryPlyOf(mesh: Mesh, littleEndian: boolean): Uint8Array {
  const head = strToU8(plyHeader(mesh, littleEndian ? 'binary_little_endian' : 'binary_big_endian'));
  const { positions, facets } = mesh;
  const bytes = new Uint8Array(head.length + 8 * positions.length + (13 * facets.length) / 3);
  bytes.set(head);
  const view = new DataView(bytes.buffer);
  let at = head.length;
  for (const value of positions) {
    view.setFloat64(at, value, littleEndian);
    at += 8;
  }
  for (const corners of triples(facets)) {
    bytes[at++] = 3;
    for (const index of corners) {
      view.setInt32(at, index, littleEndian);
      at += 4;
    }
  }
  return bytes;
}

function asciiStlOf({ positions, facets }: Mesh): string {
  const corner = (index: number) =>
    `vertex ${[0, 1, 2].map((axis) => positions[3 * index + axis]).join(' ')}`;
  const all = triples(facets).map(
    (corners) => `facet normal 0 0 0\nouter loop\n${corners.map(corner).join('\n')}\nendloop\nendfacet`,
  );
  return `solid box\n${all.join('\n')}\nendsolid box\n`;
}

/** One box in each form of each format. */
export function boxFiles(): readonly (readonly [name: string, bytes: Uint8Array])[] {
  const mesh = box(2, 3, 4);
  return [
    ['box.stl', writeStl(mesh)],
    ['text.stl', strToU8(asciiStlOf(mesh))],
    ['box.obj', strToU8(objOf(mesh))],
    ['text.ply', strToU8(asciiPlyOf(mesh))],
    ['little.ply', binaryPlyOf(mesh, true)],
    ['big.ply', binaryPlyOf(mesh, false)],
    ['box.3mf', write3mf(mesh)],
  ];
}

const STRANGE = ['NaN', 'inf', '-1', '99999999999', '1e308', '', '<', '&x;', '..', '0x10', '\u0000'];

/** A file as accident or malice may leave it: bytes flipped, cut out, doubled, cut short, or a strange word put in. */
export function mutate(bytes: Uint8Array, random: SeededRandom): Uint8Array {
  const pick = (below: number) => Math.floor(random.uniform() * below);
  let result = Uint8Array.from(bytes);
  const changes = 1 + pick(4);
  for (let i = 0; i < changes && result.length > 0; i++) {
    const at = pick(result.length);
    const to = Math.min(result.length, at + 1 + pick(40));
    const [before, within, after] = [result.slice(0, at), result.slice(at, to), result.slice(to)];
    const kind = pick(6);
    if (kind === 0) result[at] ^= 1 << pick(8);
    else if (kind === 1) result[at] = pick(256);
    else if (kind === 2) result = Uint8Array.from([...before, ...after]);
    else if (kind === 3) result = Uint8Array.from([...before, ...within, ...within, ...after]);
    else if (kind === 4) result = before;
    else result = Uint8Array.from([...before, ...strToU8(STRANGE[pick(STRANGE.length)]), ...after]);
  }
  return result;
}
