import { z } from 'zod';
import { PART_STATES } from '@/core/metrology';
import { choiceField, numberField, optionalNumber, textField, tickField } from '@/subjects/language/shared';

/** A caliper. */
export const instrumentForm = z
  .object({
    name: textField({ limit: 60 }),
    mpeMm: numberField(0.0001, 1),
    resolutionMm: numberField(0.0001, 1),
    jawFlatMm: optionalNumber(0, 5),
    standIn: tickField,
  })
  .transform((values) => ({ ...values, jawFlatUnknown: values.jawFlatMm === undefined }));

/** The start of a sitting; temperatures go together or not at all. */
export const sessionForm = z.object({
  instrumentId: numberField(1, 1e9),
  zeroMm: numberField(-5, 5),
  partC: optionalNumber(-20, 60),
  instrumentC: optionalNumber(-20, 60),
  state: choiceField(PART_STATES),
  warm: tickField,
});
