import { eq } from 'drizzle-orm';
import type { Requirement } from '@/core/resin';
import { type Db, queries, tables } from '@/store';
import { requirementFromNeed, same } from './requirement-of';

/** Drops requirements typed in Resin that have since changed in the need or the fits: the newer value counts. */
export function dropOvertaken(db: Db, jobId: number, before: Requirement): void {
  const job = queries.findJob(db, jobId)!;
  const after = requirementFromNeed(db, job);
  const standing = Object.entries(job.requirement).filter(([field]) => {
    const name = field as keyof Requirement;
    return name === 'claims' || same(before[name], after[name]);
  });
  if (standing.length < Object.keys(job.requirement).length)
    db.update(tables.jobs)
      .set({ requirement: Object.fromEntries(standing) as Partial<Requirement> })
      .where(eq(tables.jobs.id, jobId))
      .run();
}
