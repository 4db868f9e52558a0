import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { box, cornersOf } from '@/testing/meshes';
import { LARGEST_FILE_BYTES, readStl, weldCorners, writeStl } from '../index';

const BOX = box(10, 20, 5);
const bytesOf = (text: string) => new TextEncoder().encode(text);
const refused = (bytes: Uint8Array) => {
  const read = readStl(bytes);
  return read.ok ? 'taken' : read.issue.code;
};
const ASCII = `solid one
 facet normal 0 0 1
  outer loop
   vertex 0 0 0
   vertex 1 0 0
   vertex 0 1.5e0 0
  endloop
 endfacet
endsolid one
`;

describe('binary STL', () => {
  test('written and read back is the same part to single precision', () => {
    const read = readStl(writeStl(BOX));
    if (!read.ok) throw new Error(read.issue.code);
    expect(read.value.format).toBe('stl-binary');
    expect(read.value.corners).toEqual(cornersOf(BOX));
    expect(weldCorners(read.value.corners).positions.length / 3).toBe(8);
  });

  test('a header that begins with “solid” does not make it text', () => {
    const bytes = writeStl(BOX);
    bytes.set(bytesOf('solid exported by a modeller'));
    expect(readStl(bytes)).toMatchObject({ ok: true, value: { format: 'stl-binary' } });
  });

  test('cut short it says how many facets are whole', () => {
    const bytes = writeStl(BOX).slice(0, 84 + 50 * 5 + 20);
    expect(readStl(bytes)).toEqual({ ok: false, issue: { code: 'cutShort', claimed: 12, whole: 5 } });
  });

  test('a claim of 2³¹ facets is cut short, not memory', () => {
    const bytes = writeStl(BOX);
    new DataView(bytes.buffer).setUint32(80, 2 ** 31, true);
    expect(readStl(bytes)).toEqual({ ok: false, issue: { code: 'cutShort', claimed: 2 ** 31, whole: 12 } });
  });

  test.each([NaN, Infinity, -Infinity])('a coordinate of %d is refused with its facet', (value) => {
    const bytes = writeStl(BOX);
    new DataView(bytes.buffer).setFloat32(84 + 50 * 3 + 12, value, true);
    expect(readStl(bytes)).toEqual({ ok: false, issue: { code: 'notFinite', facet: 4 } });
  });

  test('no facet at all is refused', () => {
    expect(refused(writeStl({ positions: new Float64Array(0), facets: new Uint32Array(0) }))).toBe(
      'noFacets',
    );
  });

  test('progress rises and stays within one', () => {
    const shares: number[] = [];
    readStl(writeStl(BOX), (share) => shares.push(share));
    expect(shares.length).toBeGreaterThan(0);
    shares.forEach((share) => expect(share).toBeLessThanOrEqual(1));
  });
});

describe('text STL', () => {
  test('is read with exponents', () => {
    const read = readStl(bytesOf(ASCII));
    expect(read).toMatchObject({ ok: true, value: { format: 'stl-ascii' } });
    expect(read.ok && [...read.value.corners]).toEqual([0, 0, 0, 1, 0, 0, 0, 1.5, 0]);
  });

  test('without its end it was cut short', () => {
    expect(refused(bytesOf(ASCII.slice(0, ASCII.indexOf('endsolid'))))).toBe('cutShort');
  });

  test('a word where a number belongs is refused with its line', () => {
    expect(readStl(bytesOf(ASCII.replace('1 0 0', '1 x 0')))).toEqual({
      ok: false,
      issue: { code: 'badVertex', line: 5 },
    });
  });

  test('nan is named as a coordinate that is no number', () => {
    expect(refused(bytesOf(ASCII.replace('1 0 0', 'nan 0 0')))).toBe('notFinite');
  });

  test('a corner too many is refused', () => {
    expect(refused(bytesOf(ASCII.replace('  endloop', '   vertex 3 3 3\n  endloop')))).toBe('looseCorners');
  });

  test('a solid without facets is refused', () => {
    expect(refused(bytesOf('solid nothing\nendsolid nothing\n'))).toBe('noFacets');
  });
});

describe('what is no STL', () => {
  test('an empty file, a letter, and text of another kind are refused', () => {
    expect(refused(new Uint8Array(0))).toBe('emptyFile');
    expect(refused(bytesOf('x'))).toBe('notStl');
    expect(refused(bytesOf('feature,sense\nbore,inside\n'.repeat(20)))).toBe('notStl');
    expect(refused(Uint8Array.of(1, 2, 3, 0, 255))).toBe('notStl');
  });

  test('a file over the limit is refused before it is looked into', () => {
    const huge = { length: LARGEST_FILE_BYTES + 1 } as Uint8Array;
    expect(refused(huge)).toBe('tooLarge');
  });

  test('300 damaged files never crash and never give a coordinate that is no number', () => {
    const binary = writeStl(BOX);
    const text = bytesOf(ASCII);
    fc.assert(
      fc.property(
        fc.boolean(),
        fc.array(fc.tuple(fc.nat(2000), fc.nat(255)), { minLength: 1, maxLength: 12 }),
        fc.nat(2000),
        (isText, changes, length) => {
          const bytes = (isText ? text : binary).slice();
          for (const [at, value] of changes) bytes[at % bytes.length] = value;
          const read = readStl(bytes.subarray(0, Math.max(1, length % (bytes.length + 1))));
          if (read.ok) expect(read.value.corners.every(Number.isFinite)).toBe(true);
        },
      ),
      { seed: 8, numRuns: 300 },
    );
  });
});
