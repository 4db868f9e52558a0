import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';
import { listBodyReadings } from './view-sheet';

/** Deletes a reading; it stays stored. Without an id, the newest one. */
export function takeBackBody(db: Db, jobId: number, readingId?: number): boolean {
  const standing = listBodyReadings(db, jobId);
  const taken =
    readingId === undefined ? standing.at(-1) : standing.find(({ reading }) => reading.id === readingId);
  if (taken === undefined) return false;
  db.transaction((tx) => {
    tx.update(tables.bodyReadings)
      .set({ retractedAt: new Date() })
      .where(eq(tables.bodyReadings.id, taken.reading.id))
      .run();
    bumpRevision(tx, jobId);
  });
  return true;
}
