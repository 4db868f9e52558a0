'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedJob } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { fail, ok } from '@/core/kit';
import { judgeFinding, keepCheck, type LayersFound, setPrintSetup } from '@/subjects/part';
import {
  describeVerdictIssue,
  findingForm,
  findingsInput,
  foundFeatureForm,
  printSetupForm,
} from '@/subjects/part/shared';
import { bench } from '@/subjects/workshop/settings';
import { addFeature, basePartOfJob, partOfJob, viewJob } from '@/subjects/job/jobs';
import { describeJobIssue, describeReopened } from '@/subjects/job/jobs/shared';
import type { FormAnswer } from '@/subjects/kit/shared';

export async function savePrintSetup(
  jobId: number,
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  return answerForm({
    form: printSetupForm,
    data,
    ids: [jobId],
    verb: (stance) => ok(setPrintSetup(bench().db, jobId, stance)),
    refusal: String,
    said: (opened) => `Saved. ${describeReopened(opened)}`.trim(),
    changed: () => changedJob(jobId),
  });
}

/** Keeps what the page's worker found of this file standing so. */
export async function keepFindings(jobId: number, found: LayersFound): Promise<void> {
  const { db } = bench();
  const view = areIds(jobId) ? viewJob(db, jobId) : undefined;
  const parsed = findingsInput.safeParse(found);
  // A check of a file that is no longer the job's is not stored.
  if (
    view === undefined ||
    !parsed.success ||
    ![partOfJob(view)?.key, basePartOfJob(view)?.key].includes(found.source)
  )
    return;
  keepCheck(db, jobId, parsed.data);
  changedJob(jobId);
}

export async function judge(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  const { db } = bench();
  return answerForm({
    form: findingForm,
    data,
    ids: [jobId],
    verb: (wanted) => {
      const view = viewJob(db, jobId);
      return view === undefined ? fail({ code: 'partChanged' } as const) : judgeFinding(db, view, wanted);
    },
    refusal: describeVerdictIssue,
    changed: () => changedJob(jobId),
  });
}

/** Makes a feature of a size that was found on the mesh. */
export async function takeFeature(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return answerForm({
    form: foundFeatureForm,
    data,
    ids: [jobId],
    verb: (wanted) => addFeature(bench().db, jobId, wanted),
    refusal: describeJobIssue,
    said: (_id, { name }) => `${name} was added as a feature.`,
    changed: () => changedJob(jobId),
  });
}
