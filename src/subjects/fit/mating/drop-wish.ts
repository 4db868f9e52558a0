import { and, eq, isNull } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { NO_WISH } from '@/subjects/job/jobs';
import { bumpRevision } from '@/subjects/workshop/records';

/** Removes a fit: the limits stay unchanged and can be typed. */
export function dropWish(db: Db, jobId: number, featureId: number): void {
  db.transaction((tx) => {
    const { changes } = tx
      .update(tables.features)
      .set(NO_WISH)
      .where(
        and(
          eq(tables.features.id, featureId),
          eq(tables.features.jobId, jobId),
          isNull(tables.features.removedAt),
        ),
      )
      .run();
    if (changes > 0) bumpRevision(tx, jobId);
  });
}
