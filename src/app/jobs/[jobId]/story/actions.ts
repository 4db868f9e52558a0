'use server';

import { revalidatePath } from 'next/cache';
import { answerForm, parseForm } from '@/inputs';
import { bench } from '@/services/bench';
import { answerAcceptance } from '@/services/need';
import { done, refused, type FormState } from '@/ui/forms/form-state';
import { describeAnswer, describeChangeIssue, describeFormIssue } from '@/words';

export async function answerTest(jobId: number, _before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(answerForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { answer, note } = form.value;
  const answered = answerAcceptance(bench().db, jobId, answer, note);
  if (!answered.ok) return refused(describeChangeIssue(answered.issue));
  revalidatePath('/', 'layout');
  return done(`The agreed test: ${describeAnswer(answer)}.`);
}
