import type { FeatureKindIssue } from '@/core/measure';
import { describeKindIssue, describeTakenName, GONE_WORDS } from '@/subjects/kit/shared';

/** Why a job or one of its features was not changed. */
export type JobIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'changedElsewhere' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'limitsCrossed' }
  | { readonly code: 'notPositive' }
  | { readonly code: 'kind'; readonly issue: FeatureKindIssue };

/** Why an attempt was not started. */
export type StartIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'noProfile' }
  | { readonly code: 'noFeatures' }
  | { readonly code: 'noReason' };

export const CHANGED_ELSEWHERE_WORDS =
  'another window changed this job. Your entries are not lost: copy them, reload the page and enter them again.';

export function describeJobIssue(issue: JobIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'changedElsewhere':
      return CHANGED_ELSEWHERE_WORDS;
    case 'nameTaken':
      return describeTakenName(issue.name);
    case 'limitsCrossed':
      return 'the lower limit must be below the upper limit. Enter both as signed deviations, such as −0.05 and +0.05.';
    case 'notPositive':
      return 'a size must be above zero.';
    case 'kind':
      return `${describeKindIssue(issue.issue)}.`;
  }
}

export function describeStartIssue(issue: StartIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'noProfile':
      return 'choose the printer, resin and profile in Need first.';
    case 'noFeatures':
      return 'enter at least one feature with its target in Need first, or design a joint in Fit.';
    case 'noReason':
      return 'enter the reason in one line. The program finds what changed, but not why.';
  }
}
