import type { LawIssue } from '@/core/signature';

/** Six decimals where they are needed, none where not. */
const plain = (value: number) => String(Number(value.toPrecision(3)));

/** Why a signature cannot be used for other profiles, in a sentence. */
export function describeLawIssue(issue: LawIssue): string {
  switch (issue.code) {
    case 'wrongLength':
      return 'it has not one mean and one row of the covariance for each parameter.';
    case 'notFinite':
      return `${issue.parameter} has a value that is not a number.`;
    case 'meanOutside':
      return `the mean of ${issue.parameter} must be between ${plain(issue.low)} and ${plain(issue.high)}.`;
    case 'sdOutside':
      return `the sd of ${issue.parameter} must be between ${plain(issue.low)} and ${plain(issue.high)}.`;
    case 'notSymmetric':
      return `the covariance of ${issue.parameter} and ${issue.other} is given twice, with two values.`;
    case 'notPositive':
      return 'the covariance contradicts itself: it is not positive definite.';
  }
}
