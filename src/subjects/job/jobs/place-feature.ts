import { and, eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';

/** Notes where on the part a feature is found. */
export function placeFeature(
  db: Db,
  jobId: number,
  featureId: number,
  anchorMm: [number, number, number],
): void {
  if (!anchorMm.every(Number.isFinite))
    throw new RangeError('placeFeature: three finite coordinates are needed');
  db.transaction((tx) => {
    const { changes } = tx
      .update(tables.features)
      .set({ anchor: anchorMm })
      .where(and(eq(tables.features.id, featureId), eq(tables.features.jobId, jobId)))
      .run();
    if (changes > 0) bumpRevision(tx, jobId);
  });
}
