import type { DecisionStep } from '@/subjects/workshop/records';

interface StepOfJob {
  readonly step: DecisionStep;
  readonly number: number;
  readonly label: string;
}

/** The steps of a job in the order of the work; a step keeps its number while others do not exist yet. */
const JOB_STEPS: readonly StepOfJob[] = [
  { step: 'need', number: 1, label: 'Need' },
  { step: 'resin', number: 2, label: 'Resin' },
  { step: 'fit', number: 3, label: 'Fit' },
  { step: 'check', number: 4, label: 'Check' },
  { step: 'run', number: 5, label: 'Print' },
  { step: 'measure', number: 6, label: 'Measure' },
  { step: 'correct', number: 7, label: 'Correct' },
  { step: 'story', number: 8, label: 'History' },
];

/** A gauge is printed unchanged: it has no fit and no newly drawn sizes. */
const GAUGE_STEPS: ReadonlySet<DecisionStep> = new Set(['need', 'run', 'measure', 'story']);

export function jobStepsOf(kind: 'part' | 'gauge'): readonly StepOfJob[] {
  return kind === 'part' ? JOB_STEPS : JOB_STEPS.filter(({ step }) => GAUGE_STEPS.has(step));
}
