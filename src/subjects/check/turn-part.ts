import { eq } from 'drizzle-orm';
import { turnPoint } from '@/core/findings';
import { type Db, tables } from '@/store';
import { bumpRevision, noteLedger } from '@/subjects/records';

/** After the part's file was turned: the places of its features go along. Their directions stay as they were typed. */
export function turnPlaces(db: Db, jobId: number, rotation: readonly number[], liftMm: number): void {
  const { features } = tables;
  const placed = db.select().from(features).where(eq(features.jobId, jobId)).all();
  db.transaction((tx) => {
    for (const { id, anchor } of placed) {
      if (anchor === null) continue;
      const [x, y, z] = turnPoint(rotation, anchor);
      tx.update(features)
        .set({ anchor: [x, y, z + liftMm] })
        .where(eq(features.id, id))
        .run();
    }
    bumpRevision(tx, jobId);
    noteLedger(tx, jobId, 'check', 'Part turned', 'its features’ places went along');
  });
}
