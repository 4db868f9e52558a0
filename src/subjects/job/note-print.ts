import { type Db, queries, tables } from '@/store';

/** Notes that an attempt was printed; a further print of the same file is another print of the attempt. */
export function notePrint(db: Db, attemptId: number, attemptNumber: number, jobId: number): number {
  return db.transaction((tx) => {
    const before = queries.listAttempts(tx, jobId).find(({ id }) => id === attemptId)?.prints.length ?? 0;
    const name = before === 0 ? `A${attemptNumber}` : `A${attemptNumber}.${before + 1}`;
    return tx.insert(tables.prints).values({ attemptId, name, madeAt: new Date() }).returning().get().id;
  });
}
