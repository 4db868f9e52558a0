'use server';

import { revalidatePath } from 'next/cache';
import type { Finding, Stance } from '@/core/findings';
import { judgeFinding, keepCheck, setStance, turnPlaces } from '@/subjects/check';
import { findingForm, findingsInput, foundFeatureForm, stanceForm, turnInput } from '@/subjects/check/shared';
import { bench } from '@/subjects/house';
import { addFeature, partOfJob, viewJob } from '@/subjects/job';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

export async function saveStance(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(stanceForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  setStance(bench().db, jobId, form.value);
  revalidatePath('/', 'layout');
  return done('Kept.');
}

/** Keeps what the page's worker found of this file standing so. */
export async function keepFindings(
  jobId: number,
  found: {
    readonly source: string;
    readonly stance: Stance;
    readonly layerMm: number;
    readonly findings: readonly Finding[];
  },
): Promise<void> {
  const { db } = bench();
  const view = viewJob(db, jobId);
  const parsed = findingsInput.safeParse(found);
  // A look at a file that is not the job's any more is not kept.
  if (view === undefined || !parsed.success || partOfJob(view)?.key !== found.source) return;
  keepCheck(db, jobId, parsed.data as typeof found);
  revalidatePath('/', 'layout');
}

export async function judge(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(findingForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  const view = viewJob(db, jobId);
  const judged = view === undefined ? undefined : judgeFinding(db, view, form.value);
  if (judged === undefined) return refused(describeChangeIssue({ code: 'gone' }));
  if (!judged.ok)
    return refused(
      judged.issue.code === 'noReason'
        ? 'Say in a line why it is printed all the same; the story keeps it.'
        : 'The part has changed since. Let it be read again.',
    );
  revalidatePath('/', 'layout');
  return done('Kept.');
}

/** Makes a feature of a size that was found on the mesh. */
export async function takeFeature(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(foundFeatureForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const added = addFeature(bench().db, jobId, form.value);
  if (!added.ok) return refused(describeChangeIssue(added.issue));
  revalidatePath('/', 'layout');
  return done(`${form.value.name} is a feature of the job.`);
}

/** After a turned file was kept: takes the places of the features along. */
export async function takePlacesAlong(
  jobId: number,
  rotation: readonly number[],
  liftMm: number,
): Promise<void> {
  const parsed = turnInput.parse({ rotation, liftMm });
  turnPlaces(bench().db, jobId, parsed.rotation, parsed.liftMm);
  revalidatePath('/', 'layout');
}
