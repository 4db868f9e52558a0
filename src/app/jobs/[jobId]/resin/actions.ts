'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedJob } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { chooseResin, explainChoice, type ResinReasons, saveRequirement } from '@/subjects/resin/choice';
import { describeChoiceIssue, pickForm, requirementForm } from '@/subjects/resin/choice/shared';
import { bench } from '@/subjects/workshop/settings';
import { describeReopened } from '@/subjects/job/jobs/shared';
import type { FormAnswer } from '@/subjects/kit/shared';

export async function keepRequirement(
  jobId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: requirementForm,
    data,
    ids: [jobId],
    verb: (wanted) => saveRequirement(bench().db, jobId, wanted),
    refusal: describeChoiceIssue,
    said: (opened) => `Resins ranked. ${describeReopened(opened)}`.trim(),
    changed: () => changedJob(jobId),
  });
}

export async function pickResin(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: pickForm,
    data,
    ids: [jobId],
    verb: (pick) => chooseResin(bench().db, jobId, pick),
    refusal: describeChoiceIssue,
    said: ({ name, opened }) => `${name} chosen. ${describeReopened(opened)}`.trim(),
    changed: () => changedJob(jobId),
  });
}

/** Why a resin stands where it does, for a row that did not bring it along. */
export async function explainResin(jobId: number, resinId: number): Promise<ResinReasons | undefined> {
  return areIds(jobId, resinId) ? explainChoice(bench().db, jobId, resinId) : undefined;
}
