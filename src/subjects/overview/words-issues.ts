import type { IsoFitIssue } from '@/core/fits';
import type { GaugeIssue } from '@/core/gauges';
import type { FeatureKindIssue } from '@/core/metrology';
import type { BlendIssue, ProofIssue, RequirementIssue, ResinSheetIssue } from '@/core/resins';
import type { SheetIssue } from '@/core/sheets';
import { describeRequirementIssue } from '@/subjects/choice/shared';
import { describeIsoIssue } from '@/subjects/fit/shared';
import { describeGaugeIssue } from '@/subjects/gauge/shared';
import { describeKindIssue } from '@/subjects/language/shared';
import { describeBlendIssue, describeProofIssue, describeResinSheetIssue } from '@/subjects/resin/shared';
import { describeSheetIssue } from '@/subjects/sheet/shared';

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
  | { readonly code: 'damaged' }
  | { readonly code: 'pitchHasNoMate' }
  | { readonly code: 'clearanceCrossed' }
  | { readonly code: 'mateUnmeasured'; readonly name: string }
  | { readonly code: 'iso'; readonly issue: IsoFitIssue }
  | { readonly code: 'noSheet' }
  | { readonly code: 'noInstrument' }
  | { readonly code: 'sheet'; readonly issue: SheetIssue }
  | { readonly code: 'gauge'; readonly issue: GaugeIssue }
  | { readonly code: 'noTest' }
  | { readonly code: 'notPrinted' }
  | { readonly code: 'notAPicture' }
  | { readonly code: 'resinSheet'; readonly issue: ResinSheetIssue }
  | { readonly code: 'proof'; readonly issue: ProofIssue }
  | { readonly code: 'blend'; readonly issue: BlendIssue }
  | { readonly code: 'requirement'; readonly issue: RequirementIssue }
  | { readonly code: 'moreThanFull'; readonly fullMl: number }
  | { readonly code: 'noDensity' }
  | { readonly code: 'pictureTooLarge'; readonly bytes: number; readonly limitBytes: number };

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
    case 'pitchHasNoMate':
      return 'a distance between centres meets nothing: wish at the holes or pins themselves.';
    case 'clearanceCrossed':
      return 'the least clearance must lie below the most; negative is interference.';
    case 'mateUnmeasured':
      return `the wish is kept, but “${issue.name}” was never measured, so there is nothing to take the clearance from. Measure it and type its size, or read it on a measuring sheet.`;
    case 'iso':
      return describeIsoIssue(issue.issue);
    case 'noSheet':
      return 'choose a measuring sheet first.';
    case 'noInstrument':
      return 'put a caliper on the bench first, under Printers.';
    case 'sheet':
      return describeSheetIssue(issue.issue);
    case 'gauge':
      return describeGaugeIssue(issue.issue);
    case 'noTest':
      return 'no acceptance test was agreed. Write it under Need.';
    case 'notPrinted':
      return 'nothing is printed yet that could be tested.';
    case 'notAPicture':
      return 'this is neither a JPEG nor a PNG nor a WebP picture. Save it as one of these.';
    case 'pictureTooLarge':
      return `the picture has ${Math.round(issue.bytes / 1e6)} MB; up to ${Math.round(issue.limitBytes / 1e6)} MB are kept. Make it smaller.`;
    case 'resinSheet':
      return describeResinSheetIssue(issue.issue);
    case 'proof':
      return describeProofIssue(issue.issue);
    case 'blend':
      return describeBlendIssue(issue.issue);
    case 'requirement':
      return describeRequirementIssue(issue.issue);
    case 'moreThanFull':
      return `more than the ${issue.fullMl} ml that the bottle holds. Check both numbers.`;
    case 'noDensity':
      return 'a weight tells millilitres only with a density. Type it on the sheet, or read the level.';
    case 'damaged':
      return 'the backup is damaged and was not put in place. Nothing on the bench has changed.';
  }
}
