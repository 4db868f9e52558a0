const SPACE = 32;

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
    let word = '';
    while (this.at < bytes.length && bytes[this.at] > SPACE) word += String.fromCharCode(bytes[this.at++]);
    return word;
  }

  /** Words to the end of the line, a line ending in a backslash going on in the next; undefined at the end. */
  nextLine(): string[] | undefined {
    const { bytes } = this;
    if (this.at >= bytes.length) return undefined;
    let end = this.at;
    let text = '';
    for (;;) {
      while (end < bytes.length && bytes[end] !== 10) end++;
      let part = '';
      for (let i = this.at; i < end; i++) part += String.fromCharCode(bytes[i]);
      this.at = end + 1;
      this.line++;
      part = part.replace(/\r$/, '');
      if (!part.endsWith('\\') || this.at >= bytes.length) {
        text += part;
        break;
      }
      text += `${part.slice(0, -1)} `;
      end = this.at;
    }
    return text.split(/\s+/).filter((word) => word !== '');
  }
}
