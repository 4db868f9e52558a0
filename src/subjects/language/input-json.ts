import type { z } from 'zod';
import { fail, ok, type Result } from '@/core/result';

/** What is wrong with the shape of a file: it is no JSON, or one of its fields is not what it must be. */
export type JsonIssue =
  { readonly code: 'notJson' } | { readonly code: 'badField'; readonly where: string; readonly what: string };

/** Reads a JSON text of a given shape; the first field that is wrong is named. */
export function readJsonText<Shape>(schema: z.ZodType<Shape>, text: string): Result<Shape, JsonIssue> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return fail({ code: 'notJson' });
  }
  const parsed = schema.safeParse(value);
  if (parsed.success) return ok(parsed.data);
  const [issue] = parsed.error.issues;
  return fail({ code: 'badField', where: issue.path.join('.'), what: issue.message });
}

export function describeJsonIssue(issue: JsonIssue): string {
  return issue.code === 'notJson'
    ? 'this is not JSON. See docs/formats.md for what it holds.'
    : `${issue.where === '' ? 'the whole' : issue.where}: ${issue.what}. See docs/formats.md for what it holds.`;
}
