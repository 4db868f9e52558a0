import type { FeatureKindIssue } from '@/core/metrology';
import { describeKindIssue } from './lengths';

/** Anything that can keep a change of a job or of the bench from being made. */
export type ChangeIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'changedElsewhere' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'limitsCrossed' }
  | { readonly code: 'notPositive' }
  | { readonly code: 'kind'; readonly issue: FeatureKindIssue }
  | { readonly code: 'noProfile' }
  | { readonly code: 'noFeatures' }
  | { readonly code: 'noReason' }
  | { readonly code: 'notDrawn'; readonly feature: string }
  | { readonly code: 'nothingToTakeBack' }
  | { readonly code: 'noStandInPrinter' }
  | { readonly code: 'jawsDoNotEnter' }
  | { readonly code: 'notABackup' }
  | { readonly code: 'damaged' };

export function describeChangeIssue(issue: ChangeIssue): string {
  switch (issue.code) {
    case 'gone':
      return 'this is no longer on the bench. Load the page again to see what is.';
    case 'changedElsewhere':
      return 'another window changed this job meanwhile. Nothing of yours is lost: copy it, load the page again and put it in.';
    case 'nameTaken':
      return `the name “${issue.name}” is taken. Choose another one.`;
    case 'limitsCrossed':
      return 'the lower limit must lie below the upper one, both as signed deviations such as −0.05 and +0.05.';
    case 'notPositive':
      return 'a size must be above zero.';
    case 'kind':
      return `${describeKindIssue(issue.issue)}.`;
    case 'noProfile':
      return 'choose the printer, resin and profile under Need first.';
    case 'noFeatures':
      return 'enter at least one feature with its target under Need first.';
    case 'noReason':
      return 'say in a line why: what changed is found by itself, the reason is not.';
    case 'notDrawn':
      return `“${issue.feature}” is not in the file of this print. Add its drawn size under Need.`;
    case 'nothingToTakeBack':
      return 'there is no reading left to take back.';
    case 'noStandInPrinter':
      return 'this printer is a real one: its print is read with a real caliper.';
    case 'jawsDoNotEnter':
      return 'the jaws do not go in: the hole closed, or it is smaller than their flats.';
    case 'notABackup':
      return 'this is not a backup of a bench. Choose the file that “Back the bench up” wrote.';
    case 'damaged':
      return 'the backup is damaged and was not put in place. Nothing on the bench has changed.';
  }
}
