import { BOUNDS, type FeatureKind, PART_STATES, type PartState, sameKind } from '@/core/measure';
import { atOnce, fail, ok, partOf, type Result, type Steps } from '@/core/kit';
import {
  type CellIssue,
  type CsvIssue,
  type CsvRow,
  formatTable,
  kindCells,
  readChoice,
  readKind,
  readName,
  readNumber,
  readPlace,
  readSize,
  readText,
  type RowIssue,
  tableSteps,
} from '@/subjects/kit/shared';

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
  /** Where the feature lay on the plate, from its middle. */
  readonly place?: { readonly xMm: number; readonly yMm: number };
  /** Thickness of the coat on each face, mm. */
  readonly coatMm?: number;
  readonly instrumentC?: number;
  readonly takenAt?: string;
  /** Identity of the reading, from whoever took it first. */
  readonly key?: string;
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

type OptionalNumber = 'zeroMm' | 'partC' | 'instrumentC' | 'heightMm' | 'place' | 'coatMm';

/** Optional cells that are numbers. */
function readOptional(row: CsvRow): Result<Pick<ReadingRow, OptionalNumber>, CellIssue> {
  const zero = readNumber(row, 'zero_mm', BOUNDS.deviation);
  if (!zero.ok) return zero;
  const part = readNumber(row, 'part_C', BOUNDS.temperature);
  if (!part.ok) return part;
  const instrument = readNumber(row, 'instrument_C', BOUNDS.temperature);
  if (!instrument.ok) return instrument;
  const height = readNumber(row, 'height_mm', BOUNDS.height);
  if (!height.ok) return height;
  const place = readPlace(row);
  if (!place.ok) return place;
  const coat = readNumber(row, 'coat_mm', BOUNDS.height);
  if (!coat.ok) return coat;
  return ok({
    zeroMm: zero.value,
    partC: part.value,
    instrumentC: instrument.value,
    heightMm: height.value,
    place: place.value,
    coatMm: coat.value,
  });
}

/** Cells that are texts. */
function readTexts(row: CsvRow): Result<Pick<ReadingRow, 'instrument' | 'takenAt' | 'key'>, CellIssue> {
  const instrument = readText(row, 'instrument');
  if (!instrument.ok) return instrument;
  const takenAt = readText(row, 'taken_at');
  if (!takenAt.ok) return takenAt;
  const key = readText(row, 'reading_id');
  if (!key.ok) return key;
  return ok({ instrument: instrument.value, takenAt: takenAt.value, key: key.value });
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
  const reading = readSize(row, 'reading_mm');
  if (!reading.ok) return reading;
  const warm = readChoice(row, 'warm', ['yes', 'no']);
  if (!warm.ok) return warm;
  const optional = readOptional(row);
  if (!optional.ok) return optional;
  const texts = readTexts(row);
  if (!texts.ok) return texts;
  return ok({
    line: row.line,
    feature: feature.value,
    kind: kind.value,
    drawnMm: drawn.value,
    print: print.value,
    state: state.value,
    readingMm: reading.value,
    warm: warm.value === 'yes',
    ...texts.value,
    ...optional.value,
  });
}

/** Reads readings.csv. The same feature name must keep its sense, shape, axis and base; the first bad line is named. */
export function parseReadingsCsv(text: string): Result<ReadingRow[], ReadingsCsvIssue> {
  return atOnce(readingsCsvSteps(text));
}

/** Rows that are read in one step. */
const STEP_ROWS = 500;

/** The same in steps. */
export function* readingsCsvSteps(text: string): Steps<Result<ReadingRow[], ReadingsCsvIssue>> {
  const table = yield* partOf(tableSteps(text, REQUIRED), 0, 0.6);
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
    if (rows.length % STEP_ROWS === 0) yield 0.6 + (0.4 * rows.length) / table.value.length;
  }
  return ok(rows);
}

const WRITTEN = [
  ...REQUIRED,
  'warm',
  'instrument',
  'zero_mm',
  'part_C',
  'instrument_C',
  'height_mm',
  'x_mm',
  'y_mm',
  'coat_mm',
  'taken_at',
  'reading_id',
];

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
      row.instrumentC ?? '',
      row.heightMm ?? '',
      row.place?.xMm ?? '',
      row.place?.yMm ?? '',
      row.coatMm ?? '',
      row.takenAt ?? '',
      row.key ?? '',
    ]),
  );
}
