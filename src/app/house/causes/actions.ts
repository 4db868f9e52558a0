'use server';

import { changedHouse } from '@/app/_actions/changed';
import { answerForm } from '@/app/_actions/answer-form';
import { ok } from '@/core/result';
import { bench } from '@/subjects/house';
import { type FormAnswer, GONE_WORDS } from '@/subjects/language/shared';
import { changeLine, changePrior, dropEdit } from '@/subjects/log';
import { lineForm, lineNameInput, priorForm } from '@/subjects/log/shared';

const shown = { refusal: String, changed: changedHouse, said: () => 'Kept. Failures are read by it.' };

export async function saveLine(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: lineForm,
    data,
    verb: ({ line, chances }) => ok(changeLine(bench().db, line, chances)),
    ...shown,
  });
}

export async function savePrior(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({ form: priorForm, data, verb: (prior) => ok(changePrior(bench().db, prior)), ...shown });
}

/** The house goes back to our chances. */
export async function dropLine(input: unknown): Promise<string> {
  const line = lineNameInput.safeParse(input);
  if (!line.success) return GONE_WORDS;
  dropEdit(bench().db, line.data);
  changedHouse();
  return '';
}
