import { z } from 'zod';
import { AXES, BASES, SENSES, SHAPES, type FeatureKind } from '@/core/metrology';
import { ANSWERS, CLAIMS, type Claim } from '@/core/need';
import {
  choiceField,
  dayField,
  idField,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from './form-fields';

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

/** The name of a new job. */
export const newJobForm = z.object({ name: textField() });

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

/** Longest size anybody prints, mm. */
const LONGEST_MM = 2000;

/** How a size prints and is measured; the base only where the kind has one. */
export const kindFields = {
  sense: choiceField(SENSES),
  shape: choiceField(SHAPES),
  axis: choiceField(AXES),
  base: choiceField(['', ...BASES]),
};

/** A feature with its target, limits and mate; the base and the angle only where the kind has them. */
export const featureForm = z
  .object({
    name: textField({ limit: 60 }),
    ...kindFields,
    angleDeg: optionalNumber(-360, 360),
    targetMm: numberField(0, LONGEST_MM),
    lowerMm: numberField(-LONGEST_MM, LONGEST_MM),
    upperMm: numberField(-LONGEST_MM, LONGEST_MM),
    mateName: textField({ optional: true, limit: 60 }),
    mateMm: optionalNumber(0.001, LONGEST_MM),
    mateU_mm: optionalNumber(0, 10),
    drawnMm: optionalNumber(0, LONGEST_MM),
    revision: numberField(0, 1e9),
  })
  .transform(({ sense, shape, axis, base, angleDeg, ...rest }) => ({
    ...rest,
    kind: kindOfForm({ sense, shape, axis, base, angleDeg }),
  }));

interface KindFields {
  readonly sense: FeatureKind['sense'];
  readonly shape: FeatureKind['shape'];
  readonly axis: FeatureKind['axis'];
  readonly base: '' | 'plate' | 'supported';
  readonly angleDeg: number | undefined;
}

/** Round sizes are measured across whatever axis stood in the form; a base belongs to outside heights alone. */
function kindOfForm({ sense, shape, axis, base, angleDeg }: KindFields): FeatureKind {
  const along = shape === 'round' ? 'XY' : axis;
  return {
    sense,
    shape,
    axis: along,
    angleRad:
      shape === 'flat' && along === 'XY' && angleDeg !== undefined ? (angleDeg * Math.PI) / 180 : undefined,
    base: along === 'Z' && sense === 'outside' && base !== '' ? base : undefined,
  };
}

/** The reason for an attempt, and by which lever it is put right. */
export const attemptForm = z.object({ reason: textField({ optional: true, limit: 300 }) });
