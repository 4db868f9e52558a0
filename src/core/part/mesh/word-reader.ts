const SPACE = 32;
/** Only the start of a longer word is read: it is neither a number nor a known name. */
const LONGEST_WORD = 1000;
/** The same of a line: a face with as many corners as are taken needs less. */
const LONGEST_LINE = 1_000_000;
/** Shorter runs of bytes are put together faster letter by letter. */
const SHORT = 24;
let decoder: TextDecoder | undefined;

function latin(bytes: Uint8Array, from: number, to: number): string {
  if (to - from > SHORT) return (decoder ??= new TextDecoder('latin1')).decode(bytes.subarray(from, to));
  let text = '';
  for (let i = from; i < to; i++) text += String.fromCharCode(bytes[i]);
  return text;
}

/** Cursor over the bytes of a text: words parted by white space, with the line it stands in. */
export class WordReader {
  private at: number;
  line = 1;

  constructor(
    private readonly bytes: Uint8Array,
    start = 0,
  ) {
    this.at = start;
  }

  get share(): number {
    return this.at / this.bytes.length;
  }

  /** The next word, or '' at the end. */
  next(): string {
    const { bytes } = this;
    while (this.at < bytes.length && bytes[this.at] <= SPACE) {
      if (bytes[this.at] === 10) this.line++;
      this.at++;
    }
    const from = this.at;
    while (this.at < bytes.length && bytes[this.at] > SPACE) this.at++;
    return latin(bytes, from, Math.min(this.at, from + LONGEST_WORD));
  }

  /** Words to the end of the line, a line ending in a backslash going on in the next; undefined at the end. */
  nextLine(): string[] | undefined {
    const { bytes } = this;
    if (this.at >= bytes.length) return undefined;
    let text = '';
    for (;;) {
      const end = this.endOfLine();
      let part = latin(bytes, this.at, Math.min(end, this.at + LONGEST_LINE));
      this.at = end + 1;
      this.line++;
      if (part.endsWith('\r')) part = part.slice(0, -1);
      if (!part.endsWith('\\') || this.at >= bytes.length || text.length > LONGEST_LINE) {
        text += part;
        break;
      }
      text += `${part.slice(0, -1)} `;
    }
    return text.split(/\s+/).filter((word) => word !== '');
  }

  private endOfLine(): number {
    const end = this.bytes.indexOf(10, this.at);
    return end < 0 ? this.bytes.length : end;
  }
}
