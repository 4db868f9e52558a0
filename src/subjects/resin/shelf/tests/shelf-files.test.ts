import { describe, expect, test } from '@jest/globals';
import { type ShelfEntry, SHIPPED_SHELF } from '@/core/resin';
import { expectOk } from '@/core/kit';
import { parseRequirementJson } from '@/subjects/resin/choice/shared';
import { formatShelfCsv, parseShelfCsv } from '../input-shelf-csv';
import { type BadRow, formatShelfJson, parseShelfJson } from '../input-shelf-json';

const file = (...resins: object[]) => JSON.stringify({ kind: 'shelf', version: 1, resins });

function badRows(text: string): readonly BadRow[] {
  const parsed = parseShelfJson(text);
  return !parsed.ok && parsed.issue.code === 'badRows' ? parsed.issue.rows : [];
}

const PROVEN: ShelfEntry = {
  ...SHIPPED_SHELF[0],
  name: 'Proven',
  blend: [
    { resin: 'Slate General', fraction: 0.75 },
    { resin: 'Kelp Flex', fraction: 0.25 },
  ],
  proofs: [{ kind: 'drop', on: '2026-11-02', test: { trials: [{ heightM: 1, broke: false }] } }],
  bottles: [{ batch: 'b', openedOn: '2026-10-01', fullMl: 500, leftMl: 120 }],
};

describe('the shelf as JSON', () => {
  test('travels and comes back equal, proofs, blends and bottles too', () => {
    const shelf = [...SHIPPED_SHELF, PROVEN];
    expect(expectOk(parseShelfJson(formatShelfJson(shelf)))).toEqual(shelf);
  });

  test('units other than its own are converted, and what was typed is kept beside', () => {
    const [resin] = expectOk(
      parseShelfJson(
        file({
          name: 'A',
          quotes: [
            { property: 'deflectionHigh_C', value: 212, unit: '°F', test_MPa: 1.82 },
            { property: 'flexuralModulus_MPa', value: 300_000, unit: 'psi' },
          ],
        }),
      ),
    );
    expect(resin.sheet.quotes[0]).toMatchObject({
      value: 100,
      typed: '212 °F',
      testMPa: 1.82,
      condition: 'cured',
    });
    expect(resin.sheet.quotes[1].value).toBeCloseTo(2068.43, 2);
  });

  test('bad rows are named with their resin and place, all of them, and nothing is taken', () => {
    const rows = badRows(
      file(
        {
          name: 'A',
          quotes: [
            { property: 'density_g_ml', value: 0 },
            { property: 'hue', value: 1 },
          ],
        },
        { name: 'B', quotes: [{ property: 'tensileModulus_MPa', value: -2 }] },
        {
          name: 'C',
          quotes: [
            { property: 'deflectionLow_C', value: 49 },
            { property: 'deflectionHigh_C', value: 62 },
          ],
        },
        { name: 'C' },
        { name: '', quotes: [] },
        {
          name: 'D',
          blend: [
            { resin: 'A', fraction: 0.5 },
            { resin: 'nobody', fraction: 0.4 },
          ],
        },
        { name: 'E', proofs: [{ kind: 'drop', on: '2026-11-02', test: { trials: [] } }] },
      ),
    );
    expect(rows.map(({ where, issue }) => [where, issue.code])).toEqual([
      ['resin 1, “A”, quote 1 density_g_ml', 'zeroDensity'],
      ['resin 1, “A”, quote 2', 'notReadable'],
      ['resin 2, “B”, quote 1 tensileModulus_MPa', 'negativeModulus'],
      ['resin 3, “C”,', 'deflectionCrossed'],
      ['resin 5', 'notReadable'],
      ['resin 6, “D”,', 'blendSum'],
      ['resin 7, “E”, test 1', 'notReadable'],
      ['“C”', 'nameTwice'],
      ['“D”', 'blendUnknown'],
    ]);
  });

  test('a file that is no shelf is refused as such', () => {
    expect(parseShelfJson('{')).toEqual({ ok: false, issue: { code: 'notJson' } });
    expect(parseShelfJson('{"kind":"job"}')).toEqual({ ok: false, issue: { code: 'notAShelf' } });
    expect(parseShelfJson('[]')).toEqual({ ok: false, issue: { code: 'notAShelf' } });
  });
});

describe('the sheets as CSV', () => {
  test('travel and come back equal', () => {
    expect(expectOk(parseShelfCsv(formatShelfCsv(SHIPPED_SHELF)))).toEqual(SHIPPED_SHELF);
  });

  test('semicolons, units and an empty list; a fact left out stays unknown', () => {
    const csv = ['resin;property;value;unit', 'A;elongation;4,5;%', 'A;rated;none;'].join('\n');
    const [{ sheet }] = expectOk(parseShelfCsv(csv));
    expect(sheet.quotes[0].value).toBeCloseTo(0.045, 12);
    expect(sheet.rated).toEqual([]);
    expect(sheet.washLiquids).toBeUndefined();
  });

  test.each([
    [
      'resin,property,value\nA,hue,3',
      { code: 'cell', issue: { code: 'notAChoice', line: 2, column: 'property' } },
    ],
    ['resin,property,value\nA,elongation,much', { code: 'cell', issue: { code: 'badNumber', line: 2 } }],
    ['resin,property,value\nA,clarity,milky', { code: 'badRows', rows: [{ where: '“A”, from line 2,' }] }],
    ['resin,property,value\nA,light_nm,12', { code: 'badRows', rows: [{ where: '“A”, from line 2,' }] }],
    ['resin,property,value\n,elongation,3', { code: 'cell', issue: { code: 'blankName', line: 2 } }],
    ['resin,value\nA,3', { code: 'missingColumns', missing: ['property'] }],
    ['resin,property,value,unit\nA,shoreA,50,MPa', { code: 'badRows', rows: [{ where: 'line 2, shoreA' }] }],
  ])('%j is refused by its line', (csv, issue) => {
    expect(parseShelfCsv(csv)).toMatchObject({ ok: false, issue });
  });
});

describe('a requirement file', () => {
  test('what is left out is not asked', () => {
    expect(expectOk(parseRequirementJson('{"serviceMax_C":80,"weights":{"heat":2}}'))).toMatchObject({
      serviceMax_C: 80,
      strainMax: null,
      margin_K: 15,
      washWith: [],
      weights: { heat: 2, toughness: 1, cost: 1 },
    });
  });
  test.each([
    ['{', 'notJson'],
    ['{"heat":80}', 'fieldUnknown'],
    ['{"serviceMax_C":"hot"}', 'notReadable'],
    ['{"stiffness_MPa":[900,100]}', 'stiffnessCrossed'],
    ['{"weights":{"cost":-1}}', 'weightNegative'],
    ['{"stress_MPa":-1}', 'stressNegative'],
  ])('%s is refused: %s', (text, code) => {
    expect(parseRequirementJson(text)).toMatchObject({ ok: false, issue: { code } });
  });
});
