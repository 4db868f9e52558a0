'use server';

import { randomInt } from 'node:crypto';
import { after } from 'next/server';
import { fail, ok } from '@/core/kit';
import { bench } from '@/subjects/workshop/settings';
import { changeProcess, takeBackProcess } from '@/subjects/job/jobs';
import { describeReopenedJobs } from '@/subjects/job/jobs/shared';
import { type FormAnswer, GONE_WORDS } from '@/subjects/kit/shared';
import {
  changePrinter,
  chooseControl,
  correctSettings,
  createProfile,
  removeForeignLaw,
  takeForeignLaw,
} from '@/subjects/signature';
import {
  cardForm,
  changeForm,
  controlForm,
  describeChangeIssue,
  describeForeignIssue,
  describeProfileIssue,
  foreignForm,
  printerForm,
  profileForm,
  settingsForm,
} from '@/subjects/signature/shared';
import { setTrouble } from '@/subjects/simulated';
import { troubleForm } from '@/subjects/simulated/shared';
import { answerForm } from '../_actions/answer-form';
import { changedPrinters, changedProcess } from '../_actions/changed';
import { areIds } from '../_actions/from-page';
import { tap } from '@/app/_actions/tap';

export async function addProfile(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: profileForm,
    data,
    verb: (wanted) => createProfile(bench().db, wanted),
    refusal: describeProfileIssue,
    said: (_id, { resinName, printerName }) => `${resinName} on ${printerName} created.`,
    changed: changedPrinters,
  });
}

export async function savePrinter(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: printerForm,
    data,
    verb: ({ printerId, facts }) => changePrinter(bench().db, printerId, facts),
    refusal: () => GONE_WORDS,
    said: () => 'Saved. It applies to the next check and the next choice of resin.',
    changed: changedPrinters,
  });
}

/** Numbers of the device, as whoever repairs it asks for them. */
export async function saveCard(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: cardForm,
    data,
    verb: ({ printerId, card }) => changePrinter(bench().db, printerId, { card }),
    refusal: () => GONE_WORDS,
    changed: changedPrinters,
  });
}

/** Sets the fault of a simulated printer. */
export async function saveTrouble(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: troubleForm,
    data,
    verb: ({ printerId, trouble }) =>
      setTrouble(bench().db, printerId, trouble, randomInt(1, 1_000_000)) ? ok(undefined) : fail(GONE_WORDS),
    refusal: String,
    said: () => 'Fault applied. Check the results of its prints.',
    changed: changedPrinters,
  });
}

export async function noteProfileChange(
  profileId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: changeForm,
    data,
    ids: [profileId],
    verb: (change) => changeProcess(bench().db, profileId, change, after),
    refusal: describeChangeIssue,
    said: describeReopenedJobs,
    changed: changedProcess,
  });
}

export async function saveSettings(
  profileId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: settingsForm,
    data,
    ids: [profileId],
    verb: (settings) => correctSettings(bench().db, profileId, settings),
    refusal: describeChangeIssue,
    changed: changedProcess,
  });
}

export const takeBackProfileChange = tap(
  'takeBackProfileChange',
  GONE_WORDS,
  (profileId: number, changeId: number): string => {
    if (!areIds(profileId, changeId)) return GONE_WORDS;
    const taken = takeBackProcess(bench().db, profileId, changeId, after);
    changedProcess();
    return taken.ok ? 'Change undone.' : describeChangeIssue(taken.issue);
  },
);

export async function chooseControlFeature(
  profileId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: controlForm,
    data,
    ids: [profileId],
    verb: ({ featureId }) => chooseControl(bench().db, profileId, featureId),
    refusal: () => GONE_WORDS,
    said: () => 'Saved. From the next print on, Measure asks for it after the sizes of the part.',
    changed: changedProcess,
  });
}

export async function addForeignLaw(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: foreignForm,
    data,
    verb: (wanted) => takeForeignLaw(bench().db, wanted),
    refusal: describeForeignIssue,
    said: () => 'Imported. It counts half as much as a related profile of this workshop.',
    changed: changedProcess,
  });
}

export const dropForeignLaw = tap('dropForeignLaw', undefined, (lawId: number): void => {
  if (!areIds(lawId)) return;
  removeForeignLaw(bench().db, lawId);
  changedProcess();
});
