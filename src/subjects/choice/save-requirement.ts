import { eq } from 'drizzle-orm';
import { findRequirementIssue, type Requirement, type RequirementIssue } from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import { bumpRevision } from '@/subjects/records';
import { requirementFromNeed, same } from './requirement-of';

/** Keeps what is asked of the resin; only what differs from the need is kept, so that the need goes on counting. */
export function saveRequirement(
  db: Db,
  jobId: number,
  wanted: Requirement,
): Result<
  void,
  { readonly code: 'gone' } | { readonly code: 'requirement'; readonly issue: RequirementIssue }
> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  const issue = findRequirementIssue(wanted);
  if (issue !== undefined) return fail({ code: 'requirement', issue });
  const base = requirementFromNeed(db, job);
  const own = Object.fromEntries(
    Object.entries(wanted).filter(([field, value]) => !same(value, base[field as keyof Requirement])),
  ) as Partial<Requirement>;
  if (same(own, job.requirement)) return ok(undefined);
  db.update(tables.jobs).set({ requirement: own }).where(eq(tables.jobs.id, jobId)).run();
  bumpRevision(db, jobId);
  return ok(undefined);
}
