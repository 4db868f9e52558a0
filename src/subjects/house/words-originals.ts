import { describeBenchTrouble } from './words-trouble';

/** Why a kept bench was neither put back nor deleted. */
export type OriginalIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'unsound'; readonly trouble: Parameters<typeof describeBenchTrouble>[0] };

export function describeOriginalIssue(issue: OriginalIssue): string {
  return issue.code === 'gone'
    ? 'that bench is no longer in the data folder. Load the page again to see what is.'
    : `it was not put back. ${describeBenchTrouble(issue.trouble)}`;
}
