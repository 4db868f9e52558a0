import { eq } from 'drizzle-orm';
import { type Db, queries, tables } from '@/store';

/** Notes that something changed on which the sizes of the newest attempt depend: they are to be drawn again. */
export function markOvertaken(db: Db, jobId: number): void {
  const overtakenAttemptId = queries.listAttempts(db, jobId).at(-1)?.id ?? null;
  db.update(tables.jobs).set({ overtakenAttemptId }).where(eq(tables.jobs.id, jobId)).run();
}
