'use server';

import { answerForm } from '@/app/_actions/answer-form';
import { changedJob } from '@/app/_actions/changed';
import { areIds } from '@/app/_actions/from-page';
import { fail } from '@/core/result';
import { assessSizes, planDraw } from '@/subjects/correct';
import { attemptForm, fileSizesInput } from '@/subjects/correct/shared';
import { bench } from '@/subjects/house';
import { type JobView, type NewAttempt, startAttempt, viewJob } from '@/subjects/job';
import { describeStartIssue } from '@/subjects/job/shared';
import { type FormAnswer, GONE_WORDS, refused } from '@/subjects/language/shared';

type Lever = (view: JobView) => Omit<NewAttempt, 'reason'>;

function start(jobId: number, data: FormData, lever: Lever): Promise<FormAnswer> {
  const { db } = bench();
  return answerForm({
    form: attemptForm,
    data,
    ids: [jobId],
    verb: ({ reason }) => {
      const view = viewJob(db, jobId);
      return view === undefined
        ? fail({ code: 'gone' } as const)
        : startAttempt(db, view, { ...lever(view), reason });
    },
    refusal: describeStartIssue,
    changed: () => changedJob(jobId),
    goOn: () => `/jobs/${jobId}/measure`,
  });
}

/** The next attempt, drawn anew from the sizes the signature says. */
export async function drawAttempt(jobId: number, _before: FormAnswer, data: FormData): Promise<FormAnswer> {
  return start(jobId, data, (view) => ({
    lever: 'drawn',
    drawnMm: new Map(planDraw(view)?.lines.map(({ feature, next }) => [feature.id, next.drawMm])),
  }));
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
  return start(jobId, data, () => ({
    lever: 'mesh',
    meshHash: String(file.hash),
    drawnMm: drawnOf(sizes.data),
  }));
}

/** What the sizes measured on a file should print as, and with what chance. */
export async function expectOfFile(jobId: number, sizes: readonly FileSize[]) {
  const parsed = fileSizesInput.safeParse(sizes);
  const view = areIds(jobId) && parsed.success ? viewJob(bench().db, jobId) : undefined;
  return view === undefined || !parsed.success ? [] : assessSizes(view, drawnOf(parsed.data));
}
