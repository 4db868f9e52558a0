import type { Doubt } from '@/core/measure';
import type { SheetIssue } from '@/core/job/sheets';
import { describeTakenName, GONE_WORDS } from '@/subjects/kit/shared';
import { describeSheetIssue } from './words-sheet';

/** Why a reading of the old part was not saved. */
export type BodyIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'noInstrument' }
  | { readonly code: 'doubt'; readonly doubt: Doubt; readonly readingMm: number };

/** Why a sheet was not transferred into its job. */
export type TakeOverIssue =
  | { readonly code: 'noSheet' }
  | { readonly code: 'sheet'; readonly issue: SheetIssue }
  | { readonly code: 'nameTaken'; readonly name: string };

export function describeBodyIssue({ code }: Exclude<BodyIssue, { code: 'doubt' }>): string {
  return code === 'gone' ? GONE_WORDS : 'there is no caliper yet. Add one in Settings.';
}

export function describeTakeOverIssue(issue: TakeOverIssue): string {
  switch (issue.code) {
    case 'noSheet':
      return 'choose a measuring sheet first.';
    case 'sheet':
      return describeSheetIssue(issue.issue);
    case 'nameTaken':
      return describeTakenName(issue.name);
  }
}
