'use server';

import { gaugeOf, gaugeSpecOf } from '@/core/fit/gauges';
import { blockForJob, createGauge } from '@/subjects/fit/gauges';
import { describeGaugeIssue, gaugeForm } from '@/subjects/fit/gauges/shared';
import { bench } from '@/subjects/workshop/settings';
import { viewJob } from '@/subjects/job/jobs';
import type { FormAnswer } from '@/subjects/kit/shared';
import { answerForm } from '../_actions/answer-form';
import { changedPrinters } from '../_actions/changed';

/** Makes a gauge as a job of its own and goes to its print. */
export async function makeGauge(_before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const { db } = bench();
  return answerForm({
    form: gaugeForm,
    data,
    verb: ({ name, parameters, jobId, ...rest }) => {
      const job = jobId === undefined ? undefined : viewJob(db, jobId);
      const spec = gaugeSpecOf(parameters, job && blockForJob(job));
      return createGauge(db, {
        ...rest,
        spec,
        isControl: parameters.choice === 'control',
        name: name === '' ? gaugeOf(parameters.choice).title : name,
      });
    },
    refusal: describeGaugeIssue,
    changed: changedPrinters,
    goOn: (jobId) => `/jobs/${jobId}/measure`,
  });
}
