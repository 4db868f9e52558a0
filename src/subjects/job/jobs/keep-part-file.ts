import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';
import { bumpRevision, recordDecision } from '@/subjects/workshop/records';
import { markOvertaken } from './mark-overtaken';
import type { JobEntry } from './words-decisions';

/** Stores an imported part file; it replaces a part built from sizes. */
export function keepPartFile(db: Db, jobId: number, meshHash: string, name: string): void {
  db.transaction((tx) => {
    tx.update(tables.jobs).set({ meshHash, solid: null }).where(eq(tables.jobs.id, jobId)).run();
    markOvertaken(tx, jobId);
    bumpRevision(tx, jobId);
    recordDecision<JobEntry>(tx, jobId, 'need', { code: 'partBroughtIn', name });
  });
}
