'use server';

import { ok } from '@/core/result';
import { bench } from '@/subjects/house';
import type { FormAnswer } from '@/subjects/language/shared';
import { createProfile, setStations } from '@/subjects/printing';
import { describeProfileIssue, profileForm, stationsForm } from '@/subjects/printing/shared';
import { answerForm } from '../_actions/answer-form';
import { changedPrinters } from '../_actions/changed';

export async function addProfile(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: profileForm,
    data,
    verb: (wanted) => createProfile(bench().db, wanted),
    refusal: describeProfileIssue,
    said: (_id, { resinName, printerName }) => `${resinName} on ${printerName} is on the bench.`,
    changed: changedPrinters,
  });
}

export async function saveStations(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: stationsForm,
    data,
    verb: ({ printerId, ...stations }) => ok(setStations(bench().db, printerId, stations)),
    refusal: String,
    said: () => 'Kept. The next look at a part counts with it.',
    changed: changedPrinters,
  });
}
