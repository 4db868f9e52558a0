import { zlibSync } from 'fflate';

const text = (word: string) => [...word].map((letter) => letter.charCodeAt(0));
const word32 = (value: number) => [value >>> 24, (value >>> 16) & 255, (value >>> 8) & 255, value & 255];

/** A chunk of a PNG; readers of pictures here do not ask for its check sum. */
const chunk = (name: string, data: readonly number[]) => [
  ...word32(data.length),
  ...text(name),
  ...data,
  0,
  0,
  0,
  0,
];

interface PngOptions {
  /** Fewer rows than its head says: a picture that is cut short. */
  readonly rows?: number;
  /** Of each pixel, 0 to 255. Pixels are not packed, so that a picture has about a byte for each. */
  readonly grey?: number;
}

/** A grey PNG of so many pixels. */
export function pngOf(width = 4, height = 3, { rows = height, grey = 0 }: PngOptions = {}): Uint8Array {
  const pixels = zlibSync(new Uint8Array(rows * (1 + width)).fill(grey), { level: 0 });
  return Uint8Array.from([
    ...[0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
    ...chunk('IHDR', [...word32(width), ...word32(height), 8, 0, 0, 0, 0]),
    ...chunk('IDAT', [...pixels]),
    ...chunk('IEND', []),
  ]);
}

/** The segments of a JPEG of so many pixels, with a scan that holds nothing. */
export function jpegOf(width = 4, height = 3): Uint8Array {
  return Uint8Array.from([
    ...[0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0],
    ...[0xff, 0xc0, 0, 11, 8, 0, height, 0, width, 1, 1, 0x11, 0],
    ...[0xff, 0xda, 0, 8, 1, 1, 0, 0, 63, 0],
    ...[1, 2, 3, 0xff, 0xd9, 9, 9],
  ]);
}

/** A WebP by its frame of chunks. */
export function webpOf(): Uint8Array {
  const data = [...text('WEBPVP8 '), 10, 0, 0, 0, ...new Array<number>(10).fill(0)];
  return Uint8Array.from([...text('RIFF'), data.length, 0, 0, 0, ...data]);
}
