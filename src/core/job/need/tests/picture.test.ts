import { describe, expect, test } from '@jest/globals';
import { jpegOf, pngOf, webpOf } from '@/testing/pictures';
import { readPicture } from '../picture';

test.each([
  ['png', pngOf()],
  ['png', pngOf(1, 1)],
  ['png', pngOf(300, 200)],
  ['jpg', jpegOf()],
  ['webp', webpOf()],
] as const)('a whole picture is told by its bytes: %s', (type, bytes) => {
  expect(readPicture(bytes)).toEqual({ ok: true, type });
});

describe('what is none', () => {
  test.each([
    ['nothing', new Uint8Array()],
    ['a text', new TextEncoder().encode('<svg onload="x">')],
    ['a PNG of no size', pngOf(0, 3)],
    [
      'a PNG with a head and 52 bytes of nothing',
      Uint8Array.from([...pngOf().slice(0, 8), ...new Uint8Array(52)]),
    ],
    ['a JPEG of zeros', Uint8Array.from([0xff, 0xd8, 0xff, ...new Uint8Array(60)])],
  ])('%s is told as no picture, or as one that is cut short', (_what, bytes) => {
    expect(readPicture(bytes).ok).toBe(false);
  });

  test('a PNG with fewer rows than its header says is cut short', () => {
    expect(readPicture(pngOf(4, 30, { rows: 10 }))).toEqual({ ok: false, code: 'cutShort' });
  });

  test.each([
    ['PNG', pngOf()],
    ['JPEG', jpegOf().slice(0, -2)],
    ['WebP', webpOf()],
  ])('a %s that ends anywhere before its end is not kept', (_type, bytes) => {
    for (let length = 0; length < bytes.length; length++)
      expect([length, readPicture(bytes.slice(0, length)).ok]).toEqual([length, false]);
  });
});
