'use server';

import { changedHouse } from '@/app/_actions/changed';
import { answerForm } from '@/app/_actions/answer-form';
import { formAtMachine, tapAtMachine } from '@/app/_actions/at-machine';
import { tap } from '@/app/_actions/tap';
import { ok } from '@/core/kit';
import { bench } from '@/subjects/workshop/settings';
import { type FormAnswer, GONE_WORDS } from '@/subjects/kit/shared';
import { changeLine, changePrior, dropEdit } from '@/subjects/log';
import { lineForm, lineNameInput, priorForm } from '@/subjects/log/shared';

const shown = { refusal: String, changed: changedHouse, said: () => 'Saved. The failure analysis uses it.' };

export const saveLine = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  return answerForm({
    form: lineForm,
    data,
    verb: ({ line, chances }) => ok(changeLine(bench().db, line, chances)),
    ...shown,
  });
});

export const savePrior = formAtMachine(async (_before: FormAnswer, data: FormData) => {
  return answerForm({ form: priorForm, data, verb: (prior) => ok(changePrior(bench().db, prior)), ...shown });
});

/** Resets the chances to the defaults. */
export const dropLine = tapAtMachine(
  tap('dropLine', GONE_WORDS, (input: unknown): string => {
    const line = lineNameInput.safeParse(input);
    if (!line.success) return GONE_WORDS;
    dropEdit(bench().db, line.data);
    changedHouse();
    return '';
  }),
);
