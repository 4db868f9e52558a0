'use server';

import { revalidatePath } from 'next/cache';
import { instrumentForm, parseForm } from '@/inputs';
import { bench } from '@/services/bench';
import { createInstrument } from '@/services/equipment';
import { done, refused, type FormState } from '@/ui/forms/form-state';
import { describeChangeIssue, describeFormIssue } from '@/words';

/** Puts a caliper on the bench. */
export async function addInstrument(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(instrumentForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const made = createInstrument(bench().db, form.value);
  if (!made.ok) return refused(describeChangeIssue(made.issue));
  revalidatePath('/', 'layout');
  return done(`${form.value.name} is on the bench.`);
}
