import { eq } from 'drizzle-orm';
import type { Stance } from '@/core/findings';
import { type Db, tables } from '@/store';
import { noteLedger } from '@/subjects/records';
import type { CheckEntry } from './words-ledger';

/** Says how the part will stand; what was found of it standing otherwise does not count any more. */
export function setStance(db: Db, jobId: number, stance: Stance): void {
  db.transaction((tx) => {
    tx.update(tables.jobs).set({ stance }).where(eq(tables.jobs.id, jobId)).run();
    noteLedger<CheckEntry>(tx, jobId, 'check', { code: 'stanceSaid', stance });
  });
}
