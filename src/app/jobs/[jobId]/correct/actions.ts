'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { assessSizes, planDraw } from '@/subjects/correct';
import { attemptForm } from '@/subjects/correct/shared';
import { bench } from '@/subjects/house';
import { type NewAttempt, startAttempt, viewJob } from '@/subjects/job';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { type FormState, refused } from '@/ui/forms/form-state';

function start(
  jobId: number,
  data: FormData,
  lever: (view: NonNullable<ReturnType<typeof viewJob>>) => Omit<NewAttempt, 'reason'>,
): FormState {
  const form = parseForm(attemptForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  const view = viewJob(db, jobId);
  if (view === undefined) return refused(describeChangeIssue({ code: 'gone' }));
  const started = startAttempt(db, view, { ...lever(view), reason: form.value.reason });
  if (!started.ok) return refused(describeChangeIssue(started.issue));
  revalidatePath('/', 'layout');
  redirect(`/jobs/${jobId}/measure`);
}

/** The next attempt, drawn anew from the sizes the signature says. */
export async function drawAttempt(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  return start(jobId, data, (view) => ({
    lever: 'drawn',
    drawnMm: new Map(planDraw(view)?.lines.map(({ feature, next }) => [feature.id, next.drawMm])),
  }));
}

/** The next attempt from the corrected file: its drawn sizes are those measured on that file. */
export async function printCorrected(
  jobId: number,
  file: {
    readonly hash: string;
    readonly sizes: readonly { readonly id: number; readonly afterMm: number }[];
  },
  _before: FormState,
  data: FormData,
): Promise<FormState> {
  return start(jobId, data, () => ({
    lever: 'mesh',
    meshHash: file.hash,
    drawnMm: new Map(file.sizes.map(({ id, afterMm }) => [id, afterMm])),
  }));
}

/** What the sizes measured on a file should print as, and with what chance. */
export async function expectOfFile(
  jobId: number,
  sizes: readonly { readonly id: number; readonly afterMm: number }[],
) {
  const view = viewJob(bench().db, jobId);
  return view === undefined ? [] : assessSizes(view, new Map(sizes.map(({ id, afterMm }) => [id, afterMm])));
}
