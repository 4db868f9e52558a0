import { z } from 'zod';
import { BOUNDS } from '@/core/measure';
import {
  ALONE,
  CLARITIES,
  CONDITIONS,
  convertValue,
  FAMILIES,
  findSheetIssues,
  type ResinTest,
  type ResinTestIssue,
  PROPERTIES,
  PROPERTY_IDS,
  type Quote,
  type ResinSheet,
  type ResinSheetIssue,
  type ShelfEntry,
  SOURCES,
  type UnitIssue,
  WASH_LIQUIDS,
  workOutResinTest,
} from '@/core/resin';
import { atOnce, fail, ok, type Result, type Steps } from '@/core/kit';
import { day, finite, line } from '@/subjects/kit/shared';
import { resinTestJson } from './input-resin-test-json';

/** Why one row of a resin file cannot be imported; `where` names the row as a person finds it. */
export interface BadRow {
  readonly where: string;
  readonly issue:
    | UnitIssue
    | ResinSheetIssue
    | { readonly code: 'proof'; readonly issue: ResinTestIssue }
    | { readonly code: 'notReadable'; readonly detail: string }
    | { readonly code: 'nameTwice'; readonly name: string }
    | { readonly code: 'blendUnknown'; readonly name: string }
    | { readonly code: 'blendSum'; readonly sum: number };
}

export type ShelfIssue =
  | { readonly code: 'notJson' }
  | { readonly code: 'notAShelf' }
  | { readonly code: 'tooManyResins'; readonly limit: number }
  | { readonly code: 'badRows'; readonly rows: readonly BadRow[] };

/** More resins than any shelf, or file, needs. */
const MOST_RESINS = 20_000;

/** A word of a list; a list is parted by “|” in a CSV, and “none” stands for an empty one there. */
const rating = line(40, 1)
  .refine((word) => !word.includes('|'), 'a word must not contain “|”')
  .refine((word) => word.toLowerCase() !== 'none', '“none” means an empty list');

const quoteJson = z.object({
  property: z.enum(PROPERTY_IDS as [string, ...string[]]),
  value: finite,
  unit: line(20).optional(),
  low: finite.optional(),
  high: finite.optional(),
  bound: z.enum(['atLeast', 'atMost']).optional(),
  condition: z.enum(CONDITIONS).default('cured'),
  standard: line(80).optional(),
  test_MPa: z.number().min(0.001).max(1000).optional(),
  at_C: z.number().min(BOUNDS.temperature.low).max(BOUNDS.temperature.high).optional(),
  source: z.enum(SOURCES).default('datasheet'),
  on: day.optional(),
  typed: line(40).optional(),
});

/** What is known of a resin in words and lists. */
const factsJson = z.object({
  name: line(60, 1),
  family: z.enum(FAMILIES).default('general'),
  washLiquids: z.array(z.enum(WASH_LIQUIDS)).max(20).optional(),
  light_nm: z.array(z.number().min(200).max(800)).max(20).optional(),
  clarity: z.enum(CLARITIES).optional(),
  alone: z.enum(ALONE).optional(),
  rated: z.array(rating).max(40).optional(),
  cautions: z.array(line(300, 1)).max(60).default([]),
});

const resinJson = factsJson.extend({
  quotes: z.array(z.unknown()).max(200).default([]),
  blend: z
    .array(z.object({ resin: line(60, 1), fraction: finite.positive().max(1) }))
    .min(2)
    .max(3)
    .optional(),
  proofs: z.array(z.unknown()).max(200).default([]),
  bottles: z
    .array(
      z.object({
        batch: line(60).default(''),
        openedOn: z.union([z.literal(''), day]).default(''),
        fullMl: finite.positive().max(100_000),
        leftMl: z.number().min(0).max(100_000),
      }),
    )
    .max(200)
    .default([]),
});

const fileJson = z.object({ kind: z.literal('shelf'), resins: z.array(z.unknown()) });

function describeZod(error: z.ZodError): string {
  const [first] = error.issues;
  const path = first.path.join('.');
  return path === '' ? first.message : `${path}: ${first.message}`;
}

/** One value of a sheet, whichever file it comes in; what is wrong with it joins the bad rows. */
export function readQuote(raw: unknown, where: string, bad: BadRow[]): Quote | undefined {
  const parsed = quoteJson.safeParse(raw);
  if (!parsed.success) {
    bad.push({ where, issue: { code: 'notReadable', detail: describeZod(parsed.error) } });
    return undefined;
  }
  const { unit = '', test_MPa: testMPa, at_C: atC, low, high, ...rest } = parsed.data;
  const property = rest.property as Quote['property'];
  const numbers = [rest.value, low, high].map((value) =>
    value === undefined ? undefined : convertValue(property, value, unit),
  );
  const refused = numbers.find((number) => number?.ok === false);
  if (refused?.ok === false) {
    bad.push({ where: `${where} ${property}`, issue: refused.issue });
    return undefined;
  }
  const [value, lowKept, highKept] = numbers.map((number) => (number?.ok ? number.value : undefined));
  const typed = rest.typed ?? typedAs(rest.value, unit, property, value!);
  return clean({ ...rest, property, value: value!, low: lowKept, high: highKept, testMPa, atC, typed });
}

/** The words a value was typed in, where its unit was another one. */
export function typedAs(
  given: number,
  unit: string,
  property: Quote['property'],
  kept: number,
): string | undefined {
  return given === kept || unit.trim() === '' ? undefined : `${given} ${unit.trim()}`;
}

