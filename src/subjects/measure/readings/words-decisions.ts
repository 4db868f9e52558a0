import type { DecisionWords } from '@/subjects/workshop/records/shared';

export interface MeasureEntry {
  readonly code: 'readingsTakenIn';
  readonly readings: number;
  readonly newFeatures: number;
}

export function describeMeasureEntry({ readings, newFeatures }: MeasureEntry): DecisionWords {
  return { title: `${readings} readings imported from a file`, detail: `${newFeatures} new features` };
}
