import { z } from 'zod';
import { GAP_STEP_OUTCOMES } from '@/core/fit/mating';
import { GAUGE_CHOICES } from '@/core/fit/gauges';
import { PART_STATES } from '@/core/measure';
import { choiceField, idField, optionalId, optionalNumber, textField } from '@/subjects/kit/shared';

/** What the hand found at a step, as the page sends it. */
export const gapStepInput = z.object({
  clientKey: z.string().min(8).max(80),
  jobId: z.int().positive(),
  printId: z.int().positive(),
  rung: z.int().min(1).max(100),
  outcome: z.enum(GAP_STEP_OUTCOMES),
  state: z.enum(PART_STATES),
});

export type GapStepInput = z.infer<typeof gapStepInput>;

/** A gauge as it is asked for; blanks take the usual ladder. A job may say what a chosen block should tell about. */
export const gaugeForm = z
  .object({
    name: textField('Name', { optional: true, limit: 80 }),
    profileId: idField('Printer and resin'),
    choice: choiceField('Gauge', GAUGE_CHOICES),
    fromMm: optionalNumber('First gap per side', 'length', { low: 0.01, high: 100 }),
    stepMm: optionalNumber('Step', 'length', { low: 0.001, high: 10 }),
    count: optionalNumber('Number of steps', 'number', { low: 1, high: 100 }),
    pinMm: optionalNumber('Pin, ball, bar or rail size', 'length', { low: 0.1, high: 100 }),
    mateName: textField('Part to test with', { optional: true, limit: 60 }),
    mateMm: optionalNumber('Its measured size', 'length', { low: 0.001, high: 200 }),
    mateU_mm: optionalNumber('Its standard uncertainty', 'length', { low: 0, high: 5 }),
    jobId: optionalId('Job'),
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
