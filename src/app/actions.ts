'use server';

import { redirect } from 'next/navigation';
import { newJobForm, parseForm } from '@/inputs';
import { bench } from '@/services/bench';
import { createJob } from '@/services/edit-job';
import { firstProfile } from '@/services/equipment';
import { refused, type FormState } from '@/ui/forms/form-state';
import { describeFormIssue } from '@/words';

export async function startJob(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(newJobForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  redirect(`/jobs/${createJob(db, form.value.name, firstProfile(db))}/need`);
}
