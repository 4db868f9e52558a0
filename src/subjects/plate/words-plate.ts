import type { PlaceIssue, VatIssue } from '@/core/run';
import { GONE_WORDS } from '@/subjects/language/shared';

/** Why something could not be done with a plate or a run of a printer. */
export type PlateIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'started' }
  | { readonly code: 'notStarted' }
  | { readonly code: 'ended' }
  | { readonly code: 'copies'; readonly most: number }
  | { readonly code: 'overtaken'; readonly job: string; readonly attempt: number }
  | { readonly code: 'otherProfile'; readonly job: string }
  | { readonly code: 'noLayers' }
  | { readonly code: 'empty' }
  | { readonly code: 'unread'; readonly job: string }
  | { readonly code: 'badPlaces'; readonly count: number }
  | { readonly code: 'tooTall'; readonly job: string; readonly heightMm: number; readonly roomMm: number }
  | { readonly code: 'gateOpen'; readonly questions: readonly string[] }
  | { readonly code: 'busy'; readonly printer: string; readonly runId: number }
  | { readonly code: 'noSuchLayer'; readonly layer: number; readonly layers: number }
  | { readonly code: 'endBeforeStart' }
  | { readonly code: 'endToCome' }
  | { readonly code: 'tooMuch'; readonly ml: number; readonly roomMl: number }
  | { readonly code: 'bottleShort'; readonly ml: number; readonly leftMl: number }
  | { readonly code: 'otherResin'; readonly lot: string; readonly resin: string }
  | { readonly code: 'nothingWeighed' }
  | { readonly code: 'tooManySupports'; readonly times: number }
  | { readonly code: 'noReason' }
  | VatIssue;

const mm = (value: number) => String(Math.round(value * 10) / 10);
const ml = (value: number) => `${Math.round(value)} ml`;

/** What cannot be done, why, and how to mend it. */
export function describePlateIssue(issue: PlateIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'started':
      return 'this plate is printing or printed already; what lies on it stays as it is.';
    case 'notStarted':
      return 'this plate was not started yet.';
    case 'ended':
      return 'this print has ended already. Load the page again.';
    case 'copies':
      return `give a number of copies from 1 to ${issue.most}.`;
    case 'overtaken':
      return `attempt ${issue.attempt} of ${issue.job} was drawn before something changed. Draw it anew under Correct.`;
    case 'otherProfile':
      return `${issue.job} is drawn for another printer or resin. It needs a plate of its own.`;
    case 'noLayers':
      return 'no layer of this part has any area. Check its file under Check.';
    case 'empty':
      return 'nothing lies on this plate.';
    case 'unread':
      return `the layers of ${issue.job} were not read yet. Wait until they are, or check its file.`;
    case 'badPlaces':
      return issue.count === 1
        ? 'one piece lies off the plate or too near another. Move it, or arrange the plate.'
        : `${issue.count} pieces lie off the plate or too near each other. Move them, or arrange the plate.`;
    case 'tooTall':
      return `${issue.job} stands ${mm(issue.heightMm)} mm tall, the printer has room for ${mm(issue.roomMm)}. Turn it under Check, or print it in two pieces.`;
    case 'gateOpen':
      return `answer first: ${issue.questions.map((name) => name.toLowerCase()).join(', ')}.`;
    case 'busy':
      return `${issue.printer} still prints another plate. End that one first.`;
    case 'noSuchLayer':
      return `layer ${issue.layer} is none of this print: it has ${issue.layers}.`;
    case 'endBeforeStart':
      return 'it cannot have ended before it began. Check the time.';
    case 'endToCome':
      return 'that time is still to come. Give the time at which it ended.';
    case 'tooMuch':
      return `${ml(issue.ml)} will not go in: the vat has room for ${ml(issue.roomMl)}.`;
    case 'bottleShort':
      return `${ml(issue.ml)} from a bottle that has ${ml(issue.leftMl)}. Correct the bottle on the shelf, or take another.`;
    case 'noReason':
      return 'say why it is printed all the same: the story keeps it.';
    case 'otherResin':
      return `the bottle ${issue.lot} holds another resin than ${issue.resin}, which this plate is printed in. Take a bottle of ${issue.resin}.`;
    case 'tooManySupports':
      return `the supports weigh more than ${issue.times} times the parts. Check both numbers and their unit.`;
    case 'nothingWeighed':
      return 'weigh the parts too: the share of supports is against them.';
    default:
      return describeVatIssue(issue);
  }
}

/** What is wrong with a vat's numbers. */
export function describeVatIssue(issue: VatIssue): string {
  switch (issue.code) {
    case 'belowNothing':
      return 'a vat holds no less than nothing. Check the numbers.';
    case 'overfull':
      return `${ml(issue.levelMl)} in a vat that holds ${ml(issue.capacityMl)}. Read the level again.`;
    case 'floorAboveBrim':
      return 'the least that still prints must be below what the vat holds.';
  }
}

const PLACE_WORDS: Readonly<Record<PlaceIssue, string>> = {
  offPlate: 'off the plate',
  tooNear: 'too near another',
};

export function describePlaceIssue(issue: PlaceIssue): string {
  return PLACE_WORDS[issue];
}
