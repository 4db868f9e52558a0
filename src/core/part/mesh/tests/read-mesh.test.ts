import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { expectOk } from '@/core/kit';
import { box as boxMesh } from '@/testing/meshes';
import { checkMesh } from '../check';
import { readMesh } from '../read-mesh';
import { weldCorners } from '../weld';
import { write3mf } from '../write-3mf';
import { writeStl } from '../write-stl';

const text = (...lines: string[]) => strToU8(`${lines.join('\n')}\n`);
const CUBE_VERTICES = ['0 0 0', '2 0 0', '2 3 0', '0 3 0', '0 0 4', '2 0 4', '2 3 4', '0 3 4'];
/** Six quads of the 2 × 3 × 4 box, wound outwards, counted from zero. */
const CUBE_QUADS = [
  [0, 3, 2, 1],
  [4, 5, 6, 7],
  [0, 1, 5, 4],
  [1, 2, 6, 5],
  [2, 3, 7, 6],
  [3, 0, 4, 7],
];

function solidOf(bytes: Uint8Array, name = ''): ReturnType<typeof checkMesh> & { format: string } {
  const { corners, format } = expectOk(readMesh(bytes, name));
  return { ...checkMesh(weldCorners(corners)), format };
}

const THE_BOX = {
  watertight: true,
  facets: 12,
  volumeMm3: expect.closeTo(24, 9),
  shells: 1,
  invertedShells: 0,
};

describe('OBJ', () => {
  const vertices = CUBE_VERTICES.map((each) => `v ${each}`);
  test('polygons, texture and normal indices, comments, a continued line', () => {
    const faces = CUBE_QUADS.map((quad) => `f ${quad.map((i) => `${i + 1}/1/1`).join(' ')}`);
    const continued = faces[0].replace(' 4/', ' \\\n4/');
    const obj = text('# a box', 'o box', ...vertices, 'vn 0 0 1', continued, ...faces.slice(1));
    expect(solidOf(obj)).toMatchObject({ ...THE_BOX, format: 'obj' });
  });
  test.each([
    ['decimal commas', (n: string) => n.replace('.', ',')],
    ['a bare point at the end', (n: string) => n.replace('.0', '.')],
    ['a plus sign and exponents', (n: string) => `+${n}E+000`],
    ['an exponent after D', (n: string) => `${n}D+00`],
    ['a suffix', (n: string) => `${n}f`],
  ])('numbers with %s are read, as exporters write them', (_form, write) => {
    const written = CUBE_VERTICES.map(
      (each) =>
        `v ${each
          .split(' ')
          .map((number) => write(Number(number).toFixed(1)))
          .join(' ')} # corner`,
    );
    const faces = CUBE_QUADS.map((quad) => `f ${quad.map((i) => `+${i + 1}.0`).join(' ')}`);
    expect(solidOf(text(...written, ...faces), 'part.obj')).toMatchObject(THE_BOX);
  });
  test.each([
    ['UTF-16, low byte first', [0xff, 0xfe], 0],
    ['UTF-16, high byte first', [0xfe, 0xff], 1],
  ])('a text in %s is read', (_name, mark, ascii) => {
    const plain = text(...vertices, ...CUBE_QUADS.map((quad) => `f ${quad.map((i) => i + 1).join(' ')}`));
    const wide = new Uint8Array(2 + 2 * plain.length);
    wide.set(mark);
    plain.forEach((byte, i) => (wide[2 + 2 * i + ascii] = byte));
    expect(solidOf(wide, 'part.obj')).toMatchObject(THE_BOX);
  });
  test('a byte order mark is no part of the first word', () => {
    const plain = text(...vertices, ...CUBE_QUADS.map((quad) => `f ${quad.map((i) => i + 1).join(' ')}`));
    expect(solidOf(Uint8Array.from([0xef, 0xbb, 0xbf, ...plain]), 'part.obj')).toMatchObject(THE_BOX);
  });
  test('negative indices count back from the newest vertex', () => {
    const faces = CUBE_QUADS.map((quad) => `f ${quad.map((i) => i - 8).join(' ')}`);
    expect(solidOf(text(...vertices, ...faces))).toMatchObject(THE_BOX);
  });
  test('a polygon that is not convex keeps its area', () => {
    // An L of area 3: fanned from its first corner it would cover what it leaves out.
    const l = ['0 0 0', '2 0 0', '2 1 0', '1 1 0', '1 2 0', '0 2 0'].map((each) => `v ${each}`);
    const { corners } = expectOk(readMesh(text(...l, 'f 3 4 5 6 1 2')));
    expect(checkMesh(weldCorners(corners)).areaMm2).toBeCloseTo(3, 12);
    expect(corners.length / 9).toBe(4);
  });
  test.each([
    ['f 1 2 9', { code: 'indexOutOfRange', index: 8, vertices: 8 }],
    ['f 0 1 2', { code: 'indexOutOfRange', index: -1 }],
    ['f -9 1 2', { code: 'indexOutOfRange' }],
    ['f 1 2', { code: 'badFace', line: 9 }],
    ['f a b c', { code: 'badFace', line: 9, text: 'a b c' }],
    ['v 1 2', { code: 'badVertex', line: 9 }],
    ['v 1 nan 3', { code: 'badVertex', line: 9 }],
    ['v 1 1e999 3', { code: 'badVertex', line: 9 }],
    ['', { code: 'noFacets' }],
  ])('“%s” is refused by its place', (line, issue) => {
    expect(readMesh(text(...vertices, line), 'part.obj')).toMatchObject({ ok: false, issue });
  });
});

