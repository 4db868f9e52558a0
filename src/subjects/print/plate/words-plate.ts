import type { PlaceIssue, VatIssue } from '@/core/print';
import { GONE_WORDS } from '@/subjects/kit/shared';

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

/** What cannot be done, why, and what to do. */
export function describePlateIssue(issue: PlateIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'started':
      return 'this plate is printing or printed, so its contents cannot change.';
    case 'notStarted':
      return 'this plate has not started yet.';
    case 'ended':
      return 'this print has already ended. Reload the page.';
    case 'copies':
      return `enter a number of copies from 1 to ${issue.most}.`;
    case 'overtaken':
      return `something changed after attempt ${issue.attempt} of ${issue.job} was created. Create a new attempt in Correct.`;
    case 'otherProfile':
      return `${issue.job} is drawn for another printer or resin. Put it on a separate plate.`;
    case 'noLayers':
      return 'no layer of this part has any area. Check its file in Check.';
    case 'empty':
      return 'this plate is empty. Add a part first.';
    case 'unread':
      return `the layers of ${issue.job} are still being read. Wait, or check its file.`;
    case 'badPlaces':
      return issue.count === 1
        ? 'one piece is off the plate or too close to another. Move it, or arrange the plate.'
        : `${issue.count} pieces are off the plate or too close to each other. Move them, or arrange the plate.`;
    case 'tooTall':
      return `${issue.job} is ${mm(issue.heightMm)} mm tall, but the printer has room for ${mm(issue.roomMm)} mm. Turn it in Check, or print it in two pieces.`;
    case 'gateOpen':
      return `answer first: ${issue.questions.map((name) => name.toLowerCase()).join(', ')}.`;
    case 'busy':
      return `${issue.printer} is still printing another plate. Record the end of that print first.`;
    case 'noSuchLayer':
      return `layer ${issue.layer} does not exist: this print has ${issue.layers} layers.`;
    case 'endBeforeStart':
      return 'the end is before the start. Check the time.';
    case 'endToCome':
      return 'that time is in the future. Enter the time at which it ended.';
    case 'tooMuch':
      return `${ml(issue.ml)} do not fit: the vat has room for ${ml(issue.roomMl)}.`;
    case 'bottleShort':
      return `${ml(issue.ml)} from a bottle that has ${ml(issue.leftMl)}. Correct the bottle in Resins, or choose another bottle.`;
    case 'noReason':
      return 'give a reason to print anyway. It is saved in History.';
    case 'otherResin':
      return `the bottle ${issue.lot} holds another resin than ${issue.resin}, which this plate is printed in. Take a bottle of ${issue.resin}.`;
    case 'tooManySupports':
      return `the supports weigh more than ${issue.times} times the parts. Check both numbers and their unit.`;
    case 'nothingWeighed':
      return 'weigh the parts too: the share of supports is against them.';
    case 'belowNothing':
    case 'overfull':
    case 'floorAboveBrim':
      return describeVatIssue(issue);
  }
}

/** What is wrong with a vat's numbers. */
export function describeVatIssue(issue: VatIssue): string {
  switch (issue.code) {
    case 'belowNothing':
      return 'a volume cannot be negative. Check the numbers.';
    case 'overfull':
      return `${ml(issue.levelMl)} in a vat that holds ${ml(issue.capacityMl)}. Read the level again.`;
    case 'floorAboveBrim':
      return 'the minimum level must be below the capacity of the vat.';
  }
}

const PLACE_WORDS: Readonly<Record<PlaceIssue, string>> = {
  offPlate: 'off the plate',
  tooNear: 'too close to another',
};

export function describePlaceIssue(issue: PlaceIssue): string {
  return PLACE_WORDS[issue];
}
