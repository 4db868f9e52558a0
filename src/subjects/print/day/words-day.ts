import { type DayIssue } from '@/core/print';
import { type ProcessStep, processStepOf } from '@/core/resin';

const OWN_NAMES = { print: 'Print', off: 'Remove from printer', measure: 'Measure' } as const;

/** A step of the day by its name. */
export function nameDayStep(step: string): string {
  return step in OWN_NAMES
    ? OWN_NAMES[step as keyof typeof OWN_NAMES]
    : processStepOf(step as ProcessStep).name;
}

/** Why no day could be scheduled, for which job, and what to do. */
export function describeNoDay(issue: DayIssue, titleOf: (job: string) => string): string {
  if (issue.code === 'neverThere')
    return `no working time is long enough for ${titleOf(issue.job)} (${nameDayStep(issue.step).toLowerCase()}). Enter working hours in Settings.`;
  return `${titleOf(issue.job)} cannot be scheduled. Reload the page.`;
}
