'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedPrinters } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { bench } from '@/subjects/house';
import { type FormAnswer, GONE_WORDS } from '@/subjects/language/shared';
import { cureSimulatedStrips, keepStrip, takeBackStrip } from '@/subjects/light';
import { describeKeepIssue, stripForm } from '@/subjects/light/shared';

export async function saveStrip(profileId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: stripForm,
    data,
    ids: [profileId],
    verb: (read) => keepStrip(bench().db, profileId, read),
    refusal: describeKeepIssue,
    changed: changedPrinters,
  });
}

export async function dropStrip(profileId: number, stripId: number): Promise<string> {
  if (!areIds(profileId, stripId)) return GONE_WORDS;
  const taken = takeBackStrip(bench().db, profileId, stripId);
  changedPrinters();
  return taken.ok ? '' : describeKeepIssue(taken.issue);
}

export async function cureStrips(
  profileId: number,
  exposureS: number,
  instrumentId: number,
): Promise<string> {
  if (!areIds(profileId, instrumentId) || !(exposureS > 0 && exposureS < 900)) return GONE_WORDS;
  const cured = cureSimulatedStrips(bench().db, profileId, { exposureS, instrumentId });
  changedPrinters();
  return cured.ok ? '' : describeKeepIssue(cured.issue);
}
