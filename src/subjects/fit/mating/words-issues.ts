import type { IsoFitIssue } from '@/core/fit/mating';
import { describeReopened, type Reopened } from '@/subjects/job/jobs/shared';
import { GONE_WORDS } from '@/subjects/kit/shared';
import { describeIsoIssue } from './words-fit';

/** Why a fit was not saved. */
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
      return 'a centre distance has no mate. Set the fit on the holes or pins.';
    case 'clearanceCrossed':
      return 'the minimum clearance must be below the maximum. Negative means interference.';
    case 'iso':
      return describeIsoIssue(issue.issue);
  }
}

interface WishKept {
  readonly unmeasured?: string;
  readonly opened: readonly Reopened[];
}

/** What follows from a saved fit. */
export function describeWishKept({ unmeasured, opened }: WishKept): string {
  const follows =
    unmeasured === undefined
      ? 'Saved. The target and limits are calculated from it.'
      : `Saved. “${unmeasured}” has no size yet. Measure it and type the size, or use a measuring sheet. The target and limits are then calculated.`;
  return `${follows} ${describeReopened(opened)}`.trim();
}
