import { z } from 'zod';
import { type FitClasses, type Wish, WISHES } from '@/core/fits';
import { DECISION_RULES } from '@/core/metrology';
import {
  choiceField,
  numberField,
  numberOrNull,
  refuse,
  textField,
  tickField,
} from '@/subjects/language/shared';

/** What the house holds a part to; percentages as they are said. */
export const checkRulesForm = z
  .object({
    wallPixels: numberField('Least wall, in pixels', 'number', { low: 1, high: 50 }),
    leastGapMm: numberField('Least gap without a ladder', 'length', { low: 0.01, high: 5 }),
    floorLayers: numberField('Least floor, in layers', 'number', { low: 1, high: 100 }),
    selfSupportingDeg: numberField('Holds itself from', 'angle', { low: 5, high: 85 }),
    hangMm2: numberField('Hangs free, at most', 'area', { low: 0.1, high: 10_000 }),
    peelPercent: numberField('Peels at once, of the plate', 'percent', { low: 1, high: 100 }),
    contactPercent: numberField('First layer, of the largest', 'percent', { low: 1, high: 100 }),
    cupMm2: numberField('A cup counts from', 'area', { low: 0.1, high: 10_000 }),
  })
  .transform(({ peelPercent, contactPercent, ...rules }) => ({
    ...rules,
    peelShare: peelPercent / 100,
    contactShare: contactPercent / 100,
  }));

export const houseForm = z.object({
  benchName: textField('Name of the bench', { limit: 60 }),
  letterKeys: tickField('Single letters work as keys'),
  decisionRule: choiceField('When is a size in, for new jobs?', DECISION_RULES, {
    hint: 'Each job can choose its own under Need.',
  }),
  caliperDays: numberOrNull('Remind me to check a caliper after, days', 'number', {
    low: 1,
    high: 2000,
    hint: 'On a piece of known size. Leave it blank for no reminder.',
  }),
});

type BoundField = `low_${Wish}` | `high_${Wish}`;

/** The house's classes at 10 mm: `low_…` and `high_…` by wish; each must rise, and no class may start below the one before. */
export const classesForm = z
  .object(
    Object.fromEntries(
      WISHES.flatMap((wish) => [
        [`low_${wish}`, numberField(`Least clearance, ${wish}`, 'length', { low: -1, high: 5 })],
        [`high_${wish}`, numberField(`Most clearance, ${wish}`, 'length', { low: -1, high: 5 })],
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
        refuse(context, { code: 'outOfRange', low: before, high, unit: 'mm' }, `low_${wish}`);
      }
      before = low;
    }
    if (!rises) return z.NEVER;
    return Object.fromEntries(
      WISHES.map((wish) => [wish, { lowMm: form[`low_${wish}`], highMm: form[`high_${wish}`] }]),
    ) as unknown as FitClasses;
  });
