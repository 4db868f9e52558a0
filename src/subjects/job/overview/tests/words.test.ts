import { formatChance, formatMm, formatSigned } from '@/core/kit/wording';
import { describe, expect, test } from '@jest/globals';
import { checkMesh, type MeshIssue } from '@/core/part/mesh';
import { PARAMETER_NAMES } from '@/core/signature';
import {
  describeDoubt,
  describeKind,
  describeLengthNote,
  describeOutcome,
  describeQuantityIssue,
  describeSettling,
  describeVerdict,
  parameterWords,
} from '@/subjects/kit/shared';
import { describeVerdictIssue } from '@/subjects/part/shared';
import { describeRestoreIssue } from '@/subjects/workshop/settings/shared';
import { describeJobIssue, describeStartIssue } from '@/subjects/job/jobs/shared';
import {
  describeImportIssue,
  describeReadingIssue,
  describeTakeBackIssue,
} from '@/subjects/measure/readings/shared';
import { describeAnswerIssue, describePictureIssue } from '@/subjects/job/need/shared';
import { describeSimulatedIssue } from '@/subjects/simulated/shared';
import {
  describeKeepIssue,
  describeMeasureIssue,
  describeMeshFaults,
  describeMeshIssue,
} from '@/subjects/workshop/records/shared';
import { box } from '@/testing/meshes';

describe('numbers for people', () => {
  test('minus is a minus sign, and nothing is minus zero', () => {
    expect(formatMm(-0.04)).toBe('−0.04');
    expect(formatMm(-0.001)).toBe('0.00');
    expect(formatSigned(0.04)).toBe('+0.04');
    expect(formatSigned(0.001)).toBe('0.00');
    expect(formatMm(12.3456, 3)).toBe('12.346');
  });

  test('a chance is never a flat nought or one', () => {
    expect(formatChance(0.001)).toBe('< 1 %');
    expect(formatChance(0.9999)).toBe('> 99 %');
    expect(formatChance(0.86)).toBe('86 %');
  });
});

describe('verdicts in words', () => {
  test('out says how far and which side, in thousandths when close', () => {
    expect(describeVerdict({ kind: 'out', side: 'over', byMm: 0.04, rule: 'guarded' })).toBe(
      'out, 0.04 over',
    );
    expect(describeVerdict({ kind: 'out', side: 'under', byMm: 0.004, rule: 'guarded' })).toBe(
      'out, 0.004 under',
    );
    expect(describeVerdict({ kind: 'in', rule: 'guarded' })).toBe('in');
  });

  test('what would settle it is said, rounded to the cautious side', () => {
    expect(describeSettling({ kind: 'repeats', more: 1 })).toBe('one more reading decides it');
    expect(describeSettling({ kind: 'repeats', more: 4 })).toContain('4 more readings');
    expect(describeSettling({ kind: 'instrument', mpeMm: 0.0079 })).toContain('0.007 mm');
    expect(describeSettling({ kind: 'nothing' })).toContain(
      'on the limit: only a more accurate instrument can decide',
    );
  });

  test('an outcome names the features it hangs on, and not a dozen of them', () => {
    expect(describeOutcome({ kind: 'out', features: ['a', 'b', 'c', 'd', 'e'] })).toBe(
      'out: a, b and 3 more',
    );
    expect(describeOutcome({ kind: 'cantTell', features: ['a'] })).toContain('can’t tell yet: a');
    expect(describeOutcome({ kind: 'partly', read: 2, of: 3 })).toBe('2 of 3 features measured');
    expect(
      ['notPrinted', 'notRead', 'in']
        .map((kind) => describeOutcome({ kind } as never))
        .every((text) => text.length > 5),
    ).toBe(true);
  });
});

test('kinds of features read as a workshop says them', () => {
  expect(describeKind({ sense: 'inside', shape: 'round', axis: 'XY' })).toBe('inside ⌀');
  expect(describeKind({ sense: 'outside', shape: 'flat', axis: 'XY', angleRad: Math.PI / 6 })).toBe(
    'outside along 30°',
  );
  expect(describeKind({ sense: 'outside', shape: 'flat', axis: 'Z', base: 'supported' })).toBe(
    'height, on supports',
  );
  expect(describeKind({ sense: 'inside', shape: 'flat', axis: 'Z' })).toBe('gap along Z');
  expect(describeKind({ sense: 'pitch', shape: 'round', axis: 'XY' })).toBe('centre distance');
});

test('every parameter has a title and says how to pin it', () => {
  for (const name of PARAMETER_NAMES) expect(parameterWords(name).pin).toMatch(/^measure /);
});

test('doubts say what was typed and what it may have been', () => {
  expect(describeDoubt({ code: 'looksLikeInches', guessMm: 9.5 }, 0.374)).toBe(
    '0.374 is 25.4 times too small. Is it in inches? That would be 9.50 mm.',
  );
  expect(describeDoubt({ code: 'farOff', expectedMm: 9.5 }, 12)).toContain(
    '2.50 mm away from the expected 9.50',
  );
  expect(describeDoubt({ code: 'notPositive' }, -1)).toContain('above zero');
});