describe('PLY', () => {
  const header = (format: string, faces = 6) => [
    'ply',
    `format ${format} 1.0`,
    'comment a box',
    'element vertex 8',
    'property float x',
    'property float y',
    'property float z',
    'property uchar red',
    `element face ${faces}`,
    'property list uchar int vertex_indices',
    'end_header',
  ];
  const ascii = (faces = 6) =>
    text(
      ...header('ascii', faces),
      ...CUBE_VERTICES.map((v) => `${v} 255`),
      ...CUBE_QUADS.map((q) => `4 ${q.join(' ')}`),
    );

  function binary(littleEndian: boolean): Uint8Array {
    const head = text(...header(littleEndian ? 'binary_little_endian' : 'binary_big_endian'));
    const bytes = new Uint8Array(head.length + 8 * 13 + 6 * 17);
    bytes.set(head);
    const view = new DataView(bytes.buffer);
    let at = head.length;
    for (const vertex of CUBE_VERTICES) {
      for (const value of vertex.split(' ').map(Number)) {
        view.setFloat32(at, value, littleEndian);
        at += 4;
      }
      bytes[at++] = 255;
    }
    for (const quad of CUBE_QUADS) {
      bytes[at++] = 4;
      for (const index of quad) {
        view.setInt32(at, index, littleEndian);
        at += 4;
      }
    }
    return bytes;
  }

  test('text and both byte orders give the same solid', () => {
    expect(solidOf(ascii())).toMatchObject({ ...THE_BOX, format: 'ply-ascii' });
    expect(solidOf(binary(true))).toMatchObject({ ...THE_BOX, format: 'ply-little-endian' });
    expect(solidOf(binary(false))).toMatchObject({ ...THE_BOX, format: 'ply-big-endian' });
  });
  test('counts that the data do not hold are told, without waiting for memory', () => {
    expect(readMesh(ascii(4_000_000_000))).toMatchObject({
      issue: { code: 'cutShort', claimed: 4e9, whole: 6 },
    });
    expect(readMesh(binary(true).slice(0, -5))).toMatchObject({ issue: { code: 'cutShort', whole: 5 } });
  });
  test('a header that cannot be followed is refused at its line', () => {
    const broken = text('ply', 'format ascii 1.0', 'element vertex many', 'end_header');
    expect(readMesh(broken)).toMatchObject({ issue: { code: 'badHeader', line: 'element vertex many' } });
    expect(readMesh(text('ply', 'format ascii 1.0'))).toMatchObject({
      issue: { code: 'badHeader', line: 'end_header' },
    });
    expect(readMesh(text('solid'), 'x.ply')).toMatchObject({ issue: { code: 'badHeader' } });
  });
});

