import { describe, expect, test } from '@jest/globals';
import {
  adviseFastening,
  JOINT_KINDS,
  type GapTestNote,
  MATERIALS,
  NUTS,
  RUINS,
  GAP_STEP_OUTCOMES,
  WISHES,
} from '@/core/fit/mating';
import { GAUGE_CHOICES, type GaugeIssue, gaugeOf } from '@/core/fit/gauges';
import {
  ACCEPTANCE_TESTS,
  ANSWER_WORDS,
  ANSWERS,
  claimOf,
  CLAIMS,
  MATE_ORIGINS,
  ORIGIN_WORDS,
} from '@/core/job/need';
import type { SheetIssue } from '@/core/job/sheets';
import {
  describeGapDirection,
  describeGaugeIssue,
  describeJoint,
  describeGapTestNote,
  describeGapStepOutcome,
} from '@/subjects/fit/gauges/shared';
import { describeMaterial, describeRuin, describeWish, wordsOfField } from '@/subjects/kit/shared';
import {
  describeBodyIssue,
  describeBodyNote,
  describePlace,
  describeSheetIssue,
  describeTakeOverIssue,
  sheetFormOf,
} from '@/subjects/job/sheets/shared';
import { classesForm } from '@/subjects/workshop/settings/shared';
import { jointForm } from '../input-fit';
import { describeWishIssue, describeWishKept } from '../words-issues';
import { describeFastening, describeFasteningReason, describeFasteningSize } from '../words-fastening';
import { describeIsoIssue, describePress } from '../words-fit';

/** A sentence that says something: not empty, no code word, no undefined in it. */
function expectPlain(text: string): void {
  expect(text.length).toBeGreaterThan(3);
  expect(text.replace('WebP', '')).not.toMatch(/undefined|NaN|[a-z][A-Z]/);
}

test('every word of a fit has its plain name', () => {
  WISHES.forEach((wish) => expectPlain(describeWish(wish).means));
  RUINS.forEach((ruin) => expectPlain(describeRuin(ruin)));
  MATERIALS.forEach((material) => expectPlain(describeMaterial(material)));
  JOINT_KINDS.forEach((kind) => expectPlain(describeJoint(kind)));
  GAP_STEP_OUTCOMES.forEach((outcome) => expectPlain(describeGapStepOutcome(outcome)));
  GAUGE_CHOICES.forEach((choice) => expectPlain(gaugeOf(choice).answers));
  MATE_ORIGINS.forEach((origin) => expectPlain(ORIGIN_WORDS[origin]));
  ANSWERS.forEach((answer) => expectPlain(ANSWER_WORDS[answer]));
  Object.values(ACCEPTANCE_TESTS).forEach(expectPlain);
  (['plane', 'height'] as const).forEach((direction) => expectPlain(describeGapDirection(direction)));
  (['yes', 'marginal', 'no', 'unsure', 'falls out'] as const).forEach((holds) =>
    expectPlain(describePress(holds)),
  );
});

test('every claim has a caution, and those of licensed work defer to it', () => {
  CLAIMS.forEach((claim) => expectPlain(claimOf(claim).caution));
  expect(claimOf('mains').caution).toMatch(/licensed electrician.*local code/);
  expect(claimOf('mouth').caution).toMatch(/licensed professional/);
});

test('each way to hold a screw gives its reasons and names its sizes; a hot insert says why not', () => {
  const ways = adviseFastening({ nut: NUTS[2], breakStrain: 0.05, undone: 'never', bothSides: false });
  for (const { way, reasons, sizes } of ways) {
    expectPlain(describeFastening(way));
    reasons.forEach((reason) => expectPlain(describeFasteningReason(reason)));
    sizes.forEach(({ what }) => expectPlain(describeFasteningSize(what)));
  }
  const hot = ways.find(({ way }) => way === 'hotInsert')!;
  expect(hot.rank).toBe(0);
  expect(describeFasteningReason(hot.reasons[0])).toMatch(/does not melt/);
});

