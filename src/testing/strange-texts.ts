import fc from 'fast-check';

/** Names as nobody should call a thing, but somebody will: markup, formulas, quotes, marks of tables, other scripts. */
export const STRANGE_NAMES: readonly string[] = [
  '=1+1',
  '+cmd',
  '-2',
  '@sum',
  "'=quoted",
  "''",
  "'plain",
  '<script>alert(1)</script>',
  '"double"',
  'comma, semicolon; pipe|',
  'a\\b',
  '../../etc',
  '%s %d',
  '${x}',
  'Ø 9,5 “mm”',
  'ラック',
  'שלום',
  '🧪 vial',
  '0x10',
  '1e5',
  'null',
  'none',
  "Robert'); drop table jobs;--",
];

/** A text of one line without white space around it, as the doors keep one, from any characters at all. */
export const lineOf = (longest: number) =>
  fc
    .oneof(
      fc.constantFrom(...STRANGE_NAMES),
      fc.string({ unit: 'binary', minLength: 1, maxLength: longest }),
      fc.string({ minLength: 1, maxLength: longest }),
    )

    .map((text) => text.replace(/[\u0000-\u001f\u007f]+/g, ' ').trim())
    .filter((text) => text !== '' && text.length <= longest && !/\p{Surrogate}/u.test(text));

/** A size within bounds, with as many digits as a number has. */
export const sizeMm = () => fc.double({ min: 1e-6, max: 2000, noNaN: true, noDefaultInfinity: true });
