'use server';

import type { z } from 'zod';
import { changedRuns } from '@/app/_actions/changed-runs';
import { areIds } from '@/app/_actions/from-page';
import type { Result } from '@/core/result';
import { bench } from '@/subjects/house';
import { GONE_WORDS } from '@/subjects/language/shared';
import {
  keepCause,
  keepTest,
  noteCare,
  noteFailure,
  noteWell,
  takeBackCare,
  takeBackFailure,
} from '@/subjects/log';
import {
  careInput,
  causeInput,
  describeLogIssue,
  failureInput,
  type LogIssue,
  testInput,
} from '@/subjects/log/shared';

/** What went wrong, in a sentence; empty where all went well. */
function answer(result: Result<unknown, LogIssue>): string {
  changedRuns();
  return result.ok ? '' : describeLogIssue(result.issue);
}

/** What a page sent without a form: read, then one verb. */
function tapped<Shape>(
  ids: readonly unknown[],
  schema: z.ZodType<Shape>,
  input: unknown,
  verb: (wanted: Shape) => Result<unknown, LogIssue>,
): string {
  const wanted = schema.safeParse(input);
  return areIds(...ids) && wanted.success ? answer(verb(wanted.data)) : GONE_WORDS;
}

/** Something of a run failed. */
export async function tapFailure(runId: number, input: unknown): Promise<string> {
  return tapped([runId], failureInput, input, (noted) => noteFailure(bench().db, runId, noted));
}

/** Everything came out well. */
export async function tapWell(runId: number): Promise<string> {
  return areIds(runId) ? answer(noteWell(bench().db, runId)) : GONE_WORDS;
}

/** It was no failure. */
export async function dropFailure(runId: number, failureId: number): Promise<string> {
  if (!areIds(runId, failureId)) return GONE_WORDS;
  return answer(takeBackFailure(bench().db, runId, failureId));
}

/** What a deciding test showed. */
export async function tapTest(runId: number, input: unknown): Promise<string> {
  return tapped([runId], testInput, input, (made) => keepTest(bench().db, runId, made));
}

/** What turned out to be the cause. */
export async function tapCause(runId: number, input: unknown): Promise<string> {
  return tapped([runId], causeInput, input, (cause) => keepCause(bench().db, runId, cause));
}

/** Care that was done at a printer. */
export async function tapCare(printerId: number, input: unknown): Promise<string> {
  return tapped([printerId], careInput, input, (kind) => noteCare(bench().db, printerId, { kind, note: '' }));
}

/** Care was not done after all. */
export async function dropCare(printerId: number, input: unknown): Promise<string> {
  return tapped([printerId], careInput, input, (kind) => takeBackCare(bench().db, printerId, kind));
}
