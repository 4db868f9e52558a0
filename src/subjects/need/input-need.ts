import { z } from 'zod';
import { ANSWERS, type Claim, CLAIMS } from '@/core/need';
import {
  choiceField,
  dayField,
  idField,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from '@/subjects/language/shared';

type ClaimField = `claim_${Claim}`;

/** Name of the tick box of a claim. */
export function claimFieldName(claim: Claim): ClaimField {
  return `claim_${claim}`;
}

const claimFields = Object.fromEntries(CLAIMS.map((claim) => [claimFieldName(claim), tickField])) as Record<
  ClaimField,
  typeof tickField
>;

function omitClaims<Form extends Record<ClaimField, boolean>>(form: Form): Omit<Form, ClaimField> {
  const rest = Object.entries(form).filter(([name]) => !name.startsWith('claim_'));
  return Object.fromEntries(rest) as Omit<Form, ClaimField>;
}

/** What a job is for; each claim is a ticked box named after it. */
export const needForm = z
  .object({
    name: textField(),
    need: textField({ optional: true, limit: 2000 }),
    acceptance: textField({ optional: true, limit: 500 }),
    profileId: idField,
    rule: choiceField(['guarded', 'shared']),
    quantity: optionalNumber(1, 100_000),
    dueOn: dayField,
    seenFaces: textField({ optional: true, limit: 300 }),
    hottestC: optionalNumber(-60, 1000),
    hottestWhen: textField({ optional: true, limit: 120 }),
    fitC: optionalNumber(-60, 300),
    loadWords: textField({ optional: true, limit: 300 }),
    loadN: optionalNumber(0, 1e6),
    revision: numberField(0, 1e9),
    ...claimFields,
  })
  .transform((form) => ({
    ...omitClaims(form),
    quantity: Math.round(form.quantity ?? 1),
    claims: CLAIMS.filter((claim) => form[claimFieldName(claim)]),
  }));

/** How a print did in the agreed test. */
export const answerForm = z.object({
  answer: choiceField(ANSWERS),
  note: textField({ optional: true, limit: 300 }),
});
