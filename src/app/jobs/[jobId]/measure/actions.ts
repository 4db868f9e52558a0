'use server';

import { revalidatePath } from 'next/cache';
import { startSession } from '@/subjects/caliper';
import { sessionForm } from '@/subjects/caliper/shared';
import { recordRung } from '@/subjects/gauge';
import { rungForm } from '@/subjects/gauge/shared';
import { bench } from '@/subjects/house';
import { notePrint } from '@/subjects/job';
import { describeFormIssue, formatMm, parseForm } from '@/subjects/language/shared';
import { noteBroken, takeBackReading } from '@/subjects/measure';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { touchStandInRung } from '@/subjects/simulated';
import { done, type FormState, refused } from '@/ui/forms/form-state';

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

/** Keeps what the hand found at a rung. */
export async function tapRung(_jobId: number, printId: number, data: FormData): Promise<FormState> {
  const form = parseForm(rungForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const recorded = recordRung(bench().db, { printId, ...form.value });
  if (!recorded.ok) return refused(describeChangeIssue(recorded.issue));
  revalidatePath('/', 'layout');
  return done();
}

/** Lets the simulated hand try every rung of a simulated print. */
export async function touchAll(printId: number, rungs: readonly number[]): Promise<FormState> {
  const { db } = bench();
  for (const rung of rungs) {
    const touched = touchStandInRung(db, printId, rung);
    if (!touched.ok) return refused(describeChangeIssue(touched.issue));
    const clientKey = `stand-in-${printId}-${rung}`;
    recordRung(db, { clientKey, printId, rung, outcome: touched.value, state: 'green' });
  }
  revalidatePath('/', 'layout');
  return done();
}

export async function saveBroken(printId: number, note: string): Promise<void> {
  noteBroken(bench().db, printId, note.trim().slice(0, 200));
  revalidatePath('/', 'layout');
}
