import type { z } from 'zod';
import type { Result } from '@/core/kit';
import { GONE_WORDS } from '@/subjects/kit/shared';
import { describeLogIssue, type LogIssue } from '@/subjects/log/shared';
import { changedRuns } from './changed-runs';
import { areIds } from './from-page';

/** What went wrong, in a sentence; empty where all went well. */
export function answerTap(result: Result<unknown, LogIssue>): string {
  changedRuns();
  return result.ok ? '' : describeLogIssue(result.issue);
}

/** What a page sent without a form: read, then one verb. */
export function tapped<Shape>(
  ids: readonly unknown[],
  schema: z.ZodType<Shape>,
  input: unknown,
  verb: (wanted: Shape) => Result<unknown, LogIssue>,
): string {
  const wanted = schema.safeParse(input);
  return areIds(...ids) && wanted.success ? answerTap(verb(wanted.data)) : GONE_WORDS;
}
