import { and, eq, isNotNull, isNull } from 'drizzle-orm';
import type { FitClasses } from '@/core/fit/mating';
import { markOvertaken } from './mark-overtaken';
import { type Db, queries, tables, evidenceChanged } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';
import { limitsOf, wishGround } from './limits-of-wish';

const SAME_MM = 5e-5;

/** A feature whose fit gives other limits than it has. */
interface MovedLimits {
  readonly feature: queries.Feature;
  readonly limits: Pick<queries.Feature, 'targetMm' | 'lowerDeviationMm' | 'upperDeviationMm'>;
}

function findMoved(db: Db, job: queries.Job): MovedLimits[] {
  const mates = queries.listMates(db, job.id);
  const ground = wishGround(db, job);
  return queries.listFeatures(db, job.id).flatMap((feature) => {
    const mate = mates.find(({ id }) => id === feature.mateId);
    const wished = feature.wish === null ? undefined : limitsOf(job, feature, mate, ground);
    if (wished === undefined) return [];
    const { targetMm, lowerDeviationMm, upperDeviationMm } = wished;
    const away =
      Math.abs(targetMm - feature.targetMm) + Math.abs(upperDeviationMm - feature.upperDeviationMm);
    return away < SAME_MM ? [] : [{ feature, limits: { targetMm, lowerDeviationMm, upperDeviationMm } }];
  });
}

/**
 * Computes the limits of every feature with a fit from its mate, the agreed fit classes and the temperature of use, and
 * returns the names of those that moved. Earlier drawn sizes stay stored and are judged by the new limits.
 */
export function refit(db: Db, jobId: number): string[] {
  const job = queries.findJob(db, jobId);
  const moved = job === undefined ? [] : findMoved(db, job);
  for (const { feature, limits } of moved)
    db.update(tables.features).set(limits).where(eq(tables.features.id, feature.id)).run();
  if (moved.length > 0) {
    markOvertaken(db, jobId);
    bumpRevision(db, jobId);
    evidenceChanged(db, { jobId });
  }
  return moved.map(({ feature }) => feature.name);
}

/** Returns the features whose limits would move with the present fit classes and datasheet. */
export function limitsOffered(db: Db, job: queries.Job): MovedLimits[] {
  return findMoved(db, { ...job, agreedClasses: null });
}

/** Applies the present fit classes; returns the names of the features whose limits moved. */
export function takeOverClasses(db: Db, jobId: number): string[] {
  return db.transaction((tx) => {
    tx.update(tables.jobs).set({ agreedClasses: null }).where(eq(tables.jobs.id, jobId)).run();
    return refit(tx, jobId);
  });
}

/** Jobs that were agreed with the default fit classes keep them when the settings change. */
export function keepAgreedClasses(db: Db, classes: FitClasses): void {
  const wished = db
    .selectDistinct({ jobId: tables.features.jobId })
    .from(tables.features)
    .where(and(isNotNull(tables.features.wish), isNull(tables.features.removedAt)))
    .all();
  for (const { jobId } of wished)
    db.update(tables.jobs)
      .set({ agreedClasses: classes })
      .where(and(eq(tables.jobs.id, jobId), isNull(tables.jobs.agreedClasses)))
      .run();
}
