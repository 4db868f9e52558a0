'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedJob } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { ok } from '@/core/kit';
import { SHEET_KINDS } from '@/core/job/sheets';
import { bench } from '@/subjects/workshop/settings';
import { describeReopened } from '@/subjects/job/jobs/shared';
import { done, type FormAnswer, GONE_WORDS, refused } from '@/subjects/kit/shared';
import { chooseSheet, takeBackBody, takeOverSheet } from '@/subjects/job/sheets';
import {
  describeTakeOverIssue,
  interfacesIn,
  sheetFormOf,
  sheetKindForm,
} from '@/subjects/job/sheets/shared';

export const takeBodyBack = tap('takeBodyBack', false, (jobId: number, readingId?: number): boolean => {
  if (!areIds(jobId, ...(readingId === undefined ? [] : [readingId]))) return false;
  const taken = takeBackBody(bench().db, jobId, readingId);
  changedJob(jobId);
  return taken;
});

/** Chooses another sheet; its options and fits start again. */
export async function changeSheetKind(
  jobId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: sheetKindForm,
    data,
    ids: [jobId],
    verb: ({ kind }) => ok(chooseSheet(bench().db, jobId, { kind, options: {}, wishes: {} })),
    refusal: String,
    changed: () => changedJob(jobId),
  });
}

/** Stores the options and fits of a sheet. */
export async function saveSheet(
  jobId: number,
  sheet: string,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  const kind = SHEET_KINDS.find((each) => each === sheet);
  if (kind === undefined) return refused(GONE_WORDS);
  return answerForm({
    form: sheetFormOf(kind, interfacesIn(data)),
    data,
    ids: [jobId],
    verb: (choices) => ok(chooseSheet(bench().db, jobId, choices)),
    refusal: String,
    changed: () => changedJob(jobId),
  });
}

export const takeOver = tap('takeOver', refused(GONE_WORDS), (jobId: number): FormAnswer => {
  if (!areIds(jobId)) return refused(GONE_WORDS);
  const taken = takeOverSheet(bench().db, jobId);
  if (!taken.ok) return refused(describeTakeOverIssue(taken.issue));
  changedJob(jobId);
  const { sizes, opened } = taken.value;
  return done(`${sizes} sizes applied to the job. ${describeReopened(opened)}`.trim());
});
