import Papa from 'papaparse';
import { fail, ok, type Result } from '@/core/result';

/** One data row of a file: its cells by column name, with the line it stands in (the header is line 1). */
export interface CsvRow {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
}

export type CsvIssue =
  | { readonly code: 'emptyTable' }
  | {
      readonly code: 'missingColumns';
      readonly missing: readonly string[];
      readonly found: readonly string[];
    }
  | { readonly code: 'raggedRow'; readonly line: number; readonly cells: number; readonly wanted: number }
  | { readonly code: 'tooManyRows'; readonly line: number; readonly limit: number };

/** A bench's readings are hundreds; beyond this a file is something else. */
export const MOST_CSV_ROWS = 100_000;

/**
 * Parses delimited text with a header line: comma, semicolon or tab, a byte order mark allowed, unknown columns kept.
 * Refuses missing columns, rows of another length and files beyond MOST_CSV_ROWS, each with its line.
 */
export function parseTable(text: string, required: readonly string[]): Result<CsvRow[], CsvIssue> {
  const rows: string[][] = [];
  let tooMany = false;
  const clean = text.replace(/^\ufeff/, '');
  const headerLine = clean.slice(0, clean.indexOf('\n') + 1 || undefined);
  const delimiter = [';', '\t', ','].find((mark) => headerLine.includes(mark)) ?? ',';
  Papa.parse<string[]>(clean, {
    delimiter,
    step: ({ data }, parser) => {
      rows.push(data);
      if (rows.length > MOST_CSV_ROWS + 1) {
        tooMany = true;
        parser.abort();
      }
    },
  });
  const header = (rows[0] ?? []).map((name) => name.trim());
  if (header.every((name) => name === '')) return fail({ code: 'emptyTable' });
  const missing = required.filter((name) => !header.includes(name));
  if (missing.length > 0) return fail({ code: 'missingColumns', missing, found: header });
  if (tooMany) return fail({ code: 'tooManyRows', line: MOST_CSV_ROWS + 2, limit: MOST_CSV_ROWS });
  const table: CsvRow[] = [];
  for (let i = 1; i < rows.length; i++) {
    const cells = rows[i].map((cell) => cell.trim());
    if (cells.every((cell) => cell === '')) continue;
    if (cells.length !== header.length) {
      return fail({ code: 'raggedRow', line: i + 1, cells: cells.length, wanted: header.length });
    }
    table.push({
      line: i + 1,
      cells: Object.fromEntries(header.map((name, column) => [name, cells[column]])),
    });
  }
  return table.length === 0 ? fail({ code: 'emptyTable' }) : ok(table);
}

/** Delimited text of rows; cells that a spreadsheet would run as a formula get a leading apostrophe. */
export function formatTable(
  header: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  const neutral = (cell: string | number) =>
    typeof cell === 'string' && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
  return (
    Papa.unparse({ fields: [...header], data: rows.map((row) => row.map(neutral)) }, { newline: '\n' }) + '\n'
  );
}
