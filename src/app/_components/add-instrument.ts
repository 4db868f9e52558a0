'use server';

import { revalidatePath } from 'next/cache';
import { createInstrument } from '@/subjects/caliper';
import { instrumentForm } from '@/subjects/caliper/shared';
import { bench } from '@/subjects/house';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { done, type FormState, refused } from '@/ui/forms/form-state';

/** Puts a caliper on the bench. */
export async function addInstrument(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(instrumentForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const made = createInstrument(bench().db, form.value);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  revalidatePath('/', 'layout');
  return done(`${form.value.name} is on the bench.`);
}
