import type { FeatureKind } from '@/core/measure';

/** Sorts of sizes that most parts have. */
export const KINDS: readonly FeatureKind[] = [
  { sense: 'outside', shape: 'flat', axis: 'X' },
  { sense: 'outside', shape: 'flat', axis: 'Y' },
  { sense: 'inside', shape: 'flat', axis: 'X' },
  { sense: 'inside', shape: 'round', axis: 'XY' },
  { sense: 'outside', shape: 'round', axis: 'XY' },
  { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
];
