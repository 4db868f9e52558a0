import {
  ALONE,
  CLARITIES,
  CONDITIONS,
  convertValue,
  EMPTY_SHEET,
  FAMILIES,
  findSheetIssues,
  isProperty,
  PROPERTIES,
  PROPERTY_IDS,
  type Quote,
  type ResinSheet,
  type ShelfEntry,
  SOURCES,
  WASH_LIQUIDS,
} from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import {
  type CellIssue,
  type CsvIssue,
  type CsvRow,
  formatTable,
  parseTable,
  readChoice,
  readName,
  readNeededNumber,
  readNumber,
} from '@/subjects/language/shared';
import { type BadRow, clean, type ShelfIssue, typedAs } from './input-shelf-json';

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
];

/** Facts that are words, not numbers; a list is parted by “|”, and an empty one is written as “none”. */
const FACTS = ['family', 'washLiquids', 'light_nm', 'clarity', 'alone', 'rated', 'caution'] as const;

type Fact = (typeof FACTS)[number];

type Facts = Partial<Record<Fact, string[]>>;

interface Growing {
  readonly name: string;
  readonly line: number;
  readonly quotes: Quote[];
  readonly facts: Facts;
}

const listOf = (text: string) => (text === 'none' ? [] : text.split('|').map((each) => each.trim()));

function readQuoteRow(row: CsvRow, property: Quote['property']): Result<Quote, CellIssue | BadRow> {
  const value = readNeededNumber(row, 'value');
  if (!value.ok) return value;
  const condition = readChoice(row, 'condition', CONDITIONS);
  if (!condition.ok) return condition;
  const source = readChoice(row, 'source', SOURCES);
  if (!source.ok) return source;
  const testMPa = readNumber(row, 'test_mpa');
  if (!testMPa.ok) return testMPa;
  const atC = readNumber(row, 'at_c');
  if (!atC.ok) return atC;
  const unit = row.cells.unit ?? '';
  const kept = convertValue(property, value.value, unit);
  if (!kept.ok) return fail({ where: `line ${row.line}, ${property}`, issue: kept.issue });
  return ok(
    clean({
      property,
      value: kept.value,
      condition: condition.value ?? 'cured',
      standard: row.cells.standard || undefined,
      testMPa: testMPa.value,
      atC: atC.value,
      source: source.value ?? 'datasheet',
      on: row.cells.on || undefined,
      typed: typedAs(value.value, unit, property, kept.value),
    }),
  );
}

const isCell = (issue: CellIssue | BadRow): issue is CellIssue => 'code' in issue;

/** Words of a fact that are none of those it may be. */
function strangeWord(
  fact: Fact,
  words: readonly string[],
): { text: string; choices: readonly string[] } | undefined {
  const choices: Partial<Record<Fact, readonly string[]>> = {
    family: FAMILIES,
    washLiquids: WASH_LIQUIDS,
    clarity: CLARITIES,
    alone: ALONE,
  };
  const allowed = choices[fact];
  const text = words.find((word) => allowed !== undefined && !allowed.includes(word));
  if (text !== undefined) return { text, choices: allowed! };
  const number =
    fact === 'light_nm' ? words.find((word) => !(Number(word) >= 200 && Number(word) <= 800)) : undefined;
  return number === undefined ? undefined : { text: number, choices: ['405', '385'] };
}

function sheetOf({ quotes, facts }: Growing): ResinSheet {
  const [family, clarity, alone] = [facts.family, facts.clarity, facts.alone].map((words) => words?.[0]);
  return clean({
    ...EMPTY_SHEET,
    quotes,
    family: (family ?? 'general') as ResinSheet['family'],
    clarity: clarity as ResinSheet['clarity'],
    alone: alone as ResinSheet['alone'],
    washLiquids: facts.washLiquids as ResinSheet['washLiquids'],
    lightNm: facts.light_nm?.map(Number),
    rated: facts.rated,
    cautions: facts.caution ?? [],
  });
}

/**
 * Reads a shelf from delimited text, a line for each value of each resin; whole or not at all, bad lines named.
 * Proofs, bottles and blends travel in the JSON file only.
 */
export function parseShelfCsv(text: string): Result<ShelfEntry[], ShelfCsvIssue> {
  const table = parseTable(text, ['resin', 'property', 'value']);
  if (!table.ok) return table;
  const resins = new Map<string, Growing>();
  const bad: BadRow[] = [];
  for (const row of table.value) {
    const name = readName(row, 'resin');
    if (!name.ok) return fail({ code: 'cell', issue: name.issue });
    const resin = resins.get(name.value) ?? { name: name.value, line: row.line, quotes: [], facts: {} };
    resins.set(name.value, resin);
    const property = row.cells.property;
    if (isProperty(property)) {
      const quote = readQuoteRow(row, property);
      if (quote.ok) resin.quotes.push(quote.value);
      else if (isCell(quote.issue)) return fail({ code: 'cell', issue: quote.issue });
      else bad.push(quote.issue);
      continue;
    }
    const fact = FACTS.find((each) => each === property);
    if (fact === undefined) {
      const choices = [...FACTS, ...PROPERTY_IDS];
      const issue = {
        code: 'notAChoice',
        line: row.line,
        column: 'property',
        text: property,
        choices,
      } as const;
      return fail({ code: 'cell', issue });
    }
    const words =
      fact === 'caution' ? [...(resin.facts.caution ?? []), row.cells.value] : listOf(row.cells.value);
    const strange = strangeWord(fact, words);
    if (strange !== undefined) {
      const issue = { code: 'notAChoice', line: row.line, column: 'value', ...strange } as const;
      return fail({ code: 'cell', issue });
    }
    resin.facts[fact] = words;
  }
  const entries = [...resins.values()].map((resin): ShelfEntry => {
    const sheet = sheetOf(resin);
    const where = `“${resin.name}”, from line ${resin.line},`;
    for (const issue of findSheetIssues(sheet)) bad.push({ where, issue });
    return { name: resin.name, sheet, proofs: [], bottles: [] };
  });
  return bad.length === 0 ? ok(entries) : fail({ code: 'badRows', rows: bad });
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
  return facts.flatMap(([fact, text]) =>
    text === undefined ? [] : [[name, fact, text, '', '', '', '', '', '', '']],
  );
}

/** Sheets of a shelf as delimited text. */
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
    ]),
  ]);
  return formatTable(COLUMNS, rows);
}
