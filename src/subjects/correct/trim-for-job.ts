import { fail, type Result } from '@/core/result';
import type { Db } from '@/store';
import { changeProcess, viewJob } from '@/subjects/job';
import type { ChangeIssue } from '@/subjects/printing/shared';
import { viewLevers } from './view-levers';

type Later = Parameters<typeof changeProcess>[3];

/**
 * Notes the trim that is weighed for a job as a change of its profile, from now on; answers with the jobs whose drawn sizes
 * it opened again. The exposure is reckoned anew: what a page showed may be older than the newest reading.
 */
export function trimForJob(db: Db, jobId: number, later?: Later): Result<readonly string[], ChangeIssue> {
  const view = viewJob(db, jobId);
  const trim = view && viewLevers(db, view)?.levers.find(({ lever }) => lever === 'trim');
  if (view?.profile === undefined || trim?.exposureS === undefined) return fail({ code: 'gone' });
  const exposureS = Math.round(100 * trim.exposureS) / 100;
  return changeProcess(
    db,
    view.profile.profile.id,
    { kinds: ['exposure'], at: new Date(), after: { exposureS }, note: `trimmed for ${view.job.name}` },
    later,
  );
}
