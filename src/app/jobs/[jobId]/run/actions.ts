'use server';

import { changedJob } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import type { Result } from '@/core/kit';
import { bench } from '@/subjects/workshop/settings';
import { GONE_WORDS } from '@/subjects/kit/shared';
import { beginStep, endStep, takeBackStep } from '@/subjects/print/postprocess';
import { describeStepIssue, type StepIssue, stepInput } from '@/subjects/print/postprocess/shared';

/** What went wrong, in a sentence; empty where all went well. */
function answer(jobId: number, result: Result<unknown, StepIssue>): string {
  changedJob(jobId);
  return result.ok ? '' : describeStepIssue(result.issue);
}

export const begin = tap('begin', GONE_WORDS, (jobId: number, input: unknown): string => {
  const wanted = stepInput.safeParse(input);
  if (!areIds(jobId) || !wanted.success) return GONE_WORDS;
  return answer(jobId, beginStep(bench().db, jobId, wanted.data));
});

export const end = tap('end', GONE_WORDS, (jobId: number, stepId: number, given: string): string => {
  if (!areIds(jobId, stepId)) return GONE_WORDS;
  return answer(jobId, endStep(bench().db, jobId, stepId, String(given).slice(0, 200)));
});

export const takeBack = tap('takeBack', GONE_WORDS, (jobId: number, stepId: number): string => {
  if (!areIds(jobId, stepId)) return GONE_WORDS;
  return answer(jobId, takeBackStep(bench().db, jobId, stepId));
});
