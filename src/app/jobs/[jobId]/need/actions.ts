'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { answerForm } from '@/app/_actions/answer-form';
import { changedHouse, changedJob } from '@/app/_actions/changed';
import { areIds, fieldOf } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { BOUNDS, isWithin } from '@/core/measure';
import { bench } from '@/subjects/workshop/settings';
import {
  addFeature,
  archiveJob,
  changeFeature,
  copyJob,
  createProfileForJob,
  placeFeature,
  removeFeature,
} from '@/subjects/job/jobs';
import {
  describeFeatureEffect,
  describeJobIssue,
  describeReopened,
  featureForm,
  type Reopened,
} from '@/subjects/job/jobs/shared';
import { type FormAnswer, refused } from '@/subjects/kit/shared';
import { changeNeed, keepPicture, putPictureAway } from '@/subjects/job/need';
import {
  describeNeedIssue,
  describePictureIssue,
  LONGEST_CAPTION,
  needForm,
  pictureForm,
} from '@/subjects/job/need/shared';
import { describeProfileIssue, profileForm } from '@/subjects/signature/shared';

function saidKept(opened: readonly Reopened[]): string {
  return `Saved. ${describeReopened(opened)}`.trim();
}

export async function saveNeed(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: needForm,
    data,
    ids: [jobId],
    verb: (wanted) => changeNeed(bench().db, jobId, wanted),
    refusal: describeNeedIssue,
    said: (opened) => saidKept(opened),
    changed: () => changedJob(jobId),
  });
}

export async function makeProfile(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: profileForm,
    data,
    ids: [jobId],
    verb: (wanted) => createProfileForJob(bench().db, jobId, wanted),
    refusal: describeProfileIssue,
    said: () => 'Created and selected for this job.',
    changed: () => changedJob(jobId),
  });
}

/** Adds a feature. */
export async function newFeature(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: featureForm,
    data,
    ids: [jobId],
    verb: (wanted) => addFeature(bench().db, jobId, wanted),
    refusal: describeJobIssue,
    said: (_id, { name }) => `${name} added.`,
    changed: () => changedJob(jobId),
  });
}

/** Changes the feature named, and tells what that did to its verdict. */
export async function saveFeature(
  jobId: number,
  featureId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: featureForm,
    data,
    ids: [jobId, featureId],
    verb: (wanted) => changeFeature(bench().db, jobId, featureId, wanted),
    refusal: describeJobIssue,
    said: (effect, { name }) =>
      `${describeFeatureEffect(name, effect)} ${describeReopened(effect.opened)}`.trim(),
    changed: () => changedJob(jobId),
  });
}

export const putFeatureAway = tap('putFeatureAway', undefined, (jobId: number, featureId: number): void => {
  if (!areIds(jobId, featureId)) return;
  removeFeature(bench().db, jobId, featureId);
  changedJob(jobId);
});

export const placeOnPart = tap(
  'placeOnPart',
  undefined,
  (jobId: number, featureId: number, anchorMm: [number, number, number]): void => {
    const isPlace =
      Array.isArray(anchorMm) &&
      anchorMm.length === 3 &&
      anchorMm.every((value) => isWithin(value, BOUNDS.deviation));
    if (!areIds(jobId, featureId) || !isPlace) return;
    placeFeature(bench().db, jobId, featureId, anchorMm);
    changedJob(jobId);
  },
);

const archive = tap('archive', '/', (jobId: number, archived: boolean): string => {
  if (!areIds(jobId)) return '/';
  archiveJob(bench().db, jobId, archived === true);
  changedHouse();
  return archived === true ? '/' : `/jobs/${jobId}/need`;
});

export async function putJobAway(tapKey: string, jobId: number, archived: boolean): Promise<void> {
  redirect(await archive(tapKey, jobId, archived));
}

const copy = tap('copy', '/', (jobId: number): string => {
  const copied = areIds(jobId) ? copyJob(bench().db, jobId) : undefined;
  return copied?.ok === true ? `/jobs/${copied.value}/need` : '/';
});

export async function copyThisJob(tapKey: string, jobId: number): Promise<void> {
  redirect(await copy(tapKey, jobId));
}

/** A file's name as its caption: one line, no longer than a caption that is typed. */
const captionOf = (name: string) =>
  name
    .replace(/[\u0000-\u001f\u007f]+/g, ' ')
    .trim()
    .slice(0, LONGEST_CAPTION);

export async function addPicture(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const file = fieldOf(data, 'file');
  if (!(file instanceof File) || file.size === 0) return refused('choose a picture first.');
  const bytes = new Uint8Array(await file.arrayBuffer());
  const { db, folder } = bench();
  return answerForm({
    form: pictureForm,
    data,
    ids: [jobId],
    verb: ({ caption, runId }) =>
      keepPicture(db, folder, jobId, {
        bytes,
        runId,
        caption: caption === '' ? captionOf(file.name) : caption,
      }),
    refusal: describePictureIssue,
    said: () => 'Picture saved.',
    changed: () => {
      changedJob(jobId);
      revalidatePath('/runs', 'layout');
    },
  });
}

export const dropPicture = tap('dropPicture', undefined, (jobId: number, pictureId: number): void => {
  if (!areIds(jobId, pictureId)) return;
  putPictureAway(bench().db, jobId, pictureId);
  changedJob(jobId);
  revalidatePath('/runs', 'layout');
});