describe('3MF', () => {
  const MODEL = '3D/3dmodel.model';
  const RELS = (target = `/${MODEL}`) =>
    `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="${target}" Id="r" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>`;
  const box = (id: number) => {
    const vertices = CUBE_VERTICES.map((each) => {
      const [x, y, z] = each.split(' ');
      return `<vertex x="${x}" y="${y}" z="${z}"/>`;
    });
    const triangles = CUBE_QUADS.flatMap(([a, b, c, d]) => [
      `<triangle v1="${a}" v2="${b}" v3="${c}"/>`,
      `<triangle v1="${a}" v2="${c}" v3="${d}"/>`,
    ]);
    return `<object id="${id}" type="model"><mesh><vertices>${vertices.join('')}</vertices><triangles>${triangles.join('')}</triangles></mesh></object>`;
  };
  const model = (resources: string, build: string, unit = 'millimeter') =>
    `<?xml version="1.0"?><model unit="${unit}"><resources>${resources}</resources><build>${build}</build></model>`;
  const pack = (xml: string, target?: string) =>
    zipSync({ '_rels/.rels': strToU8(RELS(target)), [MODEL]: strToU8(xml) });

  test('what is written is read back', () => {
    const mesh = boxMesh(2, 3, 4);
    expect(solidOf(write3mf(mesh))).toMatchObject({ ...THE_BOX, format: '3mf' });
  });
  test('units, build transforms and components, a mirrored one turned right side out', () => {
    const inches = pack(model(box(1), '<item objectid="1"/>', 'inch'));
    expect(solidOf(inches).volumeMm3).toBeCloseTo(24 * 25.4 ** 3, 4);
    const twice =
      box(1) +
      '<object id="2"><components><component objectid="1"/><component objectid="1" transform="-1 0 0 0 1 0 0 0 1 -1 0 0"/></components></object>';
    const placed = solidOf(pack(model(twice, '<item objectid="2" transform="1 0 0 0 1 0 0 0 1 10 20 30"/>')));
    expect(placed).toMatchObject({ facets: 24, shells: 2, invertedShells: 0 });
    expect(placed.volumeMm3).toBeCloseTo(48, 9);
    expect(placed.bounds).toEqual({ min: [7, 20, 30], max: [12, 23, 34] });
  });
  test.each([
    [
      'an object within itself',
      model(
        '<object id="1"><components><component objectid="1"/></components></object>',
        '<item objectid="1"/>',
      ),
      'cyclicComponent',
    ],
    ['an object that is not there', model(box(1), '<item objectid="7"/>'), 'objectMissing'],
    ['nothing to build', model(box(1), ''), 'noFacets'],
    [
      'an index out of range',
      model(box(1).replace('v1="0"', 'v1="80"'), '<item objectid="1"/>'),
      'indexOutOfRange',
    ],
    [
      'has an invalid coordinate. Repair the mesh in your CAD program and export it again.',
      model(box(1).replace('x="2"', 'x="two"'), '<item objectid="1"/>'),
      'badAttribute',
    ],
    ['a unit nobody knows', model(box(1), '<item objectid="1"/>', 'ell'), 'unknownUnit'],
    ['XML that ends early', model(box(1), '<item objectid="1"/>').slice(0, -30), 'badXml'],
    [
      'entities',
      `<!DOCTYPE model [<!ENTITY a "aaaaaaaa"><!ENTITY b "&a;&a;">]>${model(box(1), '<item objectid="1"/>&b;').slice(21)}`,
      'entities',
    ],
  ])('%s is refused', (_, xml, code) => {
    expect(readMesh(pack(xml))).toMatchObject({ ok: false, issue: { code } });
  });
  test('components that double at each step are counted before they are placed', () => {
    const steps = Array.from(
      { length: 40 },
      (_, i) =>
        `<object id="${i + 2}"><components><component objectid="${i + 1}"/><component objectid="${i + 1}"/></components></object>`,
    );
    expect(readMesh(pack(model(box(1) + steps.join(''), '<item objectid="41"/>')))).toMatchObject({
      issue: { code: 'tooManyFacets' },
    });
  });
  test('paths out of the package, a package without model, a broken one', () => {
    expect(readMesh(pack(model(box(1), ''), '/../../etc/passwd'))).toMatchObject({
      issue: { code: 'pathOutside' },
    });
    expect(readMesh(pack(model(box(1), ''), '/3D/other.model'))).toMatchObject({
      issue: { code: 'noModel' },
    });
    expect(readMesh(pack(model(box(1), '')).slice(0, 60))).toMatchObject({ issue: { code: 'notPackage' } });
    expect(readMesh(strToU8('no package'), 'x.3mf')).toMatchObject({ issue: { code: 'notPackage' } });
  });
  test('a package that would grow beyond the limit is not unpacked', () => {
    const bomb = pack(model(box(1), ''));
    // The central directory states the size: 0x7fffffff bytes.
    const view = new DataView(bomb.buffer, bomb.byteOffset);
    for (let at = 0; at < bomb.length - 46; at++)
      if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 0x7fffffff, true);
    expect(readMesh(bomb)).toMatchObject({ issue: { code: 'packageTooLarge' } });
  });
});

