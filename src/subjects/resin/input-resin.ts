import { z } from 'zod';
import {
  ALONE,
  CLARITIES,
  CONDITIONS,
  convertValue,
  FAMILIES,
  PROPERTY_IDS,
  type Quote,
  type RecipePart,
  type ResinSheet,
  WASH_LIQUIDS,
} from '@/core/resins';
import {
  choiceField,
  dayField,
  idField,
  numberField,
  optionalChoice,
  optionalNumber,
  textField,
  ticked,
  tickField,
  ticks,
} from '@/subjects/language/shared';
import { clean, typedAs } from './input-shelf-json';
import { describeUnitIssue } from './words-issues';

export const resinForm = z.object({ name: textField({ limit: 60 }), family: choiceField(FAMILIES) });

/** One value of a sheet, in any unit that is understood. */
export const quoteForm = z
  .object({
    property: choiceField(PROPERTY_IDS),
    value: numberField(-1e9, 1e9),
    unit: textField({ optional: true, limit: 20 }),
    condition: choiceField(CONDITIONS),
    standard: textField({ optional: true, limit: 80 }),
    testMPa: optionalNumber(0.01, 20),
    atC: optionalNumber(-40, 100),
    on: dayField,
  })
  .transform(({ value, unit, standard, on, ...rest }, context): Quote => {
    const kept = convertValue(rest.property, value, unit);
    if (!kept.ok) {
      context.addIssue({
        code: 'custom',
        path: ['value'],
        params: { issue: { code: 'worded', text: describeUnitIssue(kept.issue) } },
      });
      return z.NEVER;
    }
    return clean({
      ...rest,
      value: kept.value,
      standard: standard || undefined,
      on: on || undefined,
      source: 'datasheet' as const,
      typed: typedAs(value, unit, rest.property, kept.value),
    });
  });

/** Words of a list parted by commas; “none” is an empty list, a blank is unknown. */
export function wordList(text: string): string[] | undefined {
  if (text === '') return undefined;
  return text.toLowerCase() === 'none'
    ? []
    : text
        .split(',')
        .map((word) => word.trim())
        .filter(Boolean);
}

/** What is known of a resin in words. */
export const factsForm = z
  .object({
    family: choiceField(FAMILIES),
    clarity: optionalChoice(CLARITIES),
    alone: optionalChoice(ALONE),
    washKnown: tickField,
    ...ticks('wash', WASH_LIQUIDS),
    light: textField({ optional: true, limit: 60 }),
    rated: textField({ optional: true, limit: 200 }),
    cautions: textField({ optional: true, limit: 2000 }),
  })
  .transform((form, context): Omit<ResinSheet, 'quotes'> => {
    const light = wordList(form.light)?.map(Number);
    if (light !== undefined && !light.every((nm) => nm >= 200 && nm <= 800)) {
      const issue = { code: 'outOfRange', low: 200, high: 800 } as const;
      context.addIssue({ code: 'custom', path: ['light'], params: { issue } });
      return z.NEVER;
    }
    return clean({
      family: form.family,
      clarity: form.clarity,
      alone: form.alone,
      washLiquids: form.washKnown ? ticked(form, 'wash', WASH_LIQUIDS) : undefined,
      lightNm: light,
      rated: wordList(form.rated)?.map((word) => word.toLowerCase()),
      cautions: form.cautions
        .split(/\r?\n/)
        .map((line) => line.trim())
        .filter(Boolean),
    });
  });

export const bottleForm = z.object({
  batch: textField({ optional: true, limit: 60 }),
  openedOn: dayField,
  fullMl: numberField(1, 100_000),
  leftMl: numberField(0, 100_000),
});

/** What is left in a bottle: by level in millilitres, or weighed with its empty weight. */
export const leftForm = z
  .object({
    leftMl: optionalNumber(0, 100_000),
    weighedG: optionalNumber(0, 200_000),
    emptyG: optionalNumber(0, 50_000),
  })
  .transform((form, context) => {
    if (form.leftMl !== undefined) return { leftMl: form.leftMl };
    if (form.weighedG !== undefined && form.emptyG !== undefined)
      return { weighedG: form.weighedG, emptyG: form.emptyG };
    const issue = form.weighedG === undefined ? { code: 'needed' } : { code: 'together', other: 'emptyG' };
    context.addIssue({
      code: 'custom',
      path: [form.weighedG === undefined ? 'leftMl' : 'weighedG'],
      params: { issue },
    });
    return z.NEVER;
  });

export const vatForm = z.object({ printerId: idField, resinId: idField });

/** A blend by parts of its volume, in per cent; a part left blank is none. */
export const blendForm = z
  .object({
    name: textField({ limit: 60 }),
    ...(Object.fromEntries(
      [1, 2, 3].flatMap((i) => [
        [`resin_${i}`, textField({ optional: true, limit: 60 })],
        [`percent_${i}`, optionalNumber(0, 100)],
      ]),
    ) as Record<`resin_${1 | 2 | 3}`, ReturnType<typeof textField>> &
      Record<`percent_${1 | 2 | 3}`, ReturnType<typeof optionalNumber>>),
  })
  .transform((form): { readonly name: string; readonly recipe: readonly RecipePart[] } => ({
    name: form.name,
    recipe: ([1, 2, 3] as const).flatMap((i) => {
      const [resin, percent] = [form[`resin_${i}`], form[`percent_${i}`]];
      return resin === '' ? [] : { resin, fraction: (percent ?? 0) / 100 };
    }),
  }));
