import type { IsoFitIssue } from '@/core/fits';
import { describeReopened, type Reopened } from '@/subjects/job/shared';
import { GONE_WORDS } from '@/subjects/language/shared';
import { describeIsoIssue } from './words-fit';

/** Why a wish was not kept. */
export type WishIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'pitchHasNoMate' }
  | { readonly code: 'clearanceCrossed' }
  | { readonly code: 'iso'; readonly issue: IsoFitIssue };

export function describeWishIssue(issue: WishIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'pitchHasNoMate':
      return 'a distance between centres has no mate. Set the wish at the holes or pins themselves.';
    case 'clearanceCrossed':
      return 'the least clearance must lie below the most; negative is interference.';
    case 'iso':
      return describeIsoIssue(issue.issue);
  }
}

interface WishKept {
  readonly unmeasured?: string;
  readonly opened: readonly Reopened[];
}

/** What follows from a wish that was kept. */
export function describeWishKept({ unmeasured, opened }: WishKept): string {
  const follows =
    unmeasured === undefined
      ? 'Kept. Its target and limits follow from it.'
      : `Kept. “${unmeasured}” has no size yet: measure it and type its size, or read it on a measuring sheet. The target and limits then follow.`;
  return `${follows} ${describeReopened(opened)}`.trim();
}
