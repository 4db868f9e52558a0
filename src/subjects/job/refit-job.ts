import { eq } from 'drizzle-orm';
import { markOvertaken } from './mark-overtaken';
import { type Db, queries, tables, evidenceChanged } from '@/store';
import { readHouseRules } from '@/subjects/house';
import { bumpRevision } from '@/subjects/records';
import { limitsOf } from './limits-of-wish';

const SAME_MM = 5e-5;

/**
 * Takes the limits of every wished feature anew from its mate, the house's classes and the temperature of use, and gives
 * the names of those that moved. What was drawn before stays on record and is judged by the new limits.
 */
export function refit(db: Db, jobId: number): string[] {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return [];
  const mates = queries.listMates(db, jobId);
  const { fitClasses } = readHouseRules(db);
  const moved: string[] = [];
  for (const feature of queries.listFeatures(db, jobId)) {
    const mate = mates.find(({ id }) => id === feature.mateId);
    const limits = feature.wish === null ? undefined : limitsOf(job, feature, mate, fitClasses);
    if (limits === undefined) continue;
    const { targetMm, lowerDeviationMm, upperDeviationMm } = limits;
    const away =
      Math.abs(targetMm - feature.targetMm) + Math.abs(upperDeviationMm - feature.upperDeviationMm);
    if (away < SAME_MM) continue;
    moved.push(feature.name);
    db.update(tables.features)
      .set({ targetMm, lowerDeviationMm, upperDeviationMm })
      .where(eq(tables.features.id, feature.id))
      .run();
  }
  if (moved.length > 0) {
    markOvertaken(db, jobId);
    bumpRevision(db, jobId);
    evidenceChanged(db, { jobId });
  }
  return moved;
}
