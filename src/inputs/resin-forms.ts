import { z } from 'zod';
import {
  ALONE,
  CLARITIES,
  CONDITIONS,
  convertValue,
  CRITERIA,
  FAMILIES,
  IMPACTS,
  PROPERTY_IDS,
  SCHOOLS,
  WASH_LIQUIDS,
  type Quote,
  type RecipePart,
  type Requirement,
  type ResinSheet,
  type School,
  type Schools,
  type WashLiquid,
  type Weights,
} from '@/core/resins';
import {
  choiceField,
  dayField,
  idField,
  numberField,
  optionalNumber,
  textField,
  tickField,
} from './form-fields';
import { clean, typedAs } from './shelf-json';

/** A choice that may be left open. */
function optionalChoice<Choice extends string>(choices: readonly Choice[]) {
  return choiceField<Choice | ''>(['', ...choices]).transform((text) => (text === '' ? undefined : text));
}

/** Ticked boxes `name_word`, in the order of the words. */
function ticks<Word extends string>(name: string, words: readonly Word[]) {
  return Object.fromEntries(words.map((word) => [`${name}_${word}`, tickField])) as Record<
    `${string}_${Word}`,
    typeof tickField
  >;
}

function ticked<Word extends string>(
  form: Readonly<Record<string, unknown>>,
  name: string,
  words: readonly Word[],
): Word[] {
  return words.filter((word) => form[`${name}_${word}`] === true);
}

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
        params: { issue: { code: 'unit', issue: kept.issue } },
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
function wordList(text: string): string[] | undefined {
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

const orNull = (low: number, high: number) => optionalNumber(low, high).transform((value) => value ?? null);
const share = (low: number, high: number) =>
  optionalNumber(low, high).transform((percent) => (percent === undefined ? null : percent / 100));

/** What a part must survive, as it is typed under Resin. */
export const requirementForm = z
  .object({
    serviceMax_C: orNull(-60, 600),
    processMax_C: orNull(-60, 1200),
    margin_K: numberField(0, 200),
    stress_MPa: orNull(0, 500),
    strainPercent: share(0, 1000),
    impact: optionalChoice(IMPACTS),
    stiffnessLeast: orNull(0, 50_000),
    stiffnessMost: orNull(0, 50_000),
    shoreA: orNull(0, 100),
    clear: tickField,
    rated: textField({ optional: true, limit: 200 }),
    ...ticks('wash', WASH_LIQUIDS),
    room_C: orNull(-20, 60),
    smallestFeature_mm: orNull(0.01, 50),
    ...(Object.fromEntries(CRITERIA.map((each) => [`weight_${each}`, numberField(0, 10)])) as Record<
      `weight_${(typeof CRITERIA)[number]}`,
      ReturnType<typeof numberField>
    >),
  })
  .transform((form): Requirement => ({
    serviceMax_C: form.serviceMax_C,
    processMax_C: form.processMax_C,
    stress_MPa: form.stress_MPa,
    strainMax: form.strainPercent,
    impact: form.impact ?? null,
    stiffness_MPa: [form.stiffnessLeast, form.stiffnessMost],
    shoreA: form.shoreA,
    clear: form.clear,
    skinContact: false,
    contact: [],
    claims: (wordList(form.rated) ?? []).map((word) => word.toLowerCase()),
    margin_K: form.margin_K,
    washWith: ticked(form, 'wash', WASH_LIQUIDS),
    room_C: form.room_C,
    smallestFeature_mm: form.smallestFeature_mm,
    weights: Object.fromEntries(
      CRITERIA.map((criterion) => [criterion, form[`weight_${criterion}`]]),
    ) as unknown as Weights,
  }));

/** The resin that is chosen for a job, on which printer, and why. */
export const pickForm = z.object({
  resinId: numberField(1, 1e9),
  printerId: numberField(1, 1e9),
  layerMm: numberField(0.005, 0.5),
  reason: textField({ optional: true, limit: 200 }),
});

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

/** The house's side where practice differs, and what its bench has. */
export const schoolsForm = z
  .object({
    ...(Object.fromEntries(
      Object.entries(SCHOOLS).map(([school, sides]) => [school, choiceField<string>(sides)]),
    ) as Record<School, ReturnType<typeof choiceField<string>>>),
    ...ticks('wash', WASH_LIQUIDS),
    roomC: orNull(-20, 60),
    changeoverMl: numberField(0, 2000),
  })
  .transform(
    (form): { schools: Schools; liquids: WashLiquid[]; roomC: number | null; changeoverMl: number } => ({
      schools: Object.fromEntries(
        Object.keys(SCHOOLS).map((school) => [school, form[school as School]]),
      ) as unknown as Schools,
      liquids: ticked(form, 'wash', WASH_LIQUIDS),
      roomC: form.roomC,
      changeoverMl: form.changeoverMl,
    }),
  );
