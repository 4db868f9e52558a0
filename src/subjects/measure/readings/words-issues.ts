import type { Doubt } from '@/core/measure';
import { GONE_WORDS } from '@/subjects/kit/shared';

/** Why a reading or a hand fit was not saved. */
export type ReadingIssue =
  | { readonly code: 'doubt'; readonly doubt: Doubt; readonly readingMm: number }
  | { readonly code: 'gone'; readonly what: 'feature' | 'print' | 'session' }
  | { readonly code: 'otherJob'; readonly what: 'print' | 'session' }
  | { readonly code: 'notDrawn'; readonly feature: string };

export function describeReadingIssue(issue: Exclude<ReadingIssue, { code: 'doubt' }>): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'otherJob':
      return issue.what === 'print'
        ? 'the feature and the print belong to different jobs. Load the page again.'
        : 'the feature and the measuring session belong to different jobs. Load the page again.';
    case 'notDrawn':
      return `“${issue.feature}” is not in the file of this print. Add its drawn size in Need.`;
  }
}

export interface TakeBackIssue {
  readonly code: 'nothingToTakeBack';
}

export function describeTakeBackIssue({ code }: TakeBackIssue): string {
  switch (code) {
    case 'nothingToTakeBack':
      return 'there is no reading to delete.';
  }
}
