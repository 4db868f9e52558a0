import { describeBenchTrouble } from './words-trouble';

/** Why a kept bench was neither put back nor deleted. */
export type OriginalIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'unsound'; readonly trouble: Parameters<typeof describeBenchTrouble>[0] };

export function describeOriginalIssue(issue: OriginalIssue): string {
  return issue.code === 'gone'
    ? 'that workshop is no longer in the data folder. Reload the page to see the current list.'
    : `the workshop was not restored. ${describeBenchTrouble(issue.trouble)}`;
}
