import { fail, type Result } from '@/core/kit';
import type { Db } from '@/store';
import { drawnJoints } from '@/subjects/fit/mating';
import { type JobView, type NewAttempt, startAttempt, viewJob } from '@/subjects/job/jobs';
import type { StartIssue } from '@/subjects/job/jobs/shared';
import { planDraw } from './view-draw-plan';

/** A whole file that is printed instead of newly drawn sizes, with the sizes measured on it by feature id. */
export interface FileDrawn {
  readonly meshHash: string;
  readonly drawnMm: ReadonlyMap<number, number>;
}

/** Starts the next attempt of a job: drawn from the sizes the signature says, or from a file; its joints go along as designed. */
export function drawAttempt(
  db: Db,
  jobId: number,
  reason: string,
  file?: FileDrawn,
): Result<number, StartIssue> {
  const view = viewJob(db, jobId);
  if (view === undefined) return fail({ code: 'gone' });
  const joints = drawnJoints(db, view);
  const wanted: NewAttempt =
    file === undefined
      ? { lever: 'drawn', reason, joints, drawnMm: plannedSizes(view) }
      : { lever: 'mesh', reason, joints, ...file };
  return startAttempt(db, view, wanted);
}

function plannedSizes(view: JobView): Map<number, number> {
  return new Map(planDraw(view)?.lines.map(({ feature, next }) => [feature.id, next.drawMm]));
}
