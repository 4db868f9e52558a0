'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedPrinters } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { bench } from '@/subjects/house';
import { type FormAnswer, GONE_WORDS } from '@/subjects/language/shared';
import {
  cureSimulatedStrips,
  keepGauge,
  keepStrip,
  printSimulatedGauges,
  takeBackGauge,
  takeBackStrip,
} from '@/subjects/light';
import { describeKeepIssue, gaugeForm, type KeepIssue, stripForm } from '@/subjects/light/shared';
import type { Result } from '@/core/result';

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

export async function dropStrip(profileId: number, stripId: number): Promise<string> {
  if (!areIds(profileId, stripId)) return GONE_WORDS;
  return answer(takeBackStrip(bench().db, profileId, stripId));
}

export async function cureStrips(
  profileId: number,
  exposureS: number,
  instrumentId: number,
): Promise<string> {
  if (!areIds(profileId, instrumentId) || !(exposureS > 0 && exposureS < 900)) return GONE_WORDS;
  return answer(cureSimulatedStrips(bench().db, profileId, { exposureS, instrumentId }));
}

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

export async function dropGauge(profileId: number, gaugeId: number): Promise<string> {
  if (!areIds(profileId, gaugeId)) return GONE_WORDS;
  return answer(takeBackGauge(bench().db, profileId, gaugeId));
}

export async function printGauges(
  profileId: number,
  nowS: number,
  exposuresS: readonly number[],
): Promise<string> {
  const all = [nowS, ...(Array.isArray(exposuresS) ? exposuresS : [Number.NaN])].map(Number);
  const areExposures = all.length <= 10 && all.every((seconds) => seconds > 0 && seconds < 3600);
  if (!areIds(profileId) || !areExposures) return GONE_WORDS;
  return answer(printSimulatedGauges(bench().db, profileId, { nowS, exposuresS }));
}
