'use server';

import { revalidatePath } from 'next/cache';
import { parseForm, sessionForm } from '@/inputs';
import { bench } from '@/services/bench';
import { notePrint } from '@/services/draw-next';
import { startSession, takeBackReading } from '@/services/take-readings';
import { done, refused, type FormState } from '@/ui/forms/form-state';
import { describeChangeIssue, describeFormIssue, formatMm } from '@/words';

export async function beginSession(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(sessionForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  startSession(bench().db, { jobId, ...form.value });
  revalidatePath('/', 'layout');
  return done();
}

export async function takeBack(printId: number, readingId?: number): Promise<string> {
  const taken = takeBackReading(bench().db, printId, readingId);
  revalidatePath('/', 'layout');
  return taken.ok
    ? `Took back ${formatMm(taken.value.readingMm)} of ${taken.value.feature.name}.`
    : describeChangeIssue(taken.issue);
}

export async function makePrint(jobId: number, attemptId: number, attemptNumber: number): Promise<void> {
  notePrint(bench().db, attemptId, attemptNumber, jobId);
  revalidatePath('/', 'layout');
}
