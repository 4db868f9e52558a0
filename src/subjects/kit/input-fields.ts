import { z } from 'zod';
import { parseQuantity, type Quantity, type QuantityIssue, unitOf } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { isDay, oneLine } from './input-numbers';

/** Why one field of a form cannot be taken. */
export type FieldIssue =
  | QuantityIssue
  | { readonly code: 'needed' }
  | { readonly code: 'tooLong'; readonly limit: number }
  | { readonly code: 'outOfRange'; readonly low: number; readonly high: number; readonly unit: string }
  | { readonly code: 'notAChoice' }
  | { readonly code: 'notADay'; readonly text: string }
  /** `other` is the name of the field that is missing beside it. */
  | { readonly code: 'together'; readonly other: string }
  | { readonly code: 'notNumbers'; readonly text: string }
  /** A fault that only its subject knows, in its words. */
  | { readonly code: 'worded'; readonly text: string };

/** Everything that is wrong with a form, by the name of the field. */
export type FormFaults = Readonly<Record<string, readonly FieldIssue[]>>;

/** How a field is labelled, wherever it is shown or spoken of. */
export interface FieldWords {
  readonly label: string;
  readonly hint?: string;
  /** Unit that a bare number is in. */
  readonly unit?: string;
}

const FIELD_WORDS = z.registry<FieldWords>();

/** A schema that carries the words of its field. */
function withWords<Schema extends z.ZodType>(schema: Schema, words: FieldWords): Schema {
  FIELD_WORDS.add(schema, words);
  return schema;
}

/** The object that a form is parsed by, under what is done with it afterwards. */
function fieldsOf(form: z.ZodType): Readonly<Record<string, z.ZodType>> {
  let schema: z.ZodType = form;
  while (schema instanceof z.ZodPipe) schema = schema.in as z.ZodType;
  return schema instanceof z.ZodObject ? (schema.shape as Record<string, z.ZodType>) : {};
}

/** Label, hint and unit of a field of a form; a name that the form does not know is its own label. */
export function wordsOfField(form: z.ZodType, name: string): FieldWords {
  const field = fieldsOf(form)[name];
  return (field && FIELD_WORDS.get(field)) ?? { label: name };
}

export function refuse(context: z.RefinementCtx, issue: FieldIssue, field?: string): never {
  context.addIssue({ code: 'custom', params: { issue }, ...(field === undefined ? {} : { path: [field] }) });
  return z.NEVER;
}

interface TextOptions {
  readonly hint?: string;
  readonly optional?: boolean;
  /** Longest text that is kept, characters. */
  readonly limit?: number;
  /** Line ends are kept; elsewhere they and other control characters are removed. */
  readonly isMultiline?: boolean;
}

/** A text, trimmed; needed unless `optional`. */
export function textField(
  label: string,
  { hint, optional = false, limit = 120, isMultiline = false }: TextOptions = {},
) {
  const schema = z
    .string()
    .default('')
    .transform((text, context) => {
      const trimmed = (isMultiline ? text : oneLine(text)).trim();
      if (trimmed === '' && !optional) return refuse(context, { code: 'needed' });
      if (trimmed.length > limit) return refuse(context, { code: 'tooLong', limit });
      return trimmed;
    });
  return withWords(schema, { label, hint });
}

interface NumberOptions {
  /** Bounds, in the quantity's own unit, both allowed. */
  readonly low: number;
  readonly high: number;
  readonly hint?: string;
}

function readNumber(quantity: Quantity, { low, high }: NumberOptions) {
  return z
    .string()
    .default('')
    .transform((text, context): number | undefined => {
      if (text.trim() === '') return undefined;
      const parsed = parseQuantity(text, quantity);
      if (!parsed.ok) return refuse(context, parsed.issue);
      const { value } = parsed.value;
      const issue = { code: 'outOfRange', low, high, unit: unitOf(quantity) } as const;
      return value < low || value > high ? refuse(context, issue) : value;
    });
}

const numberWords = (label: string, quantity: Quantity, { hint }: NumberOptions): FieldWords => ({
  label,
  hint,
  unit: unitOf(quantity) || undefined,
});

/** A number of a quantity, within bounds; a blank is undefined, never 0. */
export function optionalNumber(label: string, quantity: Quantity, options: NumberOptions) {
  return withWords(readNumber(quantity, options), numberWords(label, quantity, options));
}

/** A number that must be there. */
export function numberField(label: string, quantity: Quantity, options: NumberOptions) {
  const schema = readNumber(quantity, options).transform((value, context): number =>
    value === undefined ? refuse(context, { code: 'blank' }) : value,
  );
  return withWords(schema, numberWords(label, quantity, options));
}

/** A number of a quantity; blank is null, which is how the store keeps unknown values. */
export function numberOrNull(label: string, quantity: Quantity, options: NumberOptions) {
  const schema = readNumber(quantity, options).transform((value) => value ?? null);
  return withWords(schema, numberWords(label, quantity, options));
}

