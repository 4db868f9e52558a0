import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import { formatOutcomesCsv, parseOutcomesCsv } from '@/subjects/fit/gauges/shared';
import { formatTargetsCsv, parseTargetsCsv } from '@/subjects/job/jobs/shared';
import { describeCsvIssue, formatTable, MOST_CSV_ROWS, parseTable } from '@/subjects/kit/shared';
import { formatReadingsCsv, parseReadingsCsv } from '../input-readings-csv';

const HEADER = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm';

const BORE = 'bore,inside,round,XY,,,8.1,P1,cured,8.02';

const said = (text: string) => {
  const parsed = parseReadingsCsv(text);
  return parsed.ok ? 'taken' : describeCsvIssue(parsed.issue);
};

describe('readings.csv', () => {
  test('written and read back is the same', () => {
    const rows = expectOk(
      parseReadingsCsv(
        `${HEADER},warm,instrument,zero_mm,part_C,height_mm,taken_at\n${BORE},yes,bench,0.01,21,2,2026-01-02\n`,
      ),
    );
    const again = expectOk(parseReadingsCsv(formatReadingsCsv(rows)));
    expect(again).toEqual(rows);
    expect(rows[0]).toMatchObject({
      warm: true,
      instrument: 'bench',
      zeroMm: 0.01,
      partC: 21,
      heightMm: 2,
      line: 2,
    });
  });

  test('a byte order mark, semicolons with comma decimals, other line ends and blank lines do no harm', () => {
    const semicolons = `\ufeff${HEADER.replaceAll(',', ';')}\r\nbore;inside;round;XY;;;8,1;P1;cured;8,02\r\n\r\n`;
    expect(expectOk(parseReadingsCsv(semicolons))[0]).toMatchObject({ drawnMm: 8.1, readingMm: 8.02 });
  });

  test('unknown columns are ignored', () => {
    expect(expectOk(parseReadingsCsv(`${HEADER},mood\n${BORE},good\n`))).toHaveLength(1);
  });

  test.each([
    ['', 'the file has no rows. Put column names in the first line and one row in each further line.'],
    [
      `${HEADER}\n`,
      'the file has no rows. Put column names in the first line and one row in each further line.',
    ],
    ['feature,sense\nbore,inside\n', 'line 1: the columns shape, axis'],
    [`${HEADER}\n${BORE}\nbore,inside,round\n`, 'line 3: 3 cells, but the header has 10'],
    [
      `${HEADER}\n${BORE.replace('inside', 'within')}\n`,
      'line 2, sense: “within” is not valid. Use one of outside, inside, pitch',
    ],
    [`${HEADER}\n${BORE.replace('8.02', 'eight')}\n`, 'line 2, reading_mm: “eight” is not a number'],
    [`${HEADER}\n${BORE.replace('8.02', '')}\n`, 'line 2, reading_mm: the field is empty'],
    [`${HEADER}\n${BORE.replace('8.1', '0')}\n`, 'line 2, drawn_mm: 0 is not a valid size'],
    [`${HEADER}\n${BORE.replace('8.02', '-8.02')}\n`, 'line 2, reading_mm: -8.02 is not a valid size'],
    [`${HEADER}\n${BORE.replace('bore', '')}\n`, 'line 2, feature: empty'],
    [`${HEADER}\nstep,outside,flat,Z,,,5,P1,cured,5.01\n`, 'line 2: an outside size along Z needs its base'],
    [
      `${HEADER}\nwall,outside,flat,XY,,,5,P1,cured,5.01\n`,
      'line 2: a flat size with axis XY needs its angle',
    ],
    [`${HEADER}\nhole,inside,round,X,,,5,P1,cured,5.01\n`, 'line 2: a round size is measured across'],
    [
      `${HEADER}\n${BORE}\nbore,outside,round,XY,,,8.1,P1,cured,8.2\n`,
      'line 3: “bore” has a different sense, shape, axis or base than in line 2',
    ],
  ])('a bad file is named with its line and its mend (%#)', (text, sentence) => {
    expect(said(text)).toContain(sentence);
  });

  test('a million rows are refused at the limit, not read to the end', () => {
    const text = `${HEADER}\n${`${BORE}\n`.repeat(MOST_CSV_ROWS + 5)}`;
    expect(said(text)).toContain(`more than ${MOST_CSV_ROWS} rows`);
  });

  test('whatever bytes come, there is an answer', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        expect(typeof said(`${HEADER}\n${text}`)).toBe('string');
      }),
      { seed: 10, numRuns: 200 },
    );
  });
});

