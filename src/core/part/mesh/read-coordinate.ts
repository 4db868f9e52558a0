/** Digits with a decimal comma, an exponent after D, or a suffix f, as programs of some countries and ages write them. */
const UNUSUAL = /^([+-]?(?:\d+[.,]?\d*|[.,]\d+))(?:[eEdD]([+-]?\d+))?f?$/;

/** Returns a coordinate in a text file: `1.5`, `+.5`, `1e-03`, `1,5`, `1.5D+02`, `1.0f`; NaN if it is not a number. */
export function readCoordinate(word: string): number {
  const value = Number(word);
  if (!Number.isNaN(value)) return word === '' ? NaN : value;
  const match = UNUSUAL.exec(word);
  if (match === null) return NaN;
  return Number(`${match[1].replace(',', '.')}e${match[2] ?? '0'}`);
}
