'use server';

import { revalidatePath } from 'next/cache';
import { bench } from '@/subjects/house';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { answerAcceptance } from '@/subjects/need';
import { answerForm, describeAnswer } from '@/subjects/need/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

export async function answerTest(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(answerForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { answer, note } = form.value;
  const answered = answerAcceptance(bench().db, jobId, answer, note);
  if (!answered.ok) return refused(describeChangeIssue(answered.issue));
  revalidatePath('/', 'layout');
  return done(`The agreed test: ${describeAnswer(answer)}.`);
}
