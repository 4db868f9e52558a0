import { eq } from 'drizzle-orm';
import type { Ranked } from '@/core/resin';
import { type Db, queries, tables } from '@/store';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { verdictOfJob } from './view-choice';

/** Whether the resin of a job was settled before a change: it passed, or somebody had chosen it. */
export interface ResinStanding {
  readonly verdict: Ranked['verdict'] | undefined;
  readonly chosen: boolean;
}

export function resinStanding(db: Db, jobId: number): ResinStanding {
  const job = queries.findJob(db, jobId);
  const ranked = job && verdictOfJob(db, job);
  return { verdict: ranked?.verdict, chosen: job !== undefined && job.resinChosenId !== null };
}

/** Drops a chosen resin that no longer passes, and reports one that passed before or was chosen. */
export function reopenedResin(db: Db, jobId: number, before: ResinStanding): Reopened[] {
  const job = queries.findJob(db, jobId);
  const after = job && verdictOfJob(db, job);
  if (after === undefined || after.verdict === 'passes' || after.verdict === before.verdict) return [];
  if (before.verdict !== 'passes' && !before.chosen) return [];
  db.update(tables.jobs).set({ resinChosenId: null }).where(eq(tables.jobs.id, jobId)).run();
  return [{ code: 'resin', name: after.resin }];
}
