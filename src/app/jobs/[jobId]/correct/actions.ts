'use server';

import { after } from 'next/server';
import { answerForm } from '@/app/_actions/answer-form';
import { changedJob, changedProcess } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { tap } from '@/app/_actions/tap';
import { assessSizes, drawAttempt, changeExposureForJob } from '@/subjects/job/correct';
import { attemptForm, fileSizesInput } from '@/subjects/job/correct/shared';
import { bench } from '@/subjects/workshop/settings';
import { viewJob } from '@/subjects/job/jobs';
import { describeReopenedJobs, describeStartIssue } from '@/subjects/job/jobs/shared';
import { type FormAnswer, GONE_WORDS, refused } from '@/subjects/kit/shared';
import { describeChangeIssue } from '@/subjects/signature/shared';

type FileDrawn = Parameters<typeof drawAttempt>[3];

function start(jobId: number, data: FormData, file?: FileDrawn): Promise<FormAnswer> {
  return answerForm({
    form: attemptForm,
    data,
    ids: [jobId],
    verb: ({ reason }) => drawAttempt(bench().db, jobId, reason, file),
    refusal: describeStartIssue,
    changed: () => changedJob(jobId),
    goOn: () => `/jobs/${jobId}/measure`,
  });
}

/** Starts the next attempt, with the sizes drawn from the signature. */
export async function drawNext(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return start(jobId, data);
}

interface FileSize {
  readonly id: number;
  readonly afterMm: number;
}

const drawnOf = (sizes: readonly FileSize[]) => new Map(sizes.map(({ id, afterMm }) => [id, afterMm]));

/** The next attempt from the corrected file: its drawn sizes are those measured on that file. */
export async function printCorrected(
  jobId: number,
  file: { readonly hash: string; readonly sizes: readonly FileSize[] },
  _before: FormAnswer,
  data: FormData,
): Promise<FormAnswer> {
  const sizes = fileSizesInput.safeParse(file?.sizes);
  if (!sizes.success) return refused(GONE_WORDS);
  return start(jobId, data, { meshHash: String(file.hash), drawnMm: drawnOf(sizes.data) });
}

/** What the sizes measured on a file should print as, and with what chance. */
export async function expectOfFile(jobId: number, sizes: readonly FileSize[]) {
  const parsed = fileSizesInput.safeParse(sizes);
  const view = areIds(jobId) && parsed.success ? viewJob(bench().db, jobId) : undefined;
  return view === undefined || !parsed.success ? [] : assessSizes(view, drawnOf(parsed.data));
}

/** The trim that is weighed for a job is set at the printer: noted as a change of its profile. */
export const changeExposure = tap('trimExposure', GONE_WORDS, (jobId: number): string => {
  if (!areIds(jobId)) return GONE_WORDS;
  const noted = changeExposureForJob(bench().db, jobId, after);
  changedProcess();
  return noted.ok ? describeReopenedJobs(noted.value) : describeChangeIssue(noted.issue);
});
