import { and, asc, eq, isNull } from 'drizzle-orm';
import type { JointDesign } from '@/core/fit/mating';
import { type Db, tables } from '@/store';

export type Joint = typeof tables.joints.$inferSelect;

export function listJoints(db: Db, jobId: number): Joint[] {
  const { joints } = tables;
  return db
    .select()
    .from(joints)
    .where(and(eq(joints.jobId, jobId), isNull(joints.removedAt)))
    .orderBy(asc(joints.id))
    .all();
}

export function designOf({ kind, gapMm, heightGapMm, pinMm, spanMm }: Joint): JointDesign {
  return { kind, gapMm, heightGapMm: heightGapMm ?? undefined, pinMm, spanMm };
}
