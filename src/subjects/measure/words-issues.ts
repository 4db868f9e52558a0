import type { Doubt } from '@/core/metrology';
import { GONE_WORDS } from '@/subjects/language/shared';

/** Why a reading or a word was not kept. */
export type ReadingIssue =
  | { readonly code: 'doubt'; readonly doubt: Doubt; readonly readingMm: number }
  | { readonly code: 'gone'; readonly what: 'feature' | 'print' | 'session' }
  | { readonly code: 'notDrawn'; readonly feature: string };

export function describeReadingIssue(issue: Exclude<ReadingIssue, { code: 'doubt' }>): string {
  return issue.code === 'gone'
    ? GONE_WORDS
    : `“${issue.feature}” is not in the file of this print. Add its drawn size under Need.`;
}

export interface TakeBackIssue {
  readonly code: 'nothingToTakeBack';
}

export function describeTakeBackIssue({ code }: TakeBackIssue): string {
  switch (code) {
    case 'nothingToTakeBack':
      return 'there is no reading left to take back.';
  }
}
