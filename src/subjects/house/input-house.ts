import { z } from 'zod';
import { type FitClasses, type Wish, WISHES } from '@/core/fits';
import { numberField, textField, tickField } from '@/subjects/language/shared';

/** What the house holds a part to; percentages as they are said. */
export const checkRulesForm = z
  .object({
    wallPixels: numberField(1, 50),
    leastGapMm: numberField(0.01, 5),
    selfSupportingDeg: numberField(5, 85),
    hangMm2: numberField(0.1, 10_000),
    peelPercent: numberField(1, 100),
    contactPercent: numberField(1, 100),
    cupMm2: numberField(0.1, 10_000),
  })
  .transform(({ peelPercent, contactPercent, ...rules }) => ({
    ...rules,
    peelShare: peelPercent / 100,
    contactShare: contactPercent / 100,
  }));

export const houseForm = z.object({ benchName: textField({ limit: 60 }), letterKeys: tickField });

/** The house's classes at 10 mm: `low_…` and `high_…` by wish; each must rise, and no class may start below the one before. */
export const classesForm = z
  .object(
    Object.fromEntries(
      WISHES.flatMap((wish) => [
        [`low_${wish}`, numberField(-1, 5)],
        [`high_${wish}`, numberField(-1, 5)],
      ]),
    ) as Record<`low_${Wish}` | `high_${Wish}`, ReturnType<typeof numberField>>,
  )
  .transform((form, context): FitClasses => {
    let before = -Infinity;
    for (const wish of WISHES) {
      const [low, high] = [form[`low_${wish}`], form[`high_${wish}`]];
      if (!(low < high && low >= before)) {
        context.addIssue({
          code: 'custom',
          path: [`low_${wish}`],
          params: { issue: { code: 'outOfRange', low: Math.max(-1, before), high } },
        });
        return z.NEVER;
      }
      before = low;
    }
    return Object.fromEntries(
      WISHES.map((wish) => [wish, { lowMm: form[`low_${wish}`], highMm: form[`high_${wish}`] }]),
    ) as unknown as FitClasses;
  });
