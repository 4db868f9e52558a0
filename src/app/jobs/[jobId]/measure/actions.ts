'use server';

import { formatMm } from '@/core/kit/wording';
import { answerForm } from '@/app/_actions/answer-form';
import { changedJob } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { printAttempt } from '@/subjects/part';
import { describePrintIssue, printForm } from '@/subjects/part/shared';
import { sitAt } from '@/subjects/measure/calipers';
import { describeSessionIssue, sessionForm } from '@/subjects/measure/calipers/shared';
import { tryAllGapSteps } from '@/subjects/fit/gauges';
import { bench } from '@/subjects/workshop/settings';
import { done, type FormAnswer, GONE_WORDS, refused } from '@/subjects/kit/shared';
import { noteBroken, takeBackReading } from '@/subjects/measure/readings';
import { describeTakeBackIssue } from '@/subjects/measure/readings/shared';
import { describeSimulatedIssue } from '@/subjects/simulated/shared';

export async function beginSession(
  jobId: number,
  printId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: sessionForm,
    data,
    ids: [jobId, printId],
    verb: (wanted) => sitAt(bench().db, { jobId, printId, ...wanted }),
    refusal: describeSessionIssue,
    changed: () => changedJob(jobId),
  });
}

export const takeBack = tap(
  'takeBack',
  GONE_WORDS,
  (jobId: number, printId: number, readingId?: number): string => {
    if (!areIds(jobId, printId, ...(readingId === undefined ? [] : [readingId]))) return GONE_WORDS;
    const taken = takeBackReading(bench().db, jobId, printId, readingId);
    changedJob(jobId);
    return taken.ok
      ? `Deleted reading ${formatMm(taken.value.readingMm)} of ${taken.value.feature.name}.`
      : describeTakeBackIssue(taken.issue);
  },
);

/** Notes that an attempt was printed, and shows its first copy. */
export async function makePrint(
  jobId: number,
  attemptId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: printForm,
    data,
    ids: [jobId, attemptId],
    verb: (wanted) => printAttempt(bench().db, jobId, attemptId, wanted),
    refusal: describePrintIssue,
    changed: () => changedJob(jobId),
    goOn: () => `/jobs/${jobId}/measure`,
  });
}

/** Lets the simulated hand try every step of a simulated print. */
export const touchAll = tap(
  'touchAll',
  refused(GONE_WORDS),
  (jobId: number, printId: number, rungs: readonly number[]): FormAnswer => {
    if (!Array.isArray(rungs) || !areIds(jobId, printId, ...(rungs as number[]))) return refused(GONE_WORDS);
    const tried = tryAllGapSteps(bench().db, jobId, printId, rungs);
    changedJob(jobId);
    return tried.ok ? done() : refused(describeSimulatedIssue(tried.issue));
  },
);

export const saveBroken = tap(
  'saveBroken',
  undefined,
  (jobId: number, printId: number, note: string): void => {
    if (!areIds(jobId, printId)) return;
    noteBroken(bench().db, jobId, printId, String(note).trim().slice(0, 200));
    changedJob(jobId);
  },
);
