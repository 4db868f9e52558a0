'use server';

import { redirect } from 'next/navigation';
import { RESIN_TEST_KINDS, SHIPPED_SHELF } from '@/core/resin';
import { ok } from '@/core/kit';
import { bench, today } from '@/subjects/workshop/settings';
import { type FormAnswer, GONE_WORDS, refused } from '@/subjects/kit/shared';
import {
  addBottle,
  addResin,
  bringAll,
  dropQuote,
  keepFacts,
  keepLeft,
  keepResinTest,
  keepQuote,
  loadVat,
  makeBlend,
  readCreepAgain,
  shakeBottle,
  takeBackResinTest,
  takeOffShelf,
  throwBottle,
} from '@/subjects/resin/shelf';
import {
  blendForm,
  bottleForm,
  creepAgainForm,
  describeResinTestResult,
  describeShelfChangeIssue,
  factsForm,
  leftForm,
  RESIN_TEST_FORMS,
  quoteForm,
  resinForm,
  vatForm,
} from '@/subjects/resin/shelf/shared';
import { simulatedBend } from '@/subjects/simulated';
import { answerForm } from '../_actions/answer-form';
import { changedPrinters, changedShelf } from '../_actions/changed';
import { areIds, fieldOf } from '../_actions/from-page';
import { tap } from '@/app/_actions/tap';

const shown = { refusal: describeShelfChangeIssue, changed: changedShelf };

export async function startResin(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: resinForm,
    data,
    verb: ({ name, family }) => addResin(bench().db, name, family),
    goOn: (resinId) => `/shelf/${resinId}`,
    ...shown,
  });
}

/** Adds the invented resins that ship with the program, to try things with. */
export async function takePracticeShelf(): Promise<void> {
  bringAll(bench().db, SHIPPED_SHELF);
  changedShelf();
}

const takeOff = tap('takeOff', undefined, (resinId: number): void => {
  if (areIds(resinId)) takeOffShelf(bench().db, resinId);
  changedShelf();
});

export async function removeResin(tapKey: string, resinId: number): Promise<void> {
  await takeOff(tapKey, resinId);
  redirect('/shelf');
}

export async function saveQuote(resinId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: quoteForm,
    data,
    ids: [resinId],
    verb: (quote) => keepQuote(bench().db, resinId, quote),
    said: (_value, { typed }) => (typed === undefined ? 'Saved.' : `Saved, converted from ${typed}.`),
    ...shown,
  });
}

export const removeQuote = tap('removeQuote', GONE_WORDS, (resinId: number, index: number): string => {
  if (!areIds(resinId) || !Number.isSafeInteger(index)) return GONE_WORDS;
  const dropped = dropQuote(bench().db, resinId, index);
  changedShelf();
  return dropped.ok ? '' : describeShelfChangeIssue(dropped.issue);
});

export async function saveFacts(resinId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const verb = (facts: Parameters<typeof keepFacts>[2]) => keepFacts(bench().db, resinId, facts);
  return answerForm({ form: factsForm, data, ids: [resinId], verb, ...shown });
}

export async function saveBottle(resinId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: bottleForm,
    data,
    ids: [resinId],
    verb: (bottle) => addBottle(bench().db, resinId, bottle),
    said: () => 'Resin added.',
    ...shown,
  });
}

export async function saveLeft(
  resinId: number,
  bottleId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: leftForm,
    data,
    ids: [resinId, bottleId],
    verb: (left) => keepLeft(bench().db, resinId, bottleId, left),
    said: (leftMl) => `${leftMl.toFixed(0)} ml left.`,
    ...shown,
  });
}

export const noteShaken = tap('noteShaken', undefined, (resinId: number, bottleId: number): void => {
  if (areIds(resinId, bottleId)) shakeBottle(bench().db, resinId, bottleId);
  changedShelf();
});

export const removeBottle = tap('removeBottle', undefined, (resinId: number, bottleId: number): void => {
  if (areIds(resinId, bottleId)) throwBottle(bench().db, resinId, bottleId);
  changedShelf();
});

export async function saveVat(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: vatForm,
    data,
    verb: ({ printerId, resinId }) => ok(loadVat(bench().db, printerId, resinId, today())),
    refusal: String,
    changed: changedPrinters,
  });
}

/** Stores a test of the kind that its form names. */
export async function saveResinTest(
  resinId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  const kind = RESIN_TEST_KINDS.find((each) => each === fieldOf(data, 'kind'));
  if (kind === undefined) return refused('Choose a test type.');
  return answerForm({
    form: RESIN_TEST_FORMS[kind],
    data,
    ids: [resinId],
    verb: ({ note, on, ...test }) => keepResinTest(bench().db, resinId, { ...test, on: on || today() }, note),
    said: (result) => `Saved: ${describeResinTestResult(result)}.`,
    ...shown,
  });
}

export const removeResinTest = tap('removeProof', undefined, (resinId: number, proofId: number): void => {
  if (areIds(resinId, proofId)) takeBackResinTest(bench().db, resinId, proofId);
  changedShelf();
});

export async function saveCreepAgain(
  resinId: number,
  proofId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: creepAgainForm,
    data,
    ids: [resinId, proofId],
    verb: ({ secondMm }) => readCreepAgain(bench().db, resinId, proofId, secondMm),
    ...shown,
  });
}

/** Readings of a simulated bench for a bend bar of this resin. */
export async function bendOnSimulated(resinId: number, closing: number) {
  return areIds(resinId, closing) ? simulatedBend(bench().db, resinId, closing) : undefined;
}

export async function keepBlend(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: blendForm,
    data,
    verb: ({ name, recipe }) => makeBlend(bench().db, name, recipe),
    goOn: (resinId) => `/shelf/${resinId}`,
    ...shown,
  });
}
