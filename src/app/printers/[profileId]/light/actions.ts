'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedPrinters } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { bench } from '@/subjects/workshop/settings';
import { type FormAnswer, GONE_WORDS } from '@/subjects/kit/shared';
import {
  cureSimulatedStrips,
  deriveProfile,
  keepGauge,
  keepStrip,
  printSimulatedGauges,
  takeBackGauge,
  takeBackStrip,
} from '@/subjects/exposure';
import {
  bracketInput,
  cureInput,
  deriveForm,
  describeDeriveIssue,
  describeKeepIssue,
  gaugeForm,
  type KeepIssue,
  stripForm,
} from '@/subjects/exposure/shared';
import type { Result } from '@/core/kit';

/** What went wrong, in a sentence; empty where all went well. */
function answer(result: Result<unknown, KeepIssue>): string {
  changedPrinters();
  return result.ok ? '' : describeKeepIssue(result.issue);
}

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

export const dropStrip = tap('dropStrip', GONE_WORDS, (profileId: number, stripId: number): string => {
  if (!areIds(profileId, stripId)) return GONE_WORDS;
  return answer(takeBackStrip(bench().db, profileId, stripId));
});

export const cureStrips = tap('cureStrips', GONE_WORDS, (profileId: number, input: unknown): string => {
  const wanted = cureInput.safeParse(input);
  if (!areIds(profileId) || !wanted.success) return GONE_WORDS;
  return answer(cureSimulatedStrips(bench().db, profileId, wanted.data));
});

export async function saveGauge(profileId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: gaugeForm,
    data,
    ids: [profileId],
    verb: (seen) => keepGauge(bench().db, profileId, seen),
    refusal: describeKeepIssue,
    changed: changedPrinters,
  });
}

export const dropGauge = tap('dropGauge', GONE_WORDS, (profileId: number, gaugeId: number): string => {
  if (!areIds(profileId, gaugeId)) return GONE_WORDS;
  return answer(takeBackGauge(bench().db, profileId, gaugeId));
});

export const printGauges = tap('printGauges', GONE_WORDS, (profileId: number, input: unknown): string => {
  const wanted = bracketInput.safeParse(input);
  if (!areIds(profileId) || !wanted.success) return GONE_WORDS;
  return answer(printSimulatedGauges(bench().db, profileId, wanted.data));
});

/** The same resin on another printer, with its bracket. */
export async function deriveForMachine(
  profileId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: deriveForm,
    data,
    ids: [profileId],
    verb: (wanted) => deriveProfile(bench().db, profileId, wanted),
    refusal: describeDeriveIssue,
    changed: changedPrinters,
    goOn: (id) => `/printers/${id}/light#bracket-title`,
  });
}
