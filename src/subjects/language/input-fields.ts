import { z } from 'zod';
import { type LengthIssue, parseLength } from '@/core/metrology';
import { fail, ok, type Result } from '@/core/result';

/** Why one field of a form cannot be taken; `field` is its name in the form. */
export type FieldIssue =
  | LengthIssue
  | { readonly code: 'needed' }
  | { readonly code: 'tooLong'; readonly limit: number }
  | { readonly code: 'outOfRange'; readonly low: number; readonly high: number }
  | { readonly code: 'notAChoice' }
  | { readonly code: 'notADay'; readonly text: string }
  | { readonly code: 'together'; readonly other: string }
  | { readonly code: 'notNumbers'; readonly text: string }
  /** A fault that only its subject knows, in its words. */
  | { readonly code: 'worded'; readonly text: string };

export interface FormIssue {
  readonly code: 'field';
  readonly field: string;
  readonly issue: FieldIssue;
}

export function refuse(context: z.RefinementCtx, issue: FieldIssue): never {
  context.addIssue({ code: 'custom', params: { issue } });
  return z.NEVER;
}

/** One line of text, trimmed; needed unless `optional`. */
export function textField(options: { readonly optional?: boolean; readonly limit?: number } = {}) {
  const { optional = false, limit = 120 } = options;
  return z
    .string()
    .default('')
    .transform((text, context) => {
      const trimmed = text.trim();
      if (trimmed === '' && !optional) return refuse(context, { code: 'needed' });
      if (trimmed.length > limit) return refuse(context, { code: 'tooLong', limit });
      return trimmed;
    });
}

/** A number within limits, read by the one parser of lengths; a blank is undefined. Millimetres where it is a length. */
export function optionalNumber(low: number, high: number) {
  return z
    .string()
    .default('')
    .transform((text, context): number | undefined => {
      if (text.trim() === '') return undefined;
      const parsed = parseLength(text);
      if (!parsed.ok) return refuse(context, parsed.issue);
      const value = parsed.value.valueMm;
      return value < low || value > high ? refuse(context, { code: 'outOfRange', low, high }) : value;
    });
}

/** A number that must be there. */
export function numberField(low: number, high: number) {
  return optionalNumber(low, high).transform((value, context): number =>
    value === undefined ? refuse(context, { code: 'blank' }) : value,
  );
}

/** One of the given words. */
export function choiceField<Choice extends string>(choices: readonly Choice[]) {
  return z
    .string()
    .default('')
    .transform((text, context): Choice => {
      const choice = choices.find((candidate) => candidate === text);
      return choice === undefined ? refuse(context, { code: 'notAChoice' }) : choice;
    });
}

/** A day as YYYY-MM-DD, or nothing. */
export const dayField = z
  .string()
  .default('')
  .transform((text, context): string => {
    const day = text.trim();
    if (day === '') return '';
    const time = /^\d{4}-\d{2}-\d{2}$/.test(day) ? Date.parse(`${day}T00:00:00Z`) : NaN;
    return Number.isNaN(time) ? refuse(context, { code: 'notADay', text: day }) : day;
  });

/** A ticked box. */
export const tickField = z
  .string()
  .optional()
  .transform((text) => text !== undefined);

/** The id of a row; a blank is undefined. */
export const idField = z
  .string()
  .default('')
  .transform((text, context): number | undefined => {
    if (text === '') return undefined;
    return /^\d{1,15}$/.test(text) ? Number(text) : refuse(context, { code: 'notAChoice' });
  });

/** Parses what a form sent; the first field that cannot be taken is named. */
export function parseForm<Schema extends z.ZodType>(
  schema: Schema,
  data: FormData,
): Result<z.output<Schema>, FormIssue> {
  const texts = Object.fromEntries(
    [...data].filter((entry): entry is [string, string] => typeof entry[1] === 'string'),
  );
  const parsed = schema.safeParse(texts);
  if (parsed.success) return ok(parsed.data);
  const [first] = parsed.error.issues;
  const issue = first.code === 'custom' ? (first.params?.issue as FieldIssue | undefined) : undefined;
  return fail({ code: 'field', field: String(first.path[0] ?? ''), issue: issue ?? { code: 'needed' } });
}

/** Longest size anybody prints, mm. */
export const LONGEST_MM = 2000;
