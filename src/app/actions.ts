'use server';

import { redirect } from 'next/navigation';
import { bench } from '@/subjects/house';
import { createJob } from '@/subjects/job';
import { newJobForm } from '@/subjects/job/shared';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { firstProfile } from '@/subjects/printing';
import { type FormState, refused } from '@/ui/forms/form-state';

export async function startJob(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(newJobForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { db } = bench();
  redirect(`/jobs/${createJob(db, form.value.name, firstProfile(db))}/need`);
}
