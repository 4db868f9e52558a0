'use server';

import { ANSWER_WORDS } from '@/core/job/need';
import { answerForm as answer } from '@/app/_actions/answer-form';
import { changedJob } from '@/app/_actions/changed';
import { bench } from '@/subjects/workshop/settings';
import type { FormAnswer } from '@/subjects/kit/shared';
import { answerAcceptance } from '@/subjects/job/need';
import { answerForm, describeAnswerIssue } from '@/subjects/job/need/shared';

export async function answerTest(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answer({
    form: answerForm,
    data,
    ids: [jobId],
    verb: (wanted) => answerAcceptance(bench().db, jobId, wanted.answer, wanted.note),
    refusal: describeAnswerIssue,
    said: (_value, wanted) => `Acceptance test: ${ANSWER_WORDS[wanted.answer]}.`,
    changed: () => changedJob(jobId),
  });
}
