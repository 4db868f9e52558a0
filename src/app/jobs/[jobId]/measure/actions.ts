'use server';

import { revalidatePath } from 'next/cache';
import { instrumentForm, parseForm, sessionForm } from '@/inputs';
import { bench } from '@/services/bench';
import { notePrint } from '@/services/draw-next';
import { createInstrument } from '@/services/equipment';
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

export async function makeInstrument(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(instrumentForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const made = createInstrument(bench().db, form.value);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  revalidatePath('/', 'layout');
  return done(`${form.value.name} is on the bench.`);
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
