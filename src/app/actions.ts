'use server';

import { ok } from '@/core/result';
import { bench } from '@/subjects/house';
import { createJob } from '@/subjects/job';
import { newJobForm } from '@/subjects/job/shared';
import type { FormAnswer } from '@/subjects/language/shared';
import { firstProfile } from '@/subjects/printing';
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
