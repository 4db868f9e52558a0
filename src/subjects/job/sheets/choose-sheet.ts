import { eq } from 'drizzle-orm';
import type { SheetChoices } from '@/core/job/sheets';
import { type Db, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';

/** Chooses the sheet a job is measured by, or what is chosen on it. Readings stay, by the name of their size. */
export function chooseSheet(db: Db, jobId: number, sheet: SheetChoices): void {
  db.transaction((tx) => {
    tx.update(tables.jobs).set({ sheet }).where(eq(tables.jobs.id, jobId)).run();
    bumpRevision(tx, jobId);
  });
}
