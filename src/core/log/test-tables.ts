import { keysOf, mapRecord } from '@/core/kit';
import { CAUSE_PRIOR, type Cause, type Chances, type Line } from './causes';
import { type Evidence, EVIDENCE_TABLE } from './evidence-table';
import type { ByCause } from './posterior';

/** A result of a test, as it is stored and as it is read. */
interface Outcome {
  readonly name: string;
  readonly words: string;
}

/** All facts about a test that tells causes apart: a small job or an inspection. */
export interface TestLine extends Line {
  readonly title: string;
  readonly how: string;
  /** Usual time, hours. */
  readonly hours: number;
  /** It prints the part itself again, and so takes its hours and its cost. */
  readonly printsAgain: boolean;
  /** A file that is made for it, as the link to it reads. */
  readonly file?: string;
  readonly caution?: string;
  /** P(first outcome | cause) is the chance of the line; the second is the rest. */
  readonly outcomes: readonly [yes: Outcome, no: Outcome];
}

/** What each test would show under each cause: our own estimates, editable in Settings. */
const TEST_DEFINITIONS = {
  turnPart: {
    file: 'Download rotated part, STL',
    title: 'Reprint, rotated 180°',
    how: 'The same file at the same place, rotated 180° about the vertical.',
    hours: 3,
    printsAgain: true,
    outcomes: [
      { name: 'goesWithPart', words: 'the failure moved with the part' },
      { name: 'staysOnPlate', words: 'the failure stayed at the same place on the plate' },
    ],
    usual: 0.5,
    but: {
      film: 0.08,
      panel: 0.06,
      debris: 0.12,
      level: 0.15,
      dirtyPlate: 0.3,
      supports: 0.92,
      island: 0.95,
      suction: 0.9,
      jump: 0.85,
      thin: 0.95,
    },
    why: 'after a rotation by 180°, effects of the part move with it and effects of the printer stay.',
  },
  postField: {
    file: 'Download post field for this plate, STL',
    title: 'Print a field of small posts',
    how: 'Posts of 2 mm, 3 mm high, over the whole plate: half an hour.',
    hours: 0.7,
    printsAgain: false,
    outcomes: [
      { name: 'patchMissing', words: 'posts are missing or poor in one area' },
      { name: 'allStand', words: 'all posts are intact' },
    ],
    usual: 0.08,
    but: {
      film: 0.7,
      panel: 0.75,
      level: 0.6,
      debris: 0.6,
      dirtyPlate: 0.45,
      cold: 0.25,
      exposure: 0.25,
      unmixed: 0.2,
    },
    why: 'small posts over the whole plate test the printer everywhere and the part nowhere.',
  },
  imageCheck: {
    caution:
      'Ultraviolet: never look into the screen. Wear UV-blocking glasses, or look through a phone camera.',
    file: 'Download grid for this plate, SVG',
    title: 'Display image on white paper',
    how: 'Remove the vat, put white paper on the screen, and show all pixels lit, then a grid. Look from the side, never into the light.',
    hours: 0.1,
    printsAgain: false,
    outcomes: [
      { name: 'uneven', words: 'an area is dark or uneven' },
      { name: 'even', words: 'it is even' },
    ],
    usual: 0.04,
    but: { panel: 0.92, debris: 0.08, film: 0.08 },
    why: 'the image on white paper shows dead pixels and light that falls off.',
  },
  filmToLight: {
    caution: 'Uncured resin: wear nitrile gloves and eye protection, and keep a tray below.',
    title: 'Check the film against the light',
    how: 'Wear gloves. Empty and wipe the vat, then look through the film against a lamp.',
    hours: 0.2,
    printsAgain: false,
    outcomes: [
      { name: 'dented', words: 'it is dented, cloudy or slack there' },
      { name: 'clear', words: 'it is clear and tight' },
    ],
    usual: 0.1,
    but: { film: 0.85, debris: 0.3 },
    why: 'against the light, a worn film is cloudy, dented or slack.',
  },
  levelByPaper: {
    caution: 'Look before you lower the plate: an object under it breaks the screen.',
    title: 'Check the level with paper',
    how: 'Put a strip of paper under each corner of the plate. All four must hold it equally.',
    hours: 0.15,
    printsAgain: false,
    outcomes: [
      { name: 'uneven', words: 'the corners differ' },
      { name: 'even', words: 'all four equal' },
    ],
    usual: 0.1,
    but: { level: 0.9, dirtyPlate: 0.12 },
    why: 'a level plate holds a strip of paper equally at all four corners.',
  },
  sameAgain: {
    title: 'Repeat the same print',
    how: 'Nothing changed. It shows little for the cost of a whole print.',
    hours: 3,
    printsAgain: true,
    outcomes: [
      { name: 'failsAlike', words: 'it fails the same way' },
      { name: 'comesOut', words: 'it prints well' },
    ],
    usual: 0.6,
    but: {
      debris: 0.35,
      dirtyPlate: 0.3,
      cold: 0.5,
      unmixed: 0.4,
      ranDry: 0.2,
      film: 0.75,
      panel: 0.9,
      island: 0.85,
      thin: 0.85,
      axis: 0.8,
    },
    why: 'a chance failure rarely repeats; the test gives little information and costs a whole print.',
  },
  otherFile: {
    title: 'Print another file at that place',
    how: 'Print something that has printed well before, at the place where this part failed.',
    hours: 2,
    printsAgain: false,
    outcomes: [
      { name: 'failsThere', words: 'it fails there too' },
      { name: 'comesOut', words: 'it prints well' },
    ],
    usual: 0.1,
    but: {
      film: 0.75,
      panel: 0.85,
      level: 0.6,
      debris: 0.5,
      dirtyPlate: 0.4,
      cold: 0.6,
      unmixed: 0.5,
      exposure: 0.6,
      axis: 0.75,
    },
    why: 'another file at the same place shows that the part is not the cause.',
  },
  warmer: {
    title: 'Repeat with warmer resin',
    how: 'Room and resin 5 °C warmer, everything else unchanged.',
    hours: 3,
    printsAgain: true,
    outcomes: [
      { name: 'better', words: 'it is better' },
      { name: 'same', words: 'it fails the same way' },
    ],
    usual: 0.12,
    but: { cold: 0.88, unmixed: 0.35, supports: 0.2, suction: 0.25 },
    why: 'warm resin flows and cures as the datasheet says.',
  },
  twinRegion: {
    title: 'Compare with a similar region',
    how: 'A region of the part with the same shape and orientation, at another place on the plate.',
    hours: 0.1,
    printsAgain: false,
    outcomes: [
      { name: 'twinToo', words: 'it failed too' },
      { name: 'twinWhole', words: 'it is intact' },
    ],
    usual: 0.3,
    but: {
      island: 0.85,
      thin: 0.85,
      supports: 0.6,
      suction: 0.7,
      exposure: 0.8,
      film: 0.12,
      panel: 0.1,
      debris: 0.1,
      level: 0.25,
    },
    why: 'a similar region elsewhere on the same part fails the same way if the part is the cause.',
  },
} as const satisfies Readonly<Record<string, TestLine>>;

