import type { IsoFitIssue } from '@/core/fits';
import { GONE_WORDS } from '@/subjects/language/shared';
import { describeIsoIssue } from './words-fit';

/** Why a wish does not stand, or not yet. */
export type WishIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'pitchHasNoMate' }
  | { readonly code: 'clearanceCrossed' }
  | { readonly code: 'mateUnmeasured'; readonly name: string }
  | { readonly code: 'iso'; readonly issue: IsoFitIssue };

export function describeWishIssue(issue: WishIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'pitchHasNoMate':
      return 'a distance between centres meets nothing: wish at the holes or pins themselves.';
    case 'clearanceCrossed':
      return 'the least clearance must lie below the most; negative is interference.';
    case 'mateUnmeasured':
      return `the wish is kept, but “${issue.name}” was never measured, so there is nothing to take the clearance from. Measure it and type its size, or read it on a measuring sheet.`;
    case 'iso':
      return describeIsoIssue(issue.issue);
  }
}
