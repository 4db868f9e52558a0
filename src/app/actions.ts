'use server';

import { ok } from '@/core/kit';
import { bench } from '@/subjects/workshop/settings';
import { createJob } from '@/subjects/job/jobs';
import { newJobForm } from '@/subjects/job/jobs/shared';
import type { FormAnswer } from '@/subjects/kit/shared';
import { firstProfile } from '@/subjects/signature';
import { answerForm } from './_actions/answer-form';
import { changedHouse } from './_actions/changed';

export async function startJob(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const { db } = bench();
  return answerForm({
    form: newJobForm,
    data,
    verb: ({ name }) => ok(createJob(db, name, firstProfile(db))),
    refusal: String,
    changed: changedHouse,
    goOn: (jobId) => `/jobs/${jobId}/need`,
  });
}
