import type { DayIssue } from '@/core/print';
import { nameCardStep } from '@/subjects/resin/shelf/shared';

const OWN_NAMES: Readonly<Record<string, string>> = {
  print: 'Print',
  off: 'Remove from printer',
  measure: 'Measure',
};

/** A step of the day by its name. */
export function nameDayStep(step: string): string {
  return OWN_NAMES[step] ?? nameCardStep(step as Parameters<typeof nameCardStep>[0]);
}

/** Why no day could be scheduled, for which job, and what to do. */
export function describeNoDay(issue: DayIssue, titleOf: (job: string) => string): string {
  if (issue.code === 'neverThere')
    return `no working time is long enough for ${titleOf(issue.job)} (${nameDayStep(issue.step).toLowerCase()}). Enter working hours in Settings.`;
  return `${titleOf(issue.job)} cannot be scheduled. Reload the page.`;
}
