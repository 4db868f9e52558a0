/** Why a decision on a finding was not kept. */
export type VerdictIssue = { readonly code: 'partChanged' } | { readonly code: 'noWaiver' };

export function describeVerdictIssue({ code }: VerdictIssue): string {
  return code === 'noWaiver'
    ? 'say in a line why it is printed all the same; the story keeps it.'
    : 'the part has changed since. Let it be read again.';
}
