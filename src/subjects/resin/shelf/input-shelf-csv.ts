import {
  findSheetIssues,
  isProperty,
  PROPERTIES,
  PROPERTY_IDS,
  type Quote,
  type ShelfEntry,
} from '@/core/resin';
import { atOnce, fail, ok, partOf, type Result, type Steps } from '@/core/kit';
import {
  type CellIssue,
  type CsvIssue,
  type CsvRow,
  formatTable,
  readName,
  readNeededNumber,
  readNumber,
  tableSteps,
} from '@/subjects/kit/shared';
import { type BadRow, readFacts, readQuote, type ShelfIssue } from './input-shelf-json';

export type ShelfCsvIssue = CsvIssue | ShelfIssue | { readonly code: 'cell'; readonly issue: CellIssue };

const COLUMNS = [
  'resin',
  'property',
  'value',
  'unit',
  'condition',
  'standard',
  'test_mpa',
  'at_c',
  'source',
  'on',
  'low',
  'high',
  'bound',
  'typed',
];

/** Facts that are words, not numbers; a list is parted by “|”, and an empty one is written as “none”. */
const FACTS = ['family', 'washLiquids', 'light_nm', 'clarity', 'alone', 'rated', 'caution'] as const;

type Fact = (typeof FACTS)[number];

interface Growing {
  readonly name: string;
  readonly line: number;
  readonly quotes: Quote[];
  readonly facts: Partial<Record<Fact, string[]>>;
}

const listOf = (text: string) => (text === 'none' ? [] : text.split('|').map((each) => each.trim()));

/** A quote as the JSON file has it; every cell but the value may be blank. */
function rawQuote(row: CsvRow, property: string): Result<object, CellIssue> {
  const value = readNeededNumber(row, 'value');
  if (!value.ok) return value;
  const numbers: Record<string, number | undefined> = {};
  for (const [name, column] of Object.entries({
    low: 'low',
    high: 'high',
    test_MPa: 'test_mpa',
    at_C: 'at_c',
  })) {
    const number = readNumber(row, column);
    if (!number.ok) return number;
    numbers[name] = number.value;
  }
  const texts = ['unit', 'condition', 'standard', 'source', 'on', 'bound', 'typed'].map((column) => [
    column,
    row.cells[column] || undefined,
  ]);
  return ok({ property, value: value.value, ...numbers, ...Object.fromEntries(texts) });
}

/** What is known of a resin as the JSON file has it. */
function rawFacts({ name, facts }: Growing): object {
  const [family, clarity, alone] = [facts.family, facts.clarity, facts.alone].map((words) => words?.[0]);
  return {
    name,
    family,
    clarity,
    alone,
    washLiquids: facts.washLiquids,
    light_nm: facts.light_nm?.map(Number),
    rated: facts.rated,
    cautions: facts.caution ?? [],
  };
}

/** Takes one line to the resin it names. */
function takeRow(row: CsvRow, resins: Map<string, Growing>, bad: BadRow[]): CellIssue | undefined {
  const name = readName(row, 'resin');
  if (!name.ok) return name.issue;
  const resin = resins.get(name.value) ?? { name: name.value, line: row.line, quotes: [], facts: {} };
  resins.set(name.value, resin);
  const { property, value } = row.cells;
  if (isProperty(property)) {
    const raw = rawQuote(row, property);
    if (!raw.ok) return raw.issue;
    const quote = readQuote(raw.value, `line ${row.line},`, bad);
    if (quote !== undefined) resin.quotes.push(quote);
    return undefined;
  }
  const fact = FACTS.find((each) => each === property);
  if (fact === undefined) {
    const choices = [...FACTS, ...PROPERTY_IDS];
    return { code: 'notAChoice', line: row.line, column: 'property', text: property, choices };
  }
  resin.facts[fact] = fact === 'caution' ? [...(resin.facts.caution ?? []), value] : listOf(value);
  return undefined;
}

/** Rows that are read in one step. */
const STEP_ROWS = 200;

/** `parseShelfCsv` in steps. */
export function* shelfCsvSteps(text: string): Steps<Result<ShelfEntry[], ShelfCsvIssue>> {
  const table = yield* partOf(tableSteps(text, ['resin', 'property', 'value']), 0, 0.3);
  if (!table.ok) return table;
  const resins = new Map<string, Growing>();
  const bad: BadRow[] = [];
  for (const [i, row] of table.value.entries()) {
    const issue = takeRow(row, resins, bad);
    if (issue !== undefined) return fail({ code: 'cell', issue });
    if (i % STEP_ROWS === 0) yield 0.3 + (0.5 * i) / table.value.length;
  }
  const entries: ShelfEntry[] = [];
  for (const resin of resins.values()) {
    const where = `“${resin.name}”, from line ${resin.line},`;
    const facts = readFacts(rawFacts(resin), where, bad);
    if (facts === undefined) continue;
    const sheet = { ...facts.sheet, quotes: resin.quotes };
    for (const issue of findSheetIssues(sheet)) bad.push({ where, issue });
    entries.push({ name: facts.name, sheet, proofs: [], bottles: [] });
    if (entries.length % STEP_ROWS === 0) yield 0.8 + (0.2 * entries.length) / resins.size;
  }
  return bad.length === 0 ? ok(entries) : fail({ code: 'badRows', rows: bad });
}

/**
 * Reads resins from delimited text, one row for each value of each resin, with the limits of the JSON file; completely
 * or not at all, bad rows named. Tests, bottles and blends are in the JSON file only.
 */
export function parseShelfCsv(text: string): Result<ShelfEntry[], ShelfCsvIssue> {
  return atOnce(shelfCsvSteps(text));
}

function factRows({ name, sheet }: ShelfEntry): (string | number)[][] {
  const list = (words: readonly (string | number)[] | undefined) =>
    words && (words.length === 0 ? 'none' : words.join('|'));
  const facts: [Fact, string | undefined][] = [
    ['family', sheet.family],
    ['washLiquids', list(sheet.washLiquids)],
    ['light_nm', list(sheet.lightNm)],
    ['clarity', sheet.clarity],
    ['alone', sheet.alone],
    ['rated', list(sheet.rated)],
    ...sheet.cautions.map((caution): [Fact, string] => ['caution', caution]),
  ];
  const blanks = COLUMNS.slice(3).map(() => '');
  return facts.flatMap(([fact, text]) => (text === undefined ? [] : [[name, fact, text, ...blanks]]));
}

/** Returns the datasheets of resins as delimited text. */
export function formatShelfCsv(entries: readonly ShelfEntry[]): string {
  const rows = entries.flatMap((entry) => [
    ...factRows(entry),
    ...entry.sheet.quotes.map((quote) => [
      entry.name,
      quote.property,
      quote.value,
      PROPERTIES[quote.property].unit,
      quote.condition,
      quote.standard ?? '',
      quote.testMPa ?? '',
      quote.atC ?? '',
      quote.source,
      quote.on ?? '',
      quote.low ?? '',
      quote.high ?? '',
      quote.bound ?? '',
      quote.typed ?? '',
    ]),
  ]);
  return formatTable(COLUMNS, rows);
}
