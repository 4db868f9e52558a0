'use server';

import { revalidatePath } from 'next/cache';
import type { Doubt } from '@/core/metrology';
import { bench } from '@/subjects/house';
import { describeDoubt, describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { chooseSheet, recordBody, takeBackBody, takeOverSheet } from '@/subjects/sheet';
import { bodyForm, sheetForm } from '@/subjects/sheet/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

/** What became of a reading: kept, refused with a sentence, or in doubt and waiting for a word. */
export type BodyAnswer =
  | { readonly kind: 'kept' }
  | { readonly kind: 'refused'; readonly message: string }
  | {
      readonly kind: 'doubt';
      readonly message: string;
      readonly canBeRight: boolean;
      readonly guessMm?: number;
    };

function guessOf(doubt: Doubt): number | undefined {
  return 'guessMm' in doubt ? doubt.guessMm : undefined;
}

export async function takeBody(jobId: number, data: FormData): Promise<BodyAnswer> {
  const form = parseForm(bodyForm, data);
  if (!form.ok) return { kind: 'refused', message: describeFormIssue(form.issue) };
  const recorded = recordBody(bench().db, { jobId, ...form.value });
  if (recorded.ok) {
    revalidatePath('/', 'layout');
    return { kind: 'kept' };
  }
  const { issue } = recorded;
  if (issue.code === 'doubt')
    return {
      kind: 'doubt',
      message: describeDoubt(issue.doubt, issue.readingMm),
      canBeRight: issue.doubt.code !== 'notPositive',
      guessMm: guessOf(issue.doubt),
    };
  return { kind: 'refused', message: describeChangeIssue(issue) };
}

export async function takeBodyBack(jobId: number, readingId?: number): Promise<boolean> {
  const taken = takeBackBody(bench().db, jobId, readingId);
  revalidatePath('/', 'layout');
  return taken;
}

/** Chooses the sheet, its options and its wishes. */
export async function saveSheet(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(sheetForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  chooseSheet(bench().db, jobId, form.value);
  revalidatePath('/', 'layout');
  return done('Kept.');
}

export async function takeOver(jobId: number): Promise<FormState> {
  const taken = takeOverSheet(bench().db, jobId);
  if (!taken.ok) return refused(describeChangeIssue(taken.issue));
  revalidatePath('/', 'layout');
  return done(`${taken.value} sizes taken over into the job.`);
}
