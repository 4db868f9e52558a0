import Papa from 'papaparse';
import { atOnce, fail, ok, type Result, type Steps } from '@/core/kit';
import { oneLine } from './input-numbers';

/** One row of a delimited file by the names of its header. */
export interface CsvRow {
  /** Line in the file, the header being line 1. */
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

/** A workshop's readings are hundreds; a file with more than this is something else. */
export const MOST_CSV_ROWS = 100_000;

/** Rows that are read in one step. */
const STEP_ROWS = 500;

/** A cell that a spreadsheet would run as a formula; one that was made harmless begins with an apostrophe. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** What a cell says: no control characters, no white space around it, and the apostrophe of a harmless formula gone. */
function cellText(cell: string): string {
  const typed = cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell;
  return oneLine(typed).trim();
}

/** Rows of a delimited text, some at a time, with the share of the text that is read. */
function* rowsOf(text: string, delimiter: string): Generator<{ rows: string[][]; share: number }> {
  for (let at = 0; at < text.length;) {
    const { data, meta } = Papa.parse<string[]>(text.slice(at), {
      delimiter,
      newline: '\n',
      preview: STEP_ROWS,
      // Its fast way miscounts where a preview ends.
      fastMode: false,
    });
    at = meta.truncated ? at + meta.cursor : text.length;
    yield { rows: data, share: at / text.length };
  }
}

function readHeader(row: readonly string[], required: readonly string[]): Result<string[], CsvIssue> {
  const header = row.map((name) => name.trim());
  if (header.every((name) => name === '')) return fail({ code: 'emptyTable' });
  const missing = required.filter((name) => !header.includes(name));
  return missing.length > 0 ? fail({ code: 'missingColumns', missing, found: header }) : ok(header);
}

/** Grows a table row by row, the header first. */
class TableReader {
  readonly rows: CsvRow[] = [];
  private header: string[] | undefined;
  private line = 0;

  constructor(private readonly required: readonly string[]) {}

  take(row: readonly string[]): CsvIssue | undefined {
    this.line++;
    const { header, line, rows } = this;
    if (header === undefined) {
      const read = readHeader(row, this.required);
      if (!read.ok) return read.issue;
      this.header = read.value;
      return undefined;
    }
    const cells = row.map(cellText);
    if (cells.every((cell) => cell === '')) return undefined;
    if (cells.length !== header.length)
      return { code: 'raggedRow', line, cells: cells.length, wanted: header.length };
    if (rows.length === MOST_CSV_ROWS) return { code: 'tooManyRows', line, limit: MOST_CSV_ROWS };
    rows.push({ line, cells: Object.fromEntries(header.map((name, column) => [name, cells[column]])) });
    return undefined;
  }
}

/** `parseTable` in steps. */
export function* tableSteps(text: string, required: readonly string[]): Steps<Result<CsvRow[], CsvIssue>> {
  const clean = text.replace(/^\ufeff/, '').replace(/\r\n?/g, '\n');
  const headerLine = clean.slice(0, clean.indexOf('\n') + 1 || undefined);
  const delimiter = [';', '\t', ','].find((mark) => headerLine.includes(mark)) ?? ',';
  const table = new TableReader(required);
  for (const { rows, share } of rowsOf(clean, delimiter)) {
    for (const row of rows) {
      const issue = table.take(row);
      if (issue !== undefined) return fail(issue);
    }
    yield share;
  }
  return table.rows.length === 0 ? fail({ code: 'emptyTable' }) : ok(table.rows);
}

/**
 * Parses delimited text with a header line: comma, semicolon or tab, a byte order mark allowed, unknown columns kept.
 * Refuses missing columns, rows of another length and files beyond MOST_CSV_ROWS, each with its line.
 */
export function parseTable(text: string, required: readonly string[]): Result<CsvRow[], CsvIssue> {
  return atOnce(tableSteps(text, required));
}

/** Delimited text of rows; cells that a spreadsheet would run as a formula get a leading apostrophe, which parseTable takes off again. */
export function formatTable(
  header: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  const harmless = (cell: string | number) =>
    typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell;
  return (
    Papa.unparse({ fields: [...header], data: rows.map((row) => row.map(harmless)) }, { newline: '\n' }) +
    '\n'
  );
}
