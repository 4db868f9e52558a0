import { eq } from 'drizzle-orm';
import { findRequirementIssue, type Requirement } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { reopenedResin, resinStanding } from './reopened-resin';
import { requirementFromNeed, same } from './requirement-of';
import type { ChoiceIssue } from './words-requirement';

/** Stores the requirements of the resin; only differences from the need are stored, so that the need still counts. */
export function saveRequirement(
  db: Db,
  jobId: number,
  wanted: Requirement,
): Result<readonly Reopened[], ChoiceIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  const issue = findRequirementIssue(wanted);
  if (issue !== undefined) return fail({ code: 'requirement', issue });
  const base = requirementFromNeed(db, job);
  const own = Object.fromEntries(
    Object.entries(wanted).filter(([field, value]) => !same(value, base[field as keyof Requirement])),
  ) as Partial<Requirement>;
  if (same(own, job.requirement)) return ok([]);
  return db.transaction((tx) => {
    const standing = resinStanding(tx, jobId);
    tx.update(tables.jobs).set({ requirement: own }).where(eq(tables.jobs.id, jobId)).run();
    bumpRevision(tx, jobId);
    return ok(reopenedResin(tx, jobId, standing));
  });
}
