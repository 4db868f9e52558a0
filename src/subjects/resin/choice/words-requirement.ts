import { round } from '@/core/kit/wording';
import type { RequirementIssue } from '@/core/resin';
import { GONE_WORDS } from '@/subjects/kit/shared';
import type { RequirementJsonIssue } from './input-requirement-json';

export function describeRequirementIssue(issue: RequirementIssue | RequirementJsonIssue): string {
  switch (issue.code) {
    case 'stiffnessCrossed':
      return `at least ${round(issue.leastMPa)} MPa and at most ${round(issue.mostMPa)} MPa: no value meets both. Swap them, or clear one.`;
    case 'weightNegative':
      return `the weight of ${issue.criterion} is negative. Enter 0 to ignore it.`;
    case 'stressNegative':
      return `a stress of ${round(issue.stressMPa)} MPa: enter it without a sign.`;
    case 'notJson':
      return 'the file is not JSON.';
    case 'notReadable':
      return `${issue.detail}.`;
    case 'fieldUnknown':
      return `there is no field${issue.fields.length > 1 ? 's' : ''} ${issue.fields.join(', ')}. docs/formats.md lists the valid fields.`;
  }
}

/** Why the requirements of the resin, or its choice, were not saved. */
export type ChoiceIssue =
  { readonly code: 'gone' } | { readonly code: 'requirement'; readonly issue: RequirementIssue };

export function describeChoiceIssue(issue: ChoiceIssue): string {
  return issue.code === 'gone' ? GONE_WORDS : describeRequirementIssue(issue.issue);
}
