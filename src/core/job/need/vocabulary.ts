/** What a part touches or is claimed for; each asks for a caution. */
export const CLAIMS = [
  'mains',
  'skin',
  'mouth',
  'food',
  'sterile',
  'pressure',
  'vehicle',
  'heat',
  'water',
  'outdoors',
  'children',
] as const;
export type Claim = (typeof CLAIMS)[number];

/** Outcome of the acceptance test. */
export const ANSWERS = ['passed', 'partly', 'failed'] as const;
export type Answer = (typeof ANSWERS)[number];

/** Acceptance tests to start from; the words of a job may be any. */
export const ACCEPTANCE_TESTS = [
  'pushAndShake',
  'turnsByHand',
  'holdsPose',
  'passesGauge',
  'looksAlike',
  'slidesByHand',
  'bearsLoad',
] as const;
export type AcceptanceTest = (typeof ACCEPTANCE_TESTS)[number];

/** Whom a mate is lost to when it breaks: bought ones are bought again. */
export const MATE_ORIGINS = ['bought', 'old'] as const;
export type MateOrigin = (typeof MATE_ORIGINS)[number];

/** Largest photo or sketch that is kept, bytes. */
export const LARGEST_PICTURE_BYTES = 15 * 1024 * 1024;
