import {
  CAUSE_PRIOR,
  type Cause,
  type Chances,
  type Evidence,
  EVIDENCE_TABLE,
  type Line,
} from './cause-tables';

/** Tests that tell causes apart, each a small job or a look. */
export const TESTS = [
  'turnPart',
  'postField',
  'imageCheck',
  'filmToLight',
  'levelByPaper',
  'sameAgain',
  'otherFile',
  'warmer',
  'twinRegion',
] as const;
export type TestName = (typeof TESTS)[number];

export interface TestLine extends Line {
  readonly hours: number;
  /** P(first outcome | cause) is the line's chance; the second is the rest. */
  readonly outcomes: readonly [yes: string, no: string];
}

/** What each test would show under each cause: our own estimates, editable in Settings. */
export const TEST_TABLE: Readonly<Record<TestName, TestLine>> = Object.freeze({
  turnPart: {
    hours: 3,
    outcomes: ['goesWithPart', 'staysOnPlate'],
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
    hours: 0.7,
    outcomes: ['patchMissing', 'allStand'],
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
    hours: 0.1,
    outcomes: ['uneven', 'even'],
    usual: 0.04,
    but: { panel: 0.92, debris: 0.08, film: 0.08 },
    why: 'the image on white paper shows dead pixels and light that falls off.',
  },
  filmToLight: {
    hours: 0.2,
    outcomes: ['dented', 'clear'],
    usual: 0.1,
    but: { film: 0.85, debris: 0.3 },
    why: 'against the light, a worn film is cloudy, dented or slack.',
  },
  levelByPaper: {
    hours: 0.15,
    outcomes: ['uneven', 'even'],
    usual: 0.1,
    but: { level: 0.9, dirtyPlate: 0.12 },
    why: 'a level plate holds a strip of paper equally at all four corners.',
  },
  sameAgain: {
    hours: 3,
    outcomes: ['failsAlike', 'comesOut'],
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
    hours: 2,
    outcomes: ['failsThere', 'comesOut'],
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
    hours: 3,
    outcomes: ['better', 'same'],
    usual: 0.12,
    but: { cold: 0.88, unmixed: 0.35, supports: 0.2, suction: 0.25 },
    why: 'warm resin flows and cures as the datasheet says.',
  },
  twinRegion: {
    hours: 0.1,
    outcomes: ['twinToo', 'twinWhole'],
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
});

/** Everything that failures are read with. */
export interface CauseTables {
  /** In how many of a hundred failures each is the cause, before a workshop has a log. */
  readonly prior: Readonly<Record<Cause, number>>;
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
  return Object.fromEntries(
    Object.entries<Of>(ours).map(([name, line]) => [name, { ...line, ...edits?.[name as Name] }]),
  ) as Record<Name, Of>;
}

/** Our tables with the changes from the settings. */
export function tablesOf({ prior, evidence, tests }: CauseEdits): CauseTables {
  return {
    prior: { ...CAUSE_PRIOR, ...prior },
    evidence: edited(EVIDENCE_TABLE, evidence),
    tests: edited(TEST_TABLE, tests),
  };
}
