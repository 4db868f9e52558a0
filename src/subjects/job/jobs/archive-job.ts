import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

export function archiveJob(db: Db, jobId: number, archived: boolean): void {
  db.update(tables.jobs)
    .set({ archivedAt: archived ? new Date() : null })
    .where(eq(tables.jobs.id, jobId))
    .run();
}
