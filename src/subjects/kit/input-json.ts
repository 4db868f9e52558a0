import type { z } from 'zod';
import { fail, ok, type Result } from '@/core/kit';

/** What is wrong with the form of a file: it is not JSON, or one of its fields is not valid. */
export type JsonIssue =
  { readonly code: 'notJson' } | { readonly code: 'badField'; readonly where: string; readonly what: string };

export function parseJson(text: string): Result<unknown, JsonIssue> {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch {
    return fail({ code: 'notJson' });
  }
}

/** A value of a given shape; the first field that is wrong is named. */
export function shapedBy<Shape>(schema: z.ZodType<Shape>, value: unknown): Result<Shape, JsonIssue> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return ok(parsed.data);
  const [issue] = parsed.error.issues;
  return fail({ code: 'badField', where: issue.path.join('.'), what: issue.message });
}

/** A JSON text of a given shape. */
export function readJsonText<Shape>(schema: z.ZodType<Shape>, text: string): Result<Shape, JsonIssue> {
  const value = parseJson(text);
  return value.ok ? shapedBy(schema, value.value) : value;
}

export function describeJsonIssue(issue: JsonIssue): string {
  return issue.code === 'notJson'
    ? 'this is not valid JSON. docs/formats.md describes the format.'
    : `${issue.where === '' ? 'the whole file' : issue.where}: ${issue.what}. docs/formats.md describes the format.`;
}
