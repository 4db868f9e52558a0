import { eq } from 'drizzle-orm';
import { type Db, queries, tables } from '@/store';

/** Notes what of a print came off broken; what can still be read or tried of it goes on counting. */
export function noteBroken(db: Db, jobId: number, printId: number, brokenNote: string): void {
  if (!queries.isPrintOf(db, jobId, printId)) return;
  db.update(tables.prints).set({ brokenNote }).where(eq(tables.prints.id, printId)).run();
}
