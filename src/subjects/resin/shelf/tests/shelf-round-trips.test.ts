import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  ALONE,
  CLARITIES,
  CONDITIONS,
  convertValue,
  FAMILIES,
  findSheetIssues,
  PROPERTIES,
  PROPERTY_IDS,
  type Quote,
  type ShelfEntry,
  SOURCES,
  WASH_LIQUIDS,
} from '@/core/resin';
import { expectOk } from '@/core/kit';
import { lineOf } from '@/testing/strange-texts';
import { formatShelfCsv, parseShelfCsv } from '../input-shelf-csv';
import { clean, formatShelfJson, parseShelfJson } from '../input-shelf-json';

const optional = <Value>(each: fc.Arbitrary<Value>) => fc.option(each, { nil: undefined });

/** −0 is written as 0. */
const within = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true }).map((value) => (value === 0 ? 0 : value));

const quote = (): fc.Arbitrary<Quote> =>
  fc
    .record({
      property: fc.constantFrom(...PROPERTY_IDS),
      value: fc.oneof(within(0.001, 5), within(5, 3000)),
      condition: fc.constantFrom(...CONDITIONS),
      standard: optional(lineOf(80)),
      testMPa: optional(within(0.01, 20)),
      atC: optional(within(-40, 100)),
      source: fc.constantFrom(...SOURCES),
      on: optional(fc.constantFrom('2026-02-28', '2024-02-29')),
      bound: optional(fc.constantFrom('atLeast' as const, 'atMost' as const)),
      typed: optional(lineOf(40)),
    })
    .map(clean)
    .filter(({ property, value }) => {
      const kept = convertValue(property, value, PROPERTIES[property].unit);
      return kept.ok && kept.value === value;
    });

const word = () => lineOf(40).filter((text) => !text.includes('|') && text.toLowerCase() !== 'none');

const entry = (): fc.Arbitrary<ShelfEntry> =>
  fc
    .record({
      name: lineOf(60),
      sheet: fc
        .record({
          family: fc.constantFrom(...FAMILIES),
          quotes: fc.array(quote(), { maxLength: 5 }),
          washLiquids: optional(fc.uniqueArray(fc.constantFrom(...WASH_LIQUIDS))),
          lightNm: optional(fc.uniqueArray(within(200, 800), { maxLength: 3 })),
          clarity: optional(fc.constantFrom(...CLARITIES)),
          alone: optional(fc.constantFrom(...ALONE)),
          rated: optional(fc.array(word(), { maxLength: 3 })),
          cautions: fc.array(lineOf(300), { maxLength: 3 }),
        })
        .map(clean)
        .filter((sheet) => findSheetIssues(sheet).length === 0),
    })
    .map((each) => ({ ...each, proofs: [], bottles: [] }));

const shelf = () => fc.uniqueArray(entry(), { minLength: 1, maxLength: 4, selector: ({ name }) => name });

test('a shelf as JSON comes in as it went out, names and numbers of every kind', () => {
  fc.assert(
    fc.property(shelf(), (entries) => {
      expect(expectOk(parseShelfJson(formatShelfJson(entries)))).toEqual(entries);
    }),
    { numRuns: 200, seed: 11 },
  );
});

test('its sheets as CSV likewise, and within the same bounds', () => {
  fc.assert(
    fc.property(shelf(), (entries) => {
      expect(expectOk(parseShelfCsv(formatShelfCsv(entries)))).toEqual(entries);
    }),
    { numRuns: 200, seed: 11 },
  );
});

test.each([
  ['on', '2026-02-31'],
  ['test_mpa', '-3'],
  ['at_c', '5000'],
  ['source', 'hearsay'],
  ['bound', 'about'],
])('what JSON refuses, CSV refuses: %s %s', (column, value) => {
  const csv = `resin,property,value,${column}\nA,elongation,0.2,${value}\n`;
  expect(parseShelfCsv(csv)).toMatchObject({ ok: false, issue: { code: 'badRows' } });
  const names: Record<string, string> = { test_mpa: 'test_MPa', at_c: 'at_C' };
  const cell = Number.isNaN(Number(value)) ? value : Number(value);
  const json = {
    kind: 'shelf',
    resins: [
      { name: 'A', quotes: [{ property: 'elongation', value: 0.2, [names[column] ?? column]: cell }] },
    ],
  };
  expect(parseShelfJson(JSON.stringify(json))).toMatchObject({ ok: false, issue: { code: 'badRows' } });
});