/** Leaves out what is undefined, so that a sheet that travelled is equal to the one that left. */
export function clean<Shape extends object>(shape: Shape): Shape {
  return Object.fromEntries(Object.entries(shape).filter(([, value]) => value !== undefined)) as Shape;
}

function readResinTest(raw: unknown, where: string, bad: BadRow[]): ResinTest | undefined {
  const parsed = resinTestJson.safeParse(raw);
  if (!parsed.success) {
    bad.push({ where, issue: { code: 'notReadable', detail: describeZod(parsed.error) } });
    return undefined;
  }
  const worked = workOutResinTest(parsed.data);
  if (worked.ok) return parsed.data;
  bad.push({ where, issue: { code: 'proof', issue: worked.issue } });
  return undefined;
}

/** What is known of a resin, from any kind of file, with its quotes as read. */
export function readFacts(
  raw: unknown,
  where: string,
  bad: BadRow[],
): { readonly name: string; readonly sheet: Omit<ResinSheet, 'quotes'> } | undefined {
  const parsed = factsJson.safeParse(raw);
  if (!parsed.success) {
    bad.push({ where, issue: { code: 'notReadable', detail: describeZod(parsed.error) } });
    return undefined;
  }
  const { name, light_nm: lightNm, ...facts } = parsed.data;
  return { name, sheet: clean({ ...facts, lightNm }) };
}

function readEntry(raw: unknown, number: number, bad: BadRow[]): ShelfEntry | undefined {
  const parsed = resinJson.safeParse(raw);
  if (!parsed.success) {
    bad.push({
      where: `resin ${number}`,
      issue: { code: 'notReadable', detail: describeZod(parsed.error) },
    });
    return undefined;
  }
  const { name, quotes, proofs, light_nm: lightNm, blend, bottles, ...facts } = parsed.data;
  const where = `resin ${number}, “${name}”,`;
  const sheet: ResinSheet = clean({
    ...facts,
    lightNm,
    quotes: quotes.flatMap((quote, i) => readQuote(quote, `${where} quote ${i + 1}`, bad) ?? []),
  });
  for (const issue of findSheetIssues(sheet)) bad.push({ where, issue });
  const sum = blend?.reduce((total, { fraction }) => total + fraction, 0) ?? 1;
  if (Math.abs(sum - 1) > 0.0005) bad.push({ where, issue: { code: 'blendSum', sum } });
  return clean({
    name,
    sheet,
    blend,
    proofs: proofs.flatMap((proof, i) => readResinTest(proof, `${where} test ${i + 1}`, bad) ?? []),
    bottles,
  });
}

/** Returns names that occur twice, and components of blends that exist neither in the file nor in the workshop. */
export function findNameIssues(entries: readonly ShelfEntry[], onShelf: ReadonlySet<string>): BadRow[] {
  const names = new Set<string>();
  const bad: BadRow[] = [];
  for (const { name } of entries) {
    if (names.has(name)) bad.push({ where: `“${name}”`, issue: { code: 'nameTwice', name } });
    names.add(name);
  }
  for (const { name, blend } of entries)
    for (const { resin } of blend ?? [])
      if (!names.has(resin) && !onShelf.has(resin))
        bad.push({ where: `“${name}”`, issue: { code: 'blendUnknown', name: resin } });
  return bad;
}

/** Resins that are read in one step. */
const STEP_RESINS = 20;

/** `parseShelfJson` in steps. */
export function* shelfJsonSteps(
  text: string,
  onShelf: ReadonlySet<string> = new Set(),
): Steps<Result<ShelfEntry[], ShelfIssue>> {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    return fail({ code: 'notJson' });
  }
  const file = fileJson.safeParse(raw);
  if (!file.success) return fail({ code: 'notAShelf' });
  const { resins } = file.data;
  if (resins.length > MOST_RESINS) return fail({ code: 'tooManyResins', limit: MOST_RESINS });
  const bad: BadRow[] = [];
  const entries: ShelfEntry[] = [];
  for (const [i, resin] of resins.entries()) {
    const entry = readEntry(resin, i + 1, bad);
    if (entry !== undefined) entries.push(entry);
    if (i % STEP_RESINS === 0) yield i / resins.length;
  }
  bad.push(...findNameIssues(entries, onShelf));
  return bad.length === 0 ? ok(entries) : fail({ code: 'badRows', rows: bad });
}

/**
 * Reads a resin file completely or not at all: every invalid row is named. Units other than a property's own are
 * converted. `onShelf` are existing names, for blends made of them.
 */
export function parseShelfJson(
  text: string,
  onShelf?: ReadonlySet<string>,
): Result<ShelfEntry[], ShelfIssue> {
  return atOnce(shelfJsonSteps(text, onShelf));
}

/** Returns all resins as a file; see docs/formats.md for its fields. */
export function formatShelfJson(entries: readonly ShelfEntry[]): string {
  const resins = entries.map(({ name, sheet, blend, proofs, bottles }) => {
    const { quotes, lightNm, ...facts } = sheet;
    return clean({
      name,
      ...facts,
      light_nm: lightNm,
      quotes: quotes.map(({ testMPa, atC, ...quote }) =>
        clean({ ...quote, unit: PROPERTIES[quote.property].unit, test_MPa: testMPa, at_C: atC }),
      ),
      blend,
      proofs,
      bottles,
    });
  });
  return `${JSON.stringify({ kind: 'shelf', version: 1, resins }, null, 2)}\n`;
}