export type TestName = keyof typeof TEST_DEFINITIONS;
export const TESTS = keysOf(TEST_DEFINITIONS);
export const TEST_TABLE: Readonly<Record<TestName, TestLine>> = Object.freeze(TEST_DEFINITIONS);

/** A result of a test as text; undefined: the test has no such result. */
export const outcomeWords = (test: TestName, outcome: string): string | undefined =>
  TEST_TABLE[test].outcomes.find(({ name }) => name === outcome)?.words;

/** Everything that failures are read with. */
export interface CauseTables {
  /** In how many of a hundred failures each is the cause, before a workshop has a log. */
  readonly prior: ByCause<Cause>;
  readonly evidence: Readonly<Record<Evidence, Line>>;
  readonly tests: Readonly<Record<TestName, TestLine>>;
}

/** Ours, to start with. */
export const OUR_TABLES: CauseTables = Object.freeze({
  prior: CAUSE_PRIOR,
  evidence: EVIDENCE_TABLE,
  tests: TEST_TABLE,
});

/** What a house holds instead of ours, line by line. */
export interface CauseEdits {
  readonly prior?: Readonly<Partial<Record<Cause, number>>>;
  readonly evidence?: Readonly<Partial<Record<Evidence, Chances>>>;
  readonly tests?: Readonly<Partial<Record<TestName, Chances>>>;
}

function edited<Name extends string, Of extends Line>(
  ours: Readonly<Record<Name, Of>>,
  edits: Readonly<Partial<Record<Name, Chances>>> | undefined,
): Readonly<Record<Name, Of>> {
  return mapRecord(ours, (line, name) => ({ ...line, ...edits?.[name] }));
}

/** Our tables with the changes from the settings. */
export function tablesOf({ prior, evidence, tests }: CauseEdits): CauseTables {
  return {
    prior: { ...CAUSE_PRIOR, ...prior },
    evidence: edited<Evidence, Line>(EVIDENCE_TABLE, evidence),
    tests: edited(TEST_TABLE, tests),
  };
}
