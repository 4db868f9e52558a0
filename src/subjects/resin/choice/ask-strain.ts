import { eq } from 'drizzle-orm';
import { elongationForPress, elongationForSnap } from '@/core/fit/mating';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { reopenedResin, resinStanding } from './reopened-resin';
import { dropOvertaken } from './drop-overtaken';
import { requirementFromNeed } from './requirement-of';
import type { ChoiceEntry } from './words-decisions';
import type { ChoiceIssue } from './words-requirement';

/** A strain that a fit puts into the printed part. */
export type StrainAsked =
  | { readonly kind: 'press'; readonly strain: number }
  | { readonly kind: 'snap'; readonly strain: number; readonly use: 'once' | 'repeated' };

interface StrainKept {
  /** Elongation at break that bears it, as a share. */
  readonly elongation: number;
  readonly opened: readonly Reopened[];
}

/** Passes a strain computed in Fit to the choice of the resin, as the elongation at break that withstands it. */
export function askStrain(db: Db, jobId: number, asked: StrainAsked): Result<StrainKept, ChoiceIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  const before = requirementFromNeed(db, job);
  const elongation =
    asked.kind === 'press' ? elongationForPress(asked.strain) : elongationForSnap(asked.strain, asked.use);
  return db.transaction((tx) => {
    const standing = resinStanding(tx, jobId);
    tx.update(tables.jobs)
      .set({ strainAsked: { ...job.strainAsked, [asked.kind]: elongation } })
      .where(eq(tables.jobs.id, jobId))
      .run();
    dropOvertaken(tx, jobId, before);
    const { kind, strain } = asked;
    recordDecision<ChoiceEntry>(tx, jobId, 'fit', { code: 'strainAsked', kind, strain, elongation });
    bumpRevision(tx, jobId);
    return ok({ elongation, opened: reopenedResin(tx, jobId, standing) });
  });
}