describe('targets.csv', () => {
  const TARGETS = 'feature,sense,shape,axis,angle_deg,base,target_mm,tol_minus_mm,tol_plus_mm';

  test('written and read back is the same', () => {
    const targets = expectOk(parseTargetsCsv(`${TARGETS}\nwall,outside,flat,XY,30,,5,-0.05,0.1\n`));
    expect(targets[0].kind.angleRad).toBeCloseTo(Math.PI / 6, 12);
    expect(expectOk(parseTargetsCsv(formatTargetsCsv(targets)))).toEqual(targets);
  });

  test.each([
    ['bore,inside,round,XY,,,8,0.1,0.2', 'tol_minus_mm of “bore” must be zero or negative'],
    ['bore,inside,round,XY,,,8,0,0', 'must be zero or negative'],
    [
      'bore,inside,round,XY,,,8,-0.1,0.1\nbore,inside,round,XY,,,8,-0.1,0.1',
      'line 3: “bore” is in the file twice',
    ],
  ])('%s is refused', (row, sentence) => {
    const parsed = parseTargetsCsv(`${TARGETS}\n${row}\n`);
    expect(parsed.ok ? '' : describeCsvIssue(parsed.issue)).toContain(sentence);
  });
});

describe('tables going out', () => {
  test.each(['=1+1', '+cmd', '-2', '@sum', '\tx'])('a cell %j cannot run in a spreadsheet', (cell) => {
    expect(
      formatTable(['a'], [[cell]])
        .split('\n')[1]
        .replace(/^"/, ''),
    ).toMatch(/^'/);
  });

  test('numbers stay numbers, negative ones too', () => {
    expect(formatTable(['a', 'b'], [[-0.05, 'plain']])).toBe('a,b\n-0.05,plain\n');
  });

  test('tabs part cells too', () => {
    expect(expectOk(parseTable('a\tb\n1\t2', ['a']))[0].cells).toEqual({ a: '1', b: '2' });
  });
});

describe('outcomes.csv', () => {
  test('goes out and comes in the same, a rung tried twice standing twice', () => {
    const rungs = [
      { gapMm: 0.2, outcome: 'fused' },
      { gapMm: 0.3, outcome: 'free' },
      { gapMm: 0.3, outcome: 'sloppy' },
    ] as const;
    expect(expectOk(parseOutcomesCsv(formatOutcomesCsv(rungs)))).toEqual(rungs);
  });

  test('a semicolon, a decimal comma and rows in any order are read', () => {
    expect(expectOk(parseOutcomesCsv('gap_mm;outcome\n0,4;free\n0,1;fused\n'))).toEqual([
      { gapMm: 0.4, outcome: 'free' },
      { gapMm: 0.1, outcome: 'fused' },
    ]);
  });

  test.each([
    ['a column missing', 'gap_mm\n0.1\n'],
    ['a strange word', 'gap_mm,outcome\n0.1,melted\n'],
    ['no gap', 'gap_mm,outcome\n,free\n'],
    ['a gap of words', 'gap_mm,outcome\nnarrow,free\n'],
    ['a gap of nothing', 'gap_mm,outcome\n0,free\n'],
  ])('%s is refused, and nothing is read', (_, text) => {
    expect(parseOutcomesCsv(text).ok).toBe(false);
  });
});
