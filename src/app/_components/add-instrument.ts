'use server';

import { createInstrument } from '@/subjects/measure/calipers';
import { describeInstrumentIssue, instrumentForm } from '@/subjects/measure/calipers/shared';
import { bench } from '@/subjects/workshop/settings';
import type { FormAnswer } from '@/subjects/kit/shared';
import { answerForm } from '../_actions/answer-form';
import { changedHouse } from '../_actions/changed';

/** Adds a caliper. */
export async function addInstrument(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: instrumentForm,
    data,
    verb: (wanted) => createInstrument(bench().db, wanted),
    refusal: describeInstrumentIssue,
    said: (_id, { name }) => `${name} was added.`,
    changed: changedHouse,
  });
}
