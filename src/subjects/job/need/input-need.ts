import { z } from 'zod';
import { type Side, SIDES } from '@/core/part/findings';
import { ANSWERS, type Claim, claimOf, CLAIMS } from '@/core/job/need';
import {
  choiceField,
  dayField,
  numberField,
  optionalId,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/kit/shared';

type ClaimField = `claim_${Claim}`;

/** Name of the tick box of a claim. */
export function claimFieldName(claim: Claim): ClaimField {
  return `claim_${claim}`;
}

const claimFields = Object.fromEntries(
  CLAIMS.map((claim) => [claimFieldName(claim), tickField(claimOf(claim).label)]),
) as Record<ClaimField, ReturnType<typeof tickField>>;

type SideField = `side_${Side}`;

/** Name of the tick box of a seen side. */
export function sideFieldName(side: Side): SideField {
  return `side_${side}`;
}

const sideFields = Object.fromEntries(SIDES.map((side) => [sideFieldName(side), tickField(side)])) as Record<
  SideField,
  ReturnType<typeof tickField>
>;

/** States in which limits can hold: a part is finished in one of them. */
export const FIT_STATES = ['cured', 'aged', 'coated', 'green'] as const;

type Ticks = Record<ClaimField | SideField, boolean>;

function omitTicks<Form extends Ticks>(form: Form): Omit<Form, keyof Ticks> {
  const rest = Object.entries(form).filter(([name]) => !/^(claim|side)_/.test(name));
  return Object.fromEntries(rest) as Omit<Form, keyof Ticks>;
}

/** What a job is for; each claim is a ticked box named after it. */
export const needForm = z
  .object({
    name: textField('Name'),
    need: textField('Purpose and mating parts', { optional: true, limit: 2000, isMultiline: true }),
    acceptance: textField('Acceptance test, agreed before printing', {
      optional: true,
      limit: 500,
      isMultiline: true,
    }),
    profileId: optionalId('Printer, resin and profile'),
    rule: choiceField('Decision rule', ['guarded', 'shared'], {
      hint: 'Guarded is the default: a size near a limit does not pass while its uncertainty reaches past the limit.',
    }),
    quantity: optionalNumber('Quantity', 'number', { low: 1, high: 100_000 }),
    dueOn: dayField('Due date'),
    seenFaces: textField('Visible faces', { optional: true, limit: 300 }),
    hottestC: optionalNumber('Highest temperature', 'temperature', { low: -60, high: 1000 }),
    hottestWhen: textField('Heat source, assembly included', { optional: true, limit: 120 }),
    fitState: choiceField('Limits apply when the part is', FIT_STATES, {
      hint: 'Measurements in another state are shown but not judged.',
    }),
    fitC: optionalNumber('Fits must hold at', 'temperature', { low: -60, high: 300 }),
    loadWords: textField('Load, description', { optional: true, limit: 300 }),
    loadN: optionalNumber('Load, value', 'force', { low: 0, high: 1e6 }),
    revision: numberField('Revision', 'number', { low: 0, high: 1e9 }),
    ...claimFields,
    ...sideFields,
  })
  .transform((form) => ({
    ...omitTicks(form),
    quantity: Math.round(form.quantity ?? 1),
    claims: CLAIMS.filter((claim) => form[claimFieldName(claim)]),
    seenSides: SIDES.filter((side) => form[sideFieldName(side)]),
  }));

/** How a print did in the agreed test. */
export const answerForm = z.object({
  answer: choiceField('The part', ANSWERS),
  note: textField('Result in one line', { optional: true, limit: 300 }),
});

export const LONGEST_CAPTION = 120;

/** What a photo or sketch shows; its file travels beside. */
export const pictureForm = z.object({
  runId: optionalId('Print'),
  caption: textField('Description', { optional: true, limit: LONGEST_CAPTION }),
});
