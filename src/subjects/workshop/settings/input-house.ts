import { z } from 'zod';
import { type FitClasses, type Wish, WISHES } from '@/core/fit/mating';
import { DECISION_RULES } from '@/core/measure';
import {
  choiceField,
  describeWish,
  numberField,
  numberOrNull,
  refuse,
  textField,
  tickField,
} from '@/subjects/kit/shared';

/** Limits that parts are checked against; percentages as displayed. */
export const checkRulesForm = z
  .object({
    wallPixels: numberField('Minimum wall, pixels', 'number', { low: 1, high: 50 }),
    leastGapMm: numberField('Minimum gap without a gap test', 'length', { low: 0.01, high: 5 }),
    floorLayers: numberField('Minimum floor, layers', 'number', { low: 1, high: 100 }),
    selfSupportingDeg: numberField('Self-supporting angle, from', 'angle', { low: 5, high: 85 }),
    hangMm2: numberField('Unsupported overhang, at most', 'area', { low: 0.1, high: 10_000 }),
    peelPercent: numberField('Peel area per layer, share of the plate', 'percent', { low: 1, high: 100 }),
    contactPercent: numberField('First layer, share of the largest layer', 'percent', { low: 1, high: 100 }),
    cupMm2: numberField('Report suction cups from', 'area', { low: 0.1, high: 10_000 }),
  })
  .transform(({ peelPercent, contactPercent, ...rules }) => ({
    ...rules,
    peelShare: peelPercent / 100,
    contactShare: contactPercent / 100,
  }));

export const houseForm = z.object({
  benchName: textField('Workshop name', { limit: 60 }),
  letterKeys: tickField('Single-letter shortcuts'),
  decisionRule: choiceField('Decision rule for new jobs', DECISION_RULES, {
    hint: 'You can change it for each job in Need.',
  }),
  caliperDays: numberOrNull('Remind me to check a caliper after, days', 'number', {
    low: 1,
    high: 2000,
    hint: 'On a reference piece. Leave blank for no reminder.',
  }),
});

type BoundField = `low_${Wish}` | `high_${Wish}`;

/** Fit bands at 10 mm: `low_…` and `high_…` by fit; each must rise, and no band may start below the one before. */
export const classesForm = z
  .object(
    Object.fromEntries(
      WISHES.flatMap((wish) => [
        [
          `low_${wish}`,
          numberField(`Minimum clearance, ${describeWish(wish).name}`, 'length', { low: -1, high: 5 }),
        ],
        [
          `high_${wish}`,
          numberField(`Maximum clearance, ${describeWish(wish).name}`, 'length', { low: -1, high: 5 }),
        ],
      ]),
    ) as Record<BoundField, ReturnType<typeof numberField>>,
  )
  .transform((form, context): FitClasses => {
    let before = -1;
    let rises = true;
    for (const wish of WISHES) {
      const [low, high] = [form[`low_${wish}`], form[`high_${wish}`]];
      if (!(low < high && low >= before)) {
        rises = false;
        refuse(
          context,
          { code: 'worded', text: `must be below the maximum, and not below the minimum of the fit before.` },
          `low_${wish}`,
        );
      }
      before = low;
    }
    if (!rises) return z.NEVER;
    return Object.fromEntries(
      WISHES.map((wish) => [wish, { lowMm: form[`low_${wish}`], highMm: form[`high_${wish}`] }]),
    ) as unknown as FitClasses;
  });