test('the bytes decide, not the name', () => {
  expect(solidOf(writeStl(boxMesh(2, 3, 4)), 'part.stl')).toMatchObject({ facets: 12, format: 'stl-binary' });
  expect(readMesh(new Uint8Array(0), 'x.obj')).toMatchObject({ issue: { code: 'emptyFile' } });
  expect(readMesh(strToU8('hello'), 'x')).toMatchObject({ issue: { code: 'notStl' } });
});

describe('files that are made to do harm', () => {
  const bytesOfText = (text: string) => new TextEncoder().encode(text);
  const codeOf = (bytes: Uint8Array, name: string) => {
    const read = readMesh(bytes, name);
    return read.ok ? 'read' : read.issue.code;
  };

  test.each(['1e308', '-1e300', '1e9'])('a coordinate of %s is no part, whatever its unit', (far) => {
    const obj = `v 0 0 0\nv ${far} 0 0\nv 0 1 0\nf 1 2 3\n`;
    expect(codeOf(bytesOfText(obj), 'part.obj')).toBe('farOut');
    const stl = `solid x\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex ${far} 0 0\nvertex 0 1 0\nendloop\nendfacet\nendsolid x\n`;
    expect(['farOut', 'notFinite']).toContain(codeOf(bytesOfText(stl), 'part.stl'));
  });

  test('a face with more corners than any part has is refused before it is cut', () => {
    const corners = Array.from({ length: 20_001 }, (_, i) => `v ${i} ${(i * i) % 7} 0`).join('\n');
    const face = `f ${Array.from({ length: 20_001 }, (_, i) => i + 1).join(' ')}`;
    expect(codeOf(bytesOfText(`${corners}\n${face}\n`), 'part.obj')).toBe('manyCorners');
  });

  test.each(['part.obj', 'part.stl'])('a long text that is no part is not read to its end: %s', (name) => {
    const start = name === 'part.stl' ? 'solid ' : '';
    const late = 'v 0 0 0\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\n';
    const text = `${start}${'one two three four\n'.repeat(120_000)}${late}`;
    expect(codeOf(bytesOfText(text), name)).toBe('noFacets');
    expect(codeOf(bytesOfText(`${start}${'x'.repeat(3_000_000)}`), name)).toBe('noFacets');
  });
});
