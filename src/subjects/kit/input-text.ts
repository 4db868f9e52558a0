type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** How many bytes tell what a text is written in. */
const LOOKED_AT = 4096;

/** UTF-16 without a mark has a zero in every other byte of Latin letters and digits. */
function byZeros(bytes: Uint8Array): Encoding | undefined {
  const zeros = [0, 0];
  const looked = Math.min(LOOKED_AT, bytes.length);
  for (let i = 0; i < looked; i++) if (bytes[i] === 0) zeros[i % 2]++;
  if (zeros[0] + zeros[1] < looked / 4) return undefined;
  return zeros[1] > zeros[0] ? 'utf-16le' : 'utf-16be';
}

function encodingOf(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const unmarked = byZeros(bytes);
  if (unmarked !== undefined) return unmarked;
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    // Not UTF-8: what spreadsheets write in western countries, of which Latin-1 is a part.
    return 'windows-1252';
  }
}

/** The text of a file in UTF-8, UTF-16 or Latin-1, a byte order mark taken off. */
export function decodeText(bytes: Uint8Array): string {
  return new TextDecoder(encodingOf(bytes)).decode(bytes);
}
