'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { bench } from '@/subjects/house';
import {
  addFeature,
  archiveJob,
  chooseProfile,
  copyJob,
  mendFeature,
  placeFeature,
  removeFeature,
} from '@/subjects/job';
import { featureForm } from '@/subjects/job/shared';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { changeNeed, keepPicture, putPictureAway } from '@/subjects/need';
import { needForm } from '@/subjects/need/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { createProfile } from '@/subjects/printing';
import { profileForm } from '@/subjects/printing/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';
import { describeMend, describeReopened } from './describe-mend';

export async function saveNeed(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(needForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const changed = changeNeed(bench().db, jobId, form.value);
  if (!changed.ok) return refused(describeChangeIssue(changed.issue));
  revalidatePath('/', 'layout');
  return done(describeReopened(changed.value));
}

export async function makeProfile(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(profileForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  const made = createProfile(db, form.value);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  chooseProfile(db, jobId, made.value);
  revalidatePath('/', 'layout');
  return done('Made, and chosen for this job.');
}

/** Adds a feature, or mends the one named. */
export async function saveFeature(
  jobId: number,
  featureId: number | undefined,
  _before: FormState,
  data: FormData,
): Promise<FormState> {
  const form = parseForm(featureForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  if (featureId === undefined) {
    const added = addFeature(db, jobId, form.value);
    if (!added.ok) return refused(describeChangeIssue(added.issue));
    revalidatePath('/', 'layout');
    return done(`${form.value.name} added.`);
  }
  const mended = mendFeature(db, jobId, featureId, form.value);
  if (!mended.ok) return refused(describeChangeIssue(mended.issue));
  revalidatePath('/', 'layout');
  return done(describeMend(form.value.name, mended.value));
}

export async function putFeatureAway(jobId: number, featureId: number): Promise<void> {
  removeFeature(bench().db, jobId, featureId);
  revalidatePath('/', 'layout');
}

export async function placeOnPart(
  jobId: number,
  featureId: number,
  anchorMm: [number, number, number],
): Promise<void> {
  placeFeature(bench().db, jobId, featureId, anchorMm);
  revalidatePath('/', 'layout');
}

export async function putJobAway(jobId: number, archived: boolean): Promise<void> {
  archiveJob(bench().db, jobId, archived);
  revalidatePath('/', 'layout');
  redirect(archived ? '/' : `/jobs/${jobId}/need`);
}

export async function copyThisJob(jobId: number): Promise<void> {
  const copied = copyJob(bench().db, jobId);
  redirect(copied.ok ? `/jobs/${copied.value}/need` : '/');
}

export async function addPicture(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const file = data.get('file');
  if (!(file instanceof File) || file.size === 0) return refused('choose a picture first.');
  const caption = String(data.get('caption') ?? '').trim();
  const { db, folder } = bench();
  const kept = keepPicture(db, folder, jobId, {
    bytes: new Uint8Array(await file.arrayBuffer()),
    caption: caption === '' ? file.name : caption.slice(0, 120),
  });
  if (!kept.ok) return refused(describeChangeIssue(kept.issue));
  revalidatePath('/', 'layout');
  return done('Kept with the job.');
}

export async function dropPicture(_jobId: number, pictureId: number): Promise<void> {
  putPictureAway(bench().db, pictureId);
  revalidatePath('/', 'layout');
}
