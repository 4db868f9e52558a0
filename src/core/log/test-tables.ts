import type { Cause } from './cause-tables';

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

interface TestLine {
  readonly hours: number;
  /** P(first outcome | cause); the second is the rest. */
  readonly outcomes: readonly [yes: string, no: string];
  readonly usual: number;
  readonly but: Readonly<Partial<Record<Cause, number>>>;
  readonly why: string;
}

/** What each test would show under each cause: ours, editable under House. */
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
    why: 'turned by a half, what belongs to the part goes along and what belongs to the machine stays.',
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
    why: 'small posts all over the plate ask the machine everywhere and the part nowhere.',
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
    why: 'held to the light a tired film is cloudy, dented or slack.',
  },
  levelByPaper: {
    hours: 0.15,
    outcomes: ['uneven', 'even'],
    usual: 0.1,
    but: { level: 0.9, dirtyPlate: 0.12 },
    why: 'a strip of paper is held alike at four corners of a level plate.',
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
    why: 'what was chance does not come again; it tells little and costs a whole print.',
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
    why: 'another file at the same place clears the part.',
  },
  warmer: {
    hours: 3,
    outcomes: ['better', 'same'],
    usual: 0.12,
    but: { cold: 0.88, unmixed: 0.35, supports: 0.2, suction: 0.25 },
    why: 'warm resin flows and cures as the sheet says.',
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
    why: 'a region like it elsewhere on the same part prints alike if the part is to blame.',
  },
});
