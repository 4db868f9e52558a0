import { keysOf } from '@/core/kit';

/** What a failure looked like; the first thing that is said of it. */
export const FAILURE_WORDS = {
  notStuck: 'did not stick to the plate',
  sheared: 'broke off',
  missingRegion: 'region missing',
  missingLayers: 'layers missing or split',
  fused: 'parts grown together',
  holeClosed: 'hole closed',
  stuckInVat: 'stuck to the film',
  markOnFace: 'mark on a face',
  ranDry: 'vat ran dry',
  stopped: 'printer stopped',
  postProcess: 'damaged after printing',
} as const;

export type FailureKind = keyof typeof FAILURE_WORDS;
export const FAILURE_KINDS = keysOf(FAILURE_WORDS);