/** Numbers of a quantity parted by spaces or semicolons. */
export function numbersField(
  label: string,
  quantity: Quantity,
  options: NumberOptions & { readonly optional?: boolean },
) {
  const { low, high, optional } = options;
  const schema = textField(label, { limit: 300, optional }).transform((text, context): number[] => {
    const words = text.split(/[\s;]+/).filter((word) => word !== '');
    const numbers = words.map((word) => parseQuantity(word, quantity));
    if (!numbers.every((number) => number.ok)) return refuse(context, { code: 'notNumbers', text });
    const values = numbers.map((number) => number.value.value);
    return values.every((value) => value >= low && value <= high)
      ? values
      : refuse(context, { code: 'outOfRange', low, high, unit: unitOf(quantity) });
  });
  return withWords(schema, numberWords(label, quantity, options));
}

function readChoice<Choice extends string>(choices: readonly Choice[]) {
  return z
    .string()
    .default('')
    .transform((text, context): Choice => {
      const choice = choices.find((candidate) => candidate === text);
      return choice === undefined ? refuse(context, { code: 'notAChoice' }) : choice;
    });
}

/** One of the given words. */
export function choiceField<Choice extends string>(
  label: string,
  choices: readonly Choice[],
  { hint }: { readonly hint?: string } = {},
) {
  return withWords(readChoice(choices), { label, hint });
}

/** A choice that may be left open. */
export function optionalChoice<Choice extends string>(label: string, choices: readonly Choice[]) {
  const schema = readChoice<Choice | ''>(['', ...choices]).transform((text) =>
    text === '' ? undefined : text,
  );
  return withWords(schema, { label });
}

/** A day as YYYY-MM-DD, or nothing. */
export function dayField(label: string) {
  const schema = z
    .string()
    .default('')
    .transform((text, context): string => {
      const day = text.trim();
      if (day === '') return '';
      return isDay(day) ? day : refuse(context, { code: 'notADay', text: day });
    });
  return withWords(schema, { label });
}

/** A ticked box. */
export function tickField(label: string) {
  const schema = z
    .string()
    .optional()
    .transform((text) => text !== undefined);
  return withWords(schema, { label });
}

/** Ticked boxes `name_word`, in the order of the words. */
export function tickFields<Word extends string>(
  name: string,
  words: readonly Word[],
  labelOf: (word: Word) => string,
) {
  return Object.fromEntries(words.map((word) => [`${name}_${word}`, tickField(labelOf(word))])) as Record<
    `${string}_${Word}`,
    ReturnType<typeof tickField>
  >;
}

/** Of the words those whose boxes were ticked. */
export function ticked<Word extends string>(
  form: Readonly<Record<string, unknown>>,
  name: string,
  words: readonly Word[],
): Word[] {
  return words.filter((word) => form[`${name}_${word}`] === true);
}

const ROW_ID = /^[1-9]\d{0,14}$/;

/** The id of a row, chosen from a list; a blank is undefined. */
export function optionalId(label: string) {
  const schema = z
    .string()
    .default('')
    .transform((text, context): number | undefined => {
      if (text === '') return undefined;
      return ROW_ID.test(text) ? Number(text) : refuse(context, { code: 'notAChoice' });
    });
  return withWords(schema, { label });
}

/** The id of a row that must be chosen. */
export function idField(label: string) {
  const schema = z
    .string()
    .default('')
    .transform((text, context): number =>
      ROW_ID.test(text) ? Number(text) : refuse(context, { code: 'notAChoice' }),
    );
  return withWords(schema, { label });
}

/** The issues of a field as refused; what zod itself refuses was missing. */
export function issuesOf(issues: readonly z.core.$ZodIssue[]): FieldIssue[] {
  return issues.map((issue) =>
    issue.code === 'custom'
      ? ((issue.params?.issue as FieldIssue | undefined) ?? { code: 'needed' })
      : { code: 'needed' },
  );
}

/** Parses what a form sent; everything that cannot be taken is named, field by field. */
export function parseForm<Schema extends z.ZodType>(
  schema: Schema,
  data: FormData,
): Result<z.output<Schema>, FormFaults> {
  const texts = Object.fromEntries(
    [...(data instanceof FormData ? data : [])].filter(
      (entry): entry is [string, string] => typeof entry[1] === 'string',
    ),
  );
  const parsed = schema.safeParse(texts);
  if (parsed.success) return ok(parsed.data);
  const faults: Record<string, FieldIssue[]> = {};
  for (const issue of parsed.error.issues) {
    const field = String(issue.path[0] ?? '');
    faults[field] = [...(faults[field] ?? []), ...issuesOf([issue])];
  }
  return fail(faults);
}
