import { z } from 'zod';
import {
  ALONE,
  CLARITIES,
  CONDITIONS,
  convertValue,
  describeLiquid,
  FAMILIES,
  PROPERTY_IDS,
  type Quote,
  type RecipePart,
  type ResinSheet,
  WASH_LIQUIDS,
} from '@/core/resin';
import {
  choiceField,
  dayField,
  idField,
  numberField,
  optionalChoice,
  optionalId,
  optionalNumber,
  refuse,
  textField,
  ticked,
  tickField,
  tickFields,
} from '@/subjects/kit/shared';
import { clean, typedAs } from './input-shelf-json';
import { describeUnitIssue } from './words-issues';

export const resinForm = z.object({
  name: textField('Name', { limit: 60 }),
  family: choiceField('Family', FAMILIES),
});

/** One value of a sheet, in any unit that is understood. */
export const quoteForm = z
  .object({
    property: choiceField('Property', PROPERTY_IDS),
    value: numberField('Value', 'number', { low: -1e9, high: 1e9 }),
    unit: textField('Unit', { optional: true, limit: 20 }),
    condition: choiceField('Bar condition', CONDITIONS),
    standard: textField('Standard, if stated', { optional: true, limit: 80 }),
    testMPa: optionalNumber('Test stress', 'stress', { low: 0.01, high: 20 }),
    atC: optionalNumber('Test temperature', 'temperature', { low: -40, high: 100 }),
    on: dayField('Datasheet date'),
  })
  .transform(({ value, unit, standard, on, ...rest }, context): Quote => {
    const kept = convertValue(rest.property, value, unit);
    if (!kept.ok) return refuse(context, { code: 'worded', text: describeUnitIssue(kept.issue) }, 'value');
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
    family: choiceField('Family', FAMILIES),
    clarity: optionalChoice('Appearance', CLARITIES),
    alone: optionalChoice('Use undiluted', ALONE),
    washKnown: tickField('Wash liquids on the datasheet'),
    ...tickFields('wash', WASH_LIQUIDS, describeLiquid),
    light: textField('Wavelength, nm', { optional: true, limit: 60 }),
    rated: textField('Ratings, separated by commas', {
      optional: true,
      limit: 200,
      hint: 'skin, mouth, food, sterile, mains, flame. Enter “none” if the datasheet states no rating. Leave blank if unknown.',
    }),
    cautions: textField('Cautions from the safety data sheet, one per line', {
      optional: true,
      limit: 2000,
      isMultiline: true,
    }),
  })
  .transform((form, context): Omit<ResinSheet, 'quotes'> => {
    const light = wordList(form.light)?.map(Number);
    if (light !== undefined && !light.every((nm) => nm >= 200 && nm <= 800))
      return refuse(context, { code: 'outOfRange', low: 200, high: 800, unit: 'nm' }, 'light');
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
  batch: textField('Batch', { optional: true, limit: 60 }),
  openedOn: dayField('Opened on'),
  fullMl: numberField('Bottle volume', 'volume', { low: 1, high: 100_000 }),
  leftMl: numberField('Remaining', 'volume', { low: 0, high: 100_000 }),
});

/** What is left in a bottle: by level in millilitres, or weighed with its empty weight. */
export const leftForm = z
  .object({
    leftMl: optionalNumber('Remaining, by level', 'volume', { low: 0, high: 100_000 }),
    weighedG: optionalNumber('or by weight', 'mass', { low: 0, high: 200_000 }),
    emptyG: optionalNumber('Empty bottle weight', 'mass', { low: 0, high: 50_000 }),
  })
  .transform(({ leftMl, weighedG, emptyG }, context): Left => {
    if (leftMl !== undefined) return { leftMl };
    if (weighedG === undefined) return refuse(context, { code: 'needed' }, 'leftMl');
    if (emptyG === undefined) return refuse(context, { code: 'together', other: 'emptyG' }, 'weighedG');
    return { weighedG, emptyG };
  });

/** What is left in a bottle, by level or by weight with the bottle. */
export type Left = { readonly leftMl: number } | { readonly weighedG: number; readonly emptyG: number };

export const vatForm = z.object({ printerId: idField('Printer'), resinId: optionalId('In the vat') });

const PART_LABELS = ['First resin', 'Second resin', 'Third resin, if any'] as const;

/** A blend by parts of its volume, in per cent; a part left blank is none. */
export const blendForm = z
  .object({
    name: textField('Resin name', { limit: 60 }),
    ...(Object.fromEntries(
      [1, 2, 3].flatMap((i) => [
        [`resin_${i}`, textField(PART_LABELS[i - 1], { optional: true, limit: 60 })],
        [`percent_${i}`, optionalNumber('Volume', 'percent', { low: 0, high: 100 })],
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
