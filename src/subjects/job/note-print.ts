import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

/** Notes that an attempt, of this job where one is named, was printed; a further print of the same file is another print of the attempt. */
export function notePrint(db: Db, attemptId: number, jobId?: number): number {
  const { attempts, prints } = tables;
  return db.transaction((tx) => {
    const attempt = tx.select().from(attempts).where(eq(attempts.id, attemptId)).get();
    if (attempt === undefined || (jobId !== undefined && attempt.jobId !== jobId))
      throw new RangeError(`notePrint: there is no attempt ${attemptId}`);
    const before = tx.select().from(prints).where(eq(prints.attemptId, attemptId)).all().length;
    const name = before === 0 ? `A${attempt.number}` : `A${attempt.number}.${before + 1}`;
    return tx.insert(prints).values({ attemptId, name, madeAt: new Date() }).returning().get().id;
  });
}
