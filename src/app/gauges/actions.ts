'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { gaugeSpecOf } from '@/core/gauges';
import { createGauge, targetsOf } from '@/subjects/gauge';
import { describeGaugeChoice, gaugeForm } from '@/subjects/gauge/shared';
import { bench } from '@/subjects/house';
import { viewJob } from '@/subjects/job';
import { describeFormIssue, parseForm } from '@/subjects/language/shared';
import { describeChangeIssue } from '@/subjects/overview/shared';
import { type FormState, refused } from '@/ui/forms/form-state';

/** Makes a gauge as a job of its own and goes to its print. */
export async function makeGauge(_before: FormState, data: FormData): Promise<FormState> {
  const form = parseForm(gaugeForm, data);
  if (!form.ok) return refused(describeFormIssue(form.issue));
  const { name, parameters, jobId, ...rest } = form.value;
  const { db } = bench();
  const job = jobId === undefined ? undefined : viewJob(db, jobId);
  const made = createGauge(db, {
    ...rest,
    spec: gaugeSpecOf(parameters, job && targetsOf(job)),
    name: name === '' ? describeGaugeChoice(parameters.choice).title : name,
  });
  if (!made.ok) return refused(describeChangeIssue({ code: 'gauge', issue: made.issue }));
  revalidatePath('/', 'layout');
  redirect(`/jobs/${made.value}/measure`);
}
