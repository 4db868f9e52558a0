import { fail, type Result } from '@/core/kit';
import type { Db } from '@/store';
import { changeProcess, viewJob } from '@/subjects/job/jobs';
import type { ChangeIssue } from '@/subjects/signature/shared';
import { viewCorrectionMethods } from './view-correction-methods';

type Later = Parameters<typeof changeProcess>[3];

/**
 * Records the exposure change proposed for a job as a change of its profile, from now; returns the jobs whose drawn
 * sizes it reopened. The exposure is computed again, because a page may be older than the newest reading.
 */
export function changeExposureForJob(
  db: Db,
  jobId: number,
  later?: Later,
): Result<readonly string[], ChangeIssue> {
  const view = viewJob(db, jobId);
  const trim = view && viewCorrectionMethods(db, view)?.levers.find(({ lever }) => lever === 'trim');
  if (view?.profile === undefined || trim?.exposureS === undefined) return fail({ code: 'gone' });
  const exposureS = Math.round(100 * trim.exposureS) / 100;
  return changeProcess(
    db,
    view.profile.profile.id,
    { kinds: ['exposure'], at: new Date(), after: { exposureS }, note: `adjusted for ${view.job.name}` },
    later,
  );
}