describe('what keeps something from coming out says what, where and how to mend it', () => {
  test.each<SheetIssue>([
    { code: 'notRead', label: 'Bore' },
    { code: 'crossed', outer: 'bore', outerMm: 9, inner: 'shaft', innerMm: 9.5 },
    { code: 'wallGone', wallMm: -0.1 },
    { code: 'wallThin', wallMm: 0.5, leastMm: 0.8 },
    { code: 'taperEatsWall', wallMm: 0.4 },
    { code: 'nothingLeft', name: 'Depth', mm: -1 },
  ])('sheet: $code', (issue) => {
    expectPlain(describeSheetIssue(issue));
    expectPlain(describeTakeOverIssue({ code: 'sheet', issue }));
  });

  test.each<GaugeIssue>([
    { code: 'noSizes' },
    { code: 'rungCount', count: 40, least: 2, most: 14 },
    { code: 'rungOrder' },
    { code: 'rungSize', mm: 3, leastMm: 0.02, mostMm: 2 },
    { code: 'pinSize', mm: 1, leastMm: 2, mostMm: 30 },
  ])('gauge: $code', (issue) => expectPlain(describeGaugeIssue(issue)));

  test.each<GapTestNote>([
    { code: 'noRungs' },
    { code: 'allFused', mostMm: 0.5 },
    { code: 'allFree', leastMm: 0.1 },
    { code: 'crossed', freeMm: 0.2, fusedMm: 0.25 },
  ])('ladder: $code', (note) => expectPlain(describeGapTestNote(note)));

  test('readings that disagree, out of round, tapered, read once', () => {
    expect(describeBodyNote({ code: 'disagree', lowMm: 9, highMm: 9.5, mpeMm: 0.02 })).toMatch(
      /9.00 to 9.50.*Delete one/,
    );
    expectPlain(describeBodyNote({ code: 'outOfRound', byMm: 0.1 }));
    expectPlain(describeBodyNote({ code: 'tapers', byMm: 0.1 }));
    expectPlain(describeBodyNote({ code: 'readOnce' }));
  });

  test.each([
    { code: 'notAFit', text: 'x' },
    { code: 'holeLetter', letter: 'G' },
    { code: 'shaftLetter', letter: 'z' },
    { code: 'grade', grade: 20, low: 5, high: 13 },
    { code: 'sizeBeyond', sizeMm: 900, mostMm: 180 },
  ] as const)('letters: $code', (issue) => {
    expect(describeWishIssue({ code: 'iso', issue })).toBe(describeIsoIssue(issue));
  });

  test('every reason for a no is plain', () => {
    expectPlain(describeWishIssue({ code: 'pitchHasNoMate' }));
    expectPlain(describeWishIssue({ code: 'clearanceCrossed' }));
    expectPlain(describeTakeOverIssue({ code: 'noSheet' }));
    expectPlain(describeBodyIssue({ code: 'noInstrument' }));
  });

  test('a mate never measured names it and the way on', () => {
    expect(describeWishKept({ unmeasured: 'the wheel', opened: [] })).toMatch(
      /^Saved\..*“the wheel” has no size yet.*measuring sheet/,
    );
  });

  test('fields carry their words, those of a sheet and of the house’s classes too', () => {
    const labelOf = (form: Parameters<typeof wordsOfField>[0], field: string) =>
      wordsOfField(form, field).label;
    const sheet = sheetFormOf('ring', [{ id: 'housing', label: 'in the wheel' }]);
    expect(labelOf(sheet, 'option_proud')).toMatch(/^Height above the seat/);
    expect(labelOf(sheet, 'most_housing')).toBe('Maximum clearance, in the wheel');
    expect(labelOf(classesForm, 'low_push')).toBe('Minimum clearance, push fit');
    expect(wordsOfField(jointForm, 'scalePercent')).toMatchObject({ label: 'Target scale', unit: '%' });
  });
});

test('a place on a body is told by height and turn', () => {
  expect(describePlace({ level: 0, turn: 0 }, { levels: 2, turns: 2 })).toBe(
    'near its mouth, in any direction',
  );
  expect(describePlace({ level: 1, turn: 1 }, { levels: 3, turns: 2 })).toBe('half way in, turned by 90°');
  expect(describePlace({ level: 0, turn: 0 }, { levels: 1, turns: 1 })).toBe('');
});
