import { keysOf } from '@/core/kit';

/** Outcome of the acceptance test. */
export const ANSWER_WORDS = { passed: 'passed', partly: 'passed in part', failed: 'failed' } as const;
export type Answer = keyof typeof ANSWER_WORDS;
export const ANSWERS = keysOf(ANSWER_WORDS);

/** Acceptance tests to start from; the words of a job may be any. */
export const ACCEPTANCE_TESTS = {
  pushAndShake: 'Pushes in by thumb and stays in place when shaken upside down',
  turnsByHand: 'Turns by hand through a full turn without rubbing',
  holdsPose: 'Holds its position after it is set and released',
  passesGauge: 'Passes the gauge',
  looksAlike: 'Matches its neighbour at arm’s length',
  slidesByHand: 'Slides on by hand, without a tool',
  bearsLoad: 'Carries its load for a day without creeping',
} as const;

/** Whether a mate can be bought again when it breaks. */
export const ORIGIN_WORDS = { bought: 'bought, can be reordered', old: 'old part, as found' } as const;
export type MateOrigin = keyof typeof ORIGIN_WORDS;
export const MATE_ORIGINS = keysOf(ORIGIN_WORDS);

/** Largest photo or sketch that is kept, bytes. */
export const LARGEST_PICTURE_BYTES = 15 * 1024 * 1024;
