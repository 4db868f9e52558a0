import { and, eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';

/** Archives a feature; its readings stay stored and in the signature. */
export function removeFeature(db: Db, jobId: number, featureId: number): void {
  db.transaction((tx) => {
    const { changes } = tx
      .update(tables.features)
      .set({ removedAt: new Date() })
      .where(and(eq(tables.features.id, featureId), eq(tables.features.jobId, jobId)))
      .run();
    if (changes > 0) bumpRevision(tx, jobId);
  });
}
