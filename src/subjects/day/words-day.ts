import type { DayIssue } from '@/core/run';
import { nameCardStep } from '@/subjects/resin/shared';

const OWN_NAMES: Readonly<Record<string, string>> = {
  print: 'Print',
  off: 'Plate off the printer',
  measure: 'Measure',
};

/** A step of the day by its name. */
export function nameDayStep(step: string): string {
  return OWN_NAMES[step] ?? nameCardStep(step as Parameters<typeof nameCardStep>[0]);
}

/** Why no day could be planned, of what, and how to mend it. */
export function describeNoDay(issue: DayIssue, titleOf: (job: string) => string): string {
  if (issue.code === 'neverThere')
    return `nobody is there long enough for ${titleOf(issue.job)} (${nameDayStep(issue.step).toLowerCase()}). Say under House when somebody is at the bench.`;
  return `${titleOf(issue.job)} cannot be planned: load the page again.`;
}
