'use server';

import { bench } from '@/subjects/house';
import { type FormAnswer, GONE_WORDS } from '@/subjects/language/shared';
import { changePrinter, createProfile } from '@/subjects/printing';
import { describeProfileIssue, printerForm, profileForm } from '@/subjects/printing/shared';
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

export async function savePrinter(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: printerForm,
    data,
    verb: ({ printerId, facts }) => changePrinter(bench().db, printerId, facts),
    refusal: () => GONE_WORDS,
    said: () => 'Kept. The next look at a part and the next choice of a resin count with it.',
    changed: changedPrinters,
  });
}
