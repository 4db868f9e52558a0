import type { CauseIssue, PlaceIssue } from '@/core/log';

/** What is wrong with places, which, and what to do; prints and places are counted from one. */
export function describePlaceIssue(issue: PlaceIssue): string {
  switch (issue.code) {
    case 'noSuchPlace':
      return `print ${issue.print + 1}: failed place ${issue.at} does not exist. Places are counted from 0.`;
    case 'twice':
      return `print ${issue.print + 1}: place ${issue.at} is named twice as failed.`;
    case 'badPlace':
      return `print ${issue.print + 1}, place ${issue.at}: two or three numbers in mm are needed.`;
    case 'tooFew':
      return `failures of ${issue.prints === 1 ? 'one print' : 'no print'} only: not enough data. Record the failures of another print too.`;
  }
}

export function describeCauseIssue(issue: CauseIssue): string {
  switch (issue.code) {
    case 'noCause':
      return 'the prior names no cause.';
    case 'badPrior':
      return `prior of ${issue.cause}: a number from 0 up.`;
    case 'badChance':
      return `table, ${issue.evidence}, ${issue.cause}: a chance from 0 to 1 is missing or out of range.`;
    case 'unknownEvidence':
      return `evidence ${issue.evidence}: the table has no such row.`;
    case 'impossible':
      return 'the evidence is contradictory: the zeros and ones in the table exclude every cause. Use chances near 0 and 1 instead.';
  }
}