test('every sentence about a bad file ends with what to do', () => {
  const issues: MeshIssue[] = [
    { code: 'badFace', line: 3, text: '1 2' },
    { code: 'indexOutOfRange', facet: 1, index: 8, vertices: 8 },
    { code: 'tooManyFacets', limit: 1 },
    { code: 'badHeader', line: 'x' },
    { code: 'notPackage' },
    { code: 'packageTooLarge', bytes: 1e9, limitBytes: 1e8 },
    { code: 'pathOutside', path: '../x' },
    { code: 'noModel' },
    { code: 'badXml', detail: 'x' },
    { code: 'entities' },
    { code: 'unknownUnit', unit: 'ell' },
    { code: 'badAttribute', element: 'vertex', attribute: 'x' },
    { code: 'objectMissing', id: '1' },
    { code: 'cyclicComponent', id: '1' },
    { code: 'emptyFile' },
    { code: 'tooLarge', bytes: 4e8, limitBytes: 3e8 },
    { code: 'notStl' },
    { code: 'cutShort', claimed: 12, whole: 5 },
    { code: 'noFacets' },
    { code: 'notFinite', facet: 4 },
    { code: 'badVertex', line: 5 },
    { code: 'looseCorners', corners: 7 },
  ];
  for (const issue of issues)
    expect(describeMeshIssue(issue)).toMatch(/(Export|Copy|Check|Repair|export) .*\.$/);
  expect(describeKeepIssue({ code: 'cutInTransfer', arrived: 10, announced: 20 })).toContain(
    '10 of 20 bytes',
  );
  expect(describeKeepIssue({ code: 'tooLarge', bytes: 4e8, limitBytes: 3e8 })).toContain('286 MB');
  expect(describeMeasureIssue({ code: 'nothingThere', anchorMm: [1, 2, 3] })).toContain('1.00, 2.00, 3.00');
  expect(describeImportIssue({ code: 'noInstrument', line: 3, name: 'x' })).toContain(
    'line 3: there is no caliper named “x”',
  );
  expect(
    describeImportIssue({ code: 'otherDrawn', line: 4, feature: 'bore', haveMm: 9, fileMm: 8 }),
  ).toContain('is 9 mm here and 8 mm in the file');
  expect(describeJobIssue({ code: 'limitsCrossed' })).toContain('−0.05');
});

test('faults of a mesh are listed, a sound one has none', () => {
  const part = box(1, 1, 1);
  expect(describeMeshFaults(checkMesh(part))).toEqual([]);
  const open = checkMesh({ positions: part.positions, facets: part.facets.slice(3) });
  expect(describeMeshFaults(open)).toEqual(['open: 3 edges have one facet only']);
});

test.each([
  describeJobIssue({ code: 'gone' }),
  describeJobIssue({ code: 'changedElsewhere' }),
  describeJobIssue({ code: 'nameTaken', name: 'Bore' }),
  describeJobIssue({ code: 'limitsCrossed' }),
  describeJobIssue({ code: 'notPositive' }),
  describeJobIssue({ code: 'kind', issue: { code: 'baseMissing' } }),
  describeStartIssue({ code: 'noProfile' }),
  describeStartIssue({ code: 'noFeatures' }),
  describeStartIssue({ code: 'noReason' }),
  describeReadingIssue({ code: 'notDrawn', feature: 'Bore' }),
  describeTakeBackIssue({ code: 'nothingToTakeBack' }),
  describeSimulatedIssue({ code: 'noSimulatedPrinter' }),
  describeSimulatedIssue({ code: 'jawsDoNotEnter' }),
  describeRestoreIssue({ code: 'notABackup' }),
  describeRestoreIssue({ code: 'damaged' }),
  describeAnswerIssue({ code: 'noTest' }),
  describeAnswerIssue({ code: 'notPrinted' }),
  describePictureIssue({ code: 'notAPicture' }),
  describePictureIssue({ code: 'pictureTooLarge', bytes: 2e7, limitBytes: 15e6 }),
  describeVerdictIssue({ code: 'noWaiver' }),
  describeVerdictIssue({ code: 'partChanged' }),
])('every reason for a no says the way on: %s', (text) => {
  expect(text).toMatch(/\.$/);
  expect(text.replace('WebP', '')).not.toMatch(/undefined|[a-z][A-Z]/);
});

describe('a length that cannot be taken', () => {
  test.each([
    [{ code: 'blank' }, /12\.34/],
    [{ code: 'notANumber', text: 'wide' }, /“wide” is not a number/],
    [{ code: 'ambiguousSeparators', text: '1,234.5' }, /more than one point or comma/],
    [
      { code: 'unknownUnit', unit: 'ell', quantity: 'length', known: ['mm', 'in'] },
      /“ell” is not a unit of a length/,
    ],
    [{ code: 'tooLarge', text: '1e999' }, /too large/],
  ] as const)('$0.code says what to type', (issue, sentence) => {
    expect(describeQuantityIssue(issue)).toMatch(sentence);
  });

  test.each(['commaDecimal', 'inches', 'centimetres', 'micrometres'] as const)(
    '%s is noted in words',
    (note) => {
      expect(describeLengthNote(note)).toMatch(/ (read as|converted to) /);
    },
  );
});
