import { formatMm, GONE_WORDS } from '@/subjects/language/shared';

/** Why a part was not turned. */
export type TurnIssue =
  | { readonly code: 'gone' }
  /** An attempt waits for its print with a file that was corrected for the way it stands. */
  | { readonly code: 'correctedWaits'; readonly attempt: number };

export function describeTurnIssue(issue: TurnIssue): string {
  return issue.code === 'gone'
    ? GONE_WORDS
    : `Attempt ${issue.attempt} waits for its print with a file that was corrected for the way it stands. Print it, or turn the part before it is corrected.`;
}

/** Why a print was not noted. */
export type PrintIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'openFindings'; readonly count: number }
  | { readonly code: 'offPlate'; readonly plateMm: readonly [number, number] };

export function describePrintIssue(issue: PrintIssue): string {
  if (issue.code === 'gone') return GONE_WORDS;
  if (issue.code === 'offPlate') {
    const [x, y] = issue.plateMm.map((mm) => formatMm(mm / 2, 0));
    return `that place is not on the plate, which reaches ${x} mm to each side of its middle and ${y} mm to the front and back.`;
  }
  const findings = issue.count === 1 ? 'One finding' : `${issue.count} findings`;
  return `${findings} could lose this print. Look at them under Check, or say in a line why you print it all the same.`;
}

/** Why a decision on a finding was not kept. */
export type VerdictIssue = { readonly code: 'partChanged' } | { readonly code: 'noWaiver' };

export function describeVerdictIssue({ code }: VerdictIssue): string {
  return code === 'noWaiver'
    ? 'give a reason for printing it anyway. The story keeps it.'
    : 'the part has changed since it was checked. Check it again.';
}
