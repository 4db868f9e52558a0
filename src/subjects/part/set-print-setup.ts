import { eq } from 'drizzle-orm';
import type { PrintSetup } from '@/core/part/findings';
import { type Db, tables } from '@/store';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { recordDecision } from '@/subjects/workshop/records';
import { tellingOfCheck } from './reopened-check';
import type { CheckEntry } from './words-decisions';

/** Says how the part will stand; what was found of it standing otherwise does not count any more. Gives what that opened again. */
export function setPrintSetup(db: Db, jobId: number, stance: PrintSetup): Reopened[] {
  return db.transaction((tx) =>
    tellingOfCheck(tx, jobId, () => {
      tx.update(tables.jobs).set({ stance }).where(eq(tables.jobs.id, jobId)).run();
      recordDecision<CheckEntry>(tx, jobId, 'check', { code: 'stanceSaid', stance });
      return [];
    }),
  );
}
