import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';

/** Chooses the printer, resin and profile of a job. */
export function chooseProfile(db: Db, jobId: number, profileId: number): void {
  db.transaction((tx) => {
    tx.update(tables.jobs).set({ profileId }).where(eq(tables.jobs.id, jobId)).run();
    bumpRevision(tx, jobId);
  });
}
