import { eq } from 'drizzle-orm';
import { elongationForPress, elongationForSnap } from '@/core/fits';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import { bumpRevision, noteLedger } from '@/subjects/records';
import { dropOvertaken } from './drop-overtaken';
import { requirementFromNeed } from './requirement-of';

/** A strain that a fit puts into the printed part. */
export type StrainAsked =
  | { readonly kind: 'press'; readonly strain: number }
  | { readonly kind: 'snap'; readonly strain: number; readonly use: 'once' | 'repeated' };

/** Hands a strain worked out under Fit to the choice of the resin, as the elongation at break that bears it. */
export function askStrain(
  db: Db,
  jobId: number,
  asked: StrainAsked,
): Result<number, { readonly code: 'gone' }> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  const before = requirementFromNeed(db, job);
  const elongation =
    asked.kind === 'press' ? elongationForPress(asked.strain) : elongationForSnap(asked.strain, asked.use);
  db.update(tables.jobs)
    .set({ strainAsked: { ...job.strainAsked, [asked.kind]: elongation } })
    .where(eq(tables.jobs.id, jobId))
    .run();
  dropOvertaken(db, jobId, before);
  const detail = `${(asked.strain * 100).toFixed(2)} % strain asks for ${(elongation * 100).toFixed(1)} % at break`;
  noteLedger(db, jobId, 'fit', asked.kind === 'press' ? 'Press fit' : 'Snap', detail);
  bumpRevision(db, jobId);
  return ok(elongation);
}
