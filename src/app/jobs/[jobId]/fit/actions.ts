'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedJob, changedShelf } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import type { DrawnFit } from '@/core/fit/mating';
import { ok } from '@/core/kit';
import { askStrain, type StrainAsked } from '@/subjects/resin/choice';
import { describeChoiceIssue, strainAskedInput } from '@/subjects/resin/choice/shared';
import {
  type ChainView,
  drawSizes,
  dropWish,
  keepStrength,
  type LinkInput,
  removeJoint,
  saveJoint,
  type SizeWanted,
  wishFor,
  workOutChain,
} from '@/subjects/fit/mating';
import {
  chainInput,
  describeWishIssue,
  describeWishKept,
  jointForm,
  strengthForm,
  wantedSizesInput,
  wishForm,
} from '@/subjects/fit/mating/shared';
import { bench, today } from '@/subjects/workshop/settings';
import { takeOverClasses, viewJob } from '@/subjects/job/jobs';
import { describeReopened } from '@/subjects/job/jobs/shared';
import { type FormAnswer, GONE_WORDS } from '@/subjects/kit/shared';
import { describeShelfChangeIssue } from '@/subjects/resin/shelf/shared';

export async function saveWish(
  jobId: number,
  featureId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: wishForm,
    data,
    ids: [jobId, featureId],
    verb: (wanted) => wishFor(bench().db, jobId, featureId, wanted),
    refusal: describeWishIssue,
    said: describeWishKept,
    changed: () => changedJob(jobId),
  });
}

export const takeWishOff = tap('takeWishOff', undefined, (jobId: number, featureId: number): void => {
  if (!areIds(jobId, featureId)) return;
  dropWish(bench().db, jobId, featureId);
  changedJob(jobId);
});

export async function keepJoint(
  jobId: number,
  jointId: number | undefined,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: jointForm,
    data,
    ids: jointId === undefined ? [jobId] : [jobId, jointId],
    verb: (joint) => ok(saveJoint(bench().db, jobId, joint, jointId)),
    refusal: String,
    changed: () => changedJob(jobId),
  });
}

export const dropJoint = tap('dropJoint', undefined, (jobId: number, jointId: number): void => {
  if (!areIds(jobId, jointId)) return;
  removeJoint(bench().db, jobId, jointId);
  changedJob(jobId);
});

export async function saveStrength(
  resinId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: strengthForm,
    data,
    ids: [resinId],
    verb: (strength) => keepStrength(bench().db, resinId, strength, today()),
    refusal: describeShelfChangeIssue,
    said: () => 'Saved to the resin.',
    changed: changedShelf,
  });
}

/** Applies the limits from the present fit classes and datasheet. */
export const takeOverLimits = tap('takeOverLimits', undefined, (jobId: number): void => {
  if (!areIds(jobId)) return;
  takeOverClasses(bench().db, jobId);
  changedJob(jobId);
});

/** Keeps a strain worked out here as what the resin must bear. */
export const askOfResin = tap('askOfResin', GONE_WORDS, (jobId: number, asked: StrainAsked): string => {
  const parsed = strainAskedInput.safeParse(asked);
  if (!parsed.success || !areIds(jobId)) return 'The strain could not be read. Calculate it again.';
  const kept = askStrain(bench().db, jobId, parsed.data);
  if (!kept.ok) return describeChoiceIssue(kept.issue);
  changedJob(jobId);
  const { elongation, opened } = kept.value;
  return `Resin now requires ${(elongation * 100).toFixed(1)} % elongation at break. ${describeReopened(opened)}`.trim();
});

/** What to draw for sizes that are no features yet. */
export async function askDrawn(
  jobId: number,
  wanted: readonly SizeWanted[],
): Promise<DrawnFit[] | undefined> {
  const sizes = wantedSizesInput.safeParse(wanted);
  const view = areIds(jobId) ? viewJob(bench().db, jobId) : undefined;
  return sizes.success && view !== undefined ? drawSizes(view, sizes.data) : undefined;
}

export async function askChain(
  jobId: number,
  links: readonly LinkInput[],
  limits?: { readonly lowMm: number; readonly highMm: number },
): Promise<ChainView | undefined> {
  const chain = chainInput.safeParse({ links, limits });
  const view = areIds(jobId) ? viewJob(bench().db, jobId) : undefined;
  if (!chain.success || view === undefined) return undefined;
  return workOutChain(view, chain.data.links, chain.data.limits);
}
