import { z } from 'zod';
import { RUNG_OUTCOMES } from '@/core/fits';
import { GAUGE_CHOICES } from '@/core/gauges';
import { PART_STATES } from '@/core/metrology';
import { choiceField, idField, numberField, optionalNumber, textField } from '@/subjects/language/shared';

/** What the hand found at a rung. */
export const rungForm = z.object({
  rung: numberField(1, 100),
  outcome: choiceField(RUNG_OUTCOMES),
  state: choiceField(PART_STATES),
  clientKey: textField({ limit: 80 }),
});

/** A gauge as it is asked for; blanks take the usual ladder. A job may say what a chosen block should tell about. */
export const gaugeForm = z
  .object({
    name: textField({ optional: true, limit: 80 }),
    profileId: numberField(1, 1e15),
    choice: choiceField(GAUGE_CHOICES),
    fromMm: optionalNumber(0.01, 100),
    stepMm: optionalNumber(0.001, 10),
    count: optionalNumber(1, 100),
    pinMm: optionalNumber(0.1, 100),
    mateName: textField({ optional: true, limit: 60 }),
    mateMm: optionalNumber(0.001, 200),
    mateU_mm: optionalNumber(0, 5),
    jobId: idField,
  })
  .transform(({ choice, fromMm, stepMm, count, pinMm, mateName, mateMm, mateU_mm, ...rest }) => ({
    ...rest,
    parameters: {
      choice,
      fromMm: fromMm ?? 0.1,
      stepMm: stepMm ?? 0.05,
      count: count ?? 9,
      pinMm: pinMm ?? 5,
    },
    mate:
      mateMm === undefined
        ? undefined
        : { name: mateName === '' ? 'Mate' : mateName, sizeMm: mateMm, u_mm: mateU_mm ?? 0.01 },
  }));
