import { Unzlib } from 'fflate';

/** Kinds of picture that are kept. */
export type PictureType = 'jpg' | 'png' | 'webp';

/** A picture's kind by its bytes, and whether all of it is there. */
export type PictureFound =
  | { readonly ok: true; readonly type: PictureType }
  | { readonly ok: false; readonly code: 'notAPicture' | 'cutShort' };

const fail = (code: 'notAPicture' | 'cutShort'): PictureFound => ({ ok: false, code });
const found = (type: PictureType): PictureFound => ({ ok: true, type });

const textAt = (bytes: Uint8Array, at: number, length: number) =>
  String.fromCharCode(...bytes.subarray(at, at + length));

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/** Larger than any camera's, pixels along a side. */
const MOST_PIXELS = 65_535;
const PNG_HEAD = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
/** Values of a pixel by the colour type of a PNG. */
const PNG_VALUES: Readonly<Record<number, number>> = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 };

/** Bytes that the rows of a PNG take unpacked; undefined where its header is none. Interlaced ones take at least as many. */
function pngRows(bytes: Uint8Array): number | undefined {
  const view = viewOf(bytes);
  if (textAt(bytes, 12, 4) !== 'IHDR') return undefined;
  const [width, height] = [view.getUint32(16), view.getUint32(20)];
  const values = PNG_VALUES[bytes[25]];
  const isSane = [width, height].every((side) => side > 0 && side <= MOST_PIXELS);
  if (!isSane || values === undefined || ![1, 2, 4, 8, 16].includes(bytes[24])) return undefined;
  return height * (1 + Math.ceil((width * values * bytes[24]) / 8));
}

/** The packed pixels of a PNG, chunk by chunk; undefined where it ends before its end. */
function pngPixels(bytes: Uint8Array): Uint8Array[] | undefined {
  const view = viewOf(bytes);
  const pixels: Uint8Array[] = [];
  for (let at = PNG_HEAD.length; at + 12 <= bytes.length;) {
    const [length, name] = [view.getUint32(at), textAt(bytes, at + 4, 4)];
    if (at + 12 + length > bytes.length) return undefined;
    if (name === 'IEND') return pixels;
    if (name === 'IDAT') pixels.push(bytes.subarray(at + 8, at + 8 + length));
    at += 12 + length;
  }
  return undefined;
}

/**
 * Returns whether a PNG is complete, with as many pixels as its header says. They are counted while unpacking, and not
 * stored.
 */
function readPng(bytes: Uint8Array): PictureFound {
  if (bytes.length < 33) return fail('cutShort');
  const rows = pngRows(bytes);
  if (rows === undefined) return fail('notAPicture');
  const pixels = pngPixels(bytes);
  if (pixels === undefined) return fail('cutShort');
  let unpacked = 0;
  const unzlib = new Unzlib((chunk) => (unpacked += chunk.length));
  try {
    pixels.forEach((part, i) => unzlib.push(part, i === pixels.length - 1));
  } catch {
    return fail('notAPicture');
  }
  return unpacked >= rows ? found('png') : fail('cutShort');
}

/** Walks the segments of a JPEG: a frame with a size, a scan, and the mark of its end behind it. */
function readJpeg(bytes: Uint8Array): PictureFound {
  const view = viewOf(bytes);
  let hasFrame = false;
  for (let at = 2; at + 4 <= bytes.length;) {
    if (bytes[at] !== 0xff) return fail('notAPicture');
    const kind = bytes[at + 1];
    if (kind === 0xff) {
      at++;
      continue;
    }
    // Frames of all kinds but the tables between them.
    const isFrame = kind >= 0xc0 && kind <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(kind);
    if (isFrame && at + 9 <= bytes.length)
      hasFrame = view.getUint16(at + 5) > 0 && view.getUint16(at + 7) > 0;
    if (kind === 0xda) return hasFrame && hasEnd(bytes, at) ? found('jpg') : fail('cutShort');
    at += 2 + view.getUint16(at + 2);
  }
  return fail('cutShort');
}

/** Whether the mark of a JPEG's end stands somewhere behind a place; phones put more behind it. */
function hasEnd(bytes: Uint8Array, from: number): boolean {
  for (let at = bytes.length - 2; at > from; at--)
    if (bytes[at] === 0xff && bytes[at + 1] === 0xd9) return true;
  return false;
}

/** A WebP says how long it is, and which of its three kinds of data it holds. */
function readWebp(bytes: Uint8Array): PictureFound {
  if (bytes.length < 30) return fail('cutShort');
  const length = viewOf(bytes).getUint32(4, true);
  if (!['VP8 ', 'VP8L', 'VP8X'].includes(textAt(bytes, 12, 4))) return fail('notAPicture');
  return bytes.length >= 8 + length ? found('webp') : fail('cutShort');
}

/**
 * Returns the kind of a picture from its bytes alone: a name or a browser is not trusted. A truncated one is reported
 * as truncated. Sources: ISO/IEC 15948 (PNG), ITU-T T.81 (JPEG), RFC 9649 (WebP).
 */
export function readPicture(bytes: Uint8Array): PictureFound {
  if (PNG_HEAD.every((byte, i) => bytes[i] === byte)) return readPng(bytes);
  if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return readJpeg(bytes);
  return textAt(bytes, 0, 4) === 'RIFF' && textAt(bytes, 8, 4) === 'WEBP'
    ? readWebp(bytes)
    : fail('notAPicture');
}
