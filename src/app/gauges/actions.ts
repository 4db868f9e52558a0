'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { gaugeSpecOf } from '@/core/gauges';
import { gaugeForm, parseForm } from '@/inputs';
import { bench } from '@/services/bench';
import { createGauge, targetsOf } from '@/services/gauges';
import { viewJob } from '@/services/view-job';
import { refused, type FormState } from '@/ui/forms/form-state';
import { describeChangeIssue, describeFormIssue, describeGaugeChoice } from '@/words';

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
