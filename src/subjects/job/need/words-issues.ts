import { CHANGED_ELSEWHERE_WORDS } from '@/subjects/job/jobs/shared';
import { GONE_WORDS } from '@/subjects/kit/shared';

/** Why a need was not changed. */
export type NeedIssue = { readonly code: 'gone' } | { readonly code: 'changedElsewhere' };

/** Why the acceptance test was not answered. */
export type AnswerIssue =
  { readonly code: 'gone' } | { readonly code: 'noTest' } | { readonly code: 'notPrinted' };

/** Why a picture was not saved. */
export type PictureIssue =
  | { readonly code: 'notAPicture' }
  | { readonly code: 'cutShort' }
  | { readonly code: 'gone' }
  | { readonly code: 'pictureTooLarge'; readonly bytes: number; readonly limitBytes: number };

export function describeNeedIssue({ code }: NeedIssue): string {
  return code === 'gone' ? GONE_WORDS : CHANGED_ELSEWHERE_WORDS;
}

export function describeAnswerIssue({ code }: AnswerIssue): string {
  switch (code) {
    case 'gone':
      return GONE_WORDS;
    case 'noTest':
      return 'no acceptance test is agreed yet. Write one in Need.';
    case 'notPrinted':
      return 'nothing is printed yet, so there is nothing to test.';
  }
}

const megabytes = (bytes: number) => Number((bytes / 1024 / 1024).toFixed(1));

export function describePictureIssue(issue: PictureIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'cutShort':
      return 'this picture is cut short: a part of the file is missing. Take it again, or copy it again from the camera.';
    case 'notAPicture':
      return 'this file is not a JPEG, PNG or WebP picture. Save the picture in one of these formats.';
    case 'pictureTooLarge':
      return `the picture has ${megabytes(issue.bytes)} MB; the limit is ${megabytes(issue.limitBytes)} MB. Make it smaller.`;
  }
}
