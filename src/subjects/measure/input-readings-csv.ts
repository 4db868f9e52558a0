import { type FeatureKind, PART_STATES, type PartState, sameKind } from '@/core/metrology';
import { fail, ok, type Result } from '@/core/result';
import {
  type CellIssue,
  type CsvIssue,
  type CsvRow,
  formatTable,
  kindCells,
  parseTable,
  readChoice,
  readKind,
  readName,
  readNeededNumber,
  readNumber,
  readSize,
  type RowIssue,
} from '@/subjects/language/shared';

/** One line of readings.csv. */
export interface ReadingRow {
  readonly line: number;
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  readonly print: string;
  readonly state?: PartState;
  readonly readingMm: number;
  readonly warm: boolean;
  readonly instrument?: string;
  readonly zeroMm?: number;
  readonly partC?: number;
  readonly heightMm?: number;
  readonly takenAt?: string;
}

export type ReadingsCsvIssue = CsvIssue | CellIssue | Extract<RowIssue, { code: 'otherKind' }>;

const REQUIRED = [
  'feature',
  'sense',
  'shape',
  'axis',
  'angle_deg',
  'base',
  'drawn_mm',
  'print',
  'state',
  'reading_mm',
];

/** Optional cells that are numbers. */
function readOptional(row: CsvRow): Result<Pick<ReadingRow, 'zeroMm' | 'partC' | 'heightMm'>, CellIssue> {
  const values: (number | undefined)[] = [];
  for (const column of ['zero_mm', 'part_C', 'height_mm']) {
    const value = readNumber(row, column);
    if (!value.ok) return value;
    values.push(value.value);
  }
  return ok({ zeroMm: values[0], partC: values[1], heightMm: values[2] });
}

function readRow(row: CsvRow): Result<ReadingRow, CellIssue> {
  const feature = readName(row, 'feature');
  if (!feature.ok) return feature;
  const kind = readKind(row);
  if (!kind.ok) return kind;
  const drawn = readSize(row, 'drawn_mm');
  if (!drawn.ok) return drawn;
  const print = readName(row, 'print');
  if (!print.ok) return print;
  const state = readChoice(row, 'state', PART_STATES);
  if (!state.ok) return state;
  const reading = readNeededNumber(row, 'reading_mm');
  if (!reading.ok) return reading;
  if (!(reading.value > 0))
    return fail({ code: 'notPositive', line: row.line, column: 'reading_mm', value: reading.value });
  const warm = readChoice(row, 'warm', ['yes', 'no']);
  if (!warm.ok) return warm;
  const optional = readOptional(row);
  if (!optional.ok) return optional;
  return ok({
    line: row.line,
    feature: feature.value,
    kind: kind.value,
    drawnMm: drawn.value,
    print: print.value,
    state: state.value,
    readingMm: reading.value,
    warm: warm.value === 'yes',
    instrument: row.cells.instrument || undefined,
    takenAt: row.cells.taken_at || undefined,
    ...optional.value,
  });
}

/** Reads readings.csv. The same feature name must keep its sense, shape, axis and base; the first bad line is named. */
export function parseReadingsCsv(text: string): Result<ReadingRow[], ReadingsCsvIssue> {
  const table = parseTable(text, REQUIRED);
  if (!table.ok) return table;
  const rows: ReadingRow[] = [];
  const firstOf = new Map<string, ReadingRow>();
  for (const cells of table.value) {
    const row = readRow(cells);
    if (!row.ok) return row;
    const first = firstOf.get(row.value.feature) ?? row.value;
    firstOf.set(row.value.feature, first);
    if (!sameKind(first.kind, row.value.kind)) {
      return fail({
        code: 'otherKind',
        line: row.value.line,
        feature: row.value.feature,
        firstLine: first.line,
      });
    }
    rows.push(row.value);
  }
  return ok(rows);
}

const WRITTEN = [...REQUIRED, 'warm', 'instrument', 'zero_mm', 'part_C', 'height_mm', 'taken_at'];

/** Writes readings.csv; parseReadingsCsv reads it back to the same rows. */
export function formatReadingsCsv(rows: readonly Omit<ReadingRow, 'line'>[]): string {
  return formatTable(
    WRITTEN,
    rows.map((row) => [
      row.feature,
      ...kindCells(row.kind),
      row.drawnMm,
      row.print,
      row.state ?? '',
      row.readingMm,
      row.warm ? 'yes' : 'no',
      row.instrument ?? '',
      row.zeroMm ?? '',
      row.partC ?? '',
      row.heightMm ?? '',
      row.takenAt ?? '',
    ]),
  );
}
