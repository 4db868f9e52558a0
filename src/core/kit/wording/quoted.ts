/** Longest piece of somebody's text that is quoted back, characters. */
const LONGEST_QUOTE = 80;

/** A text as it is quoted back in a sentence: on one line, and no more of it than a line holds. */
export function quoted(text: string): string {
  const line = text
    .slice(0, 2 * LONGEST_QUOTE)
    .replace(/[\u0000-\u001f\u007f\u2028\u2029]+/g, ' ')
    .trim();
  return line.length > LONGEST_QUOTE ? `${line.slice(0, LONGEST_QUOTE)}…` : line;
}
