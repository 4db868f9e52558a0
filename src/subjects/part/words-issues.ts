import { formatMm } from '@/core/kit/wording';
import { GONE_WORDS } from '@/subjects/kit/shared';

/** Why a part was not turned. */
export type TurnIssue =
  | { readonly code: 'gone' }
  /** An attempt waits for its print with a file that was corrected for the way it stands. */
  | { readonly code: 'correctedWaits'; readonly attempt: number };

export function describeTurnIssue(issue: TurnIssue): string {
  return issue.code === 'gone'
    ? GONE_WORDS
    : `Attempt ${issue.attempt} is ready to print with a file corrected for the current orientation. Print it first, or turn the part before you correct it.`;
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
    return `that position is off the plate. The plate reaches ${x} mm to each side of its centre and ${y} mm to the front and back.`;
  }
  const findings = issue.count === 1 ? 'One finding' : `${issue.count} findings`;
  return `${findings} could make this print fail. Review them in Check, or give a reason to print anyway.`;
}

/** Why a decision on a finding was not saved. */
export type VerdictIssue = { readonly code: 'partChanged' } | { readonly code: 'noWaiver' };

export function describeVerdictIssue({ code }: VerdictIssue): string {
  return code === 'noWaiver'
    ? 'give a reason to print anyway. It is saved in History.'
    : 'the part has changed since the last check. Check it again.';
}
