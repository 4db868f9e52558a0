import { eq, lt } from 'drizzle-orm';
import { type Db, tables } from '@/store';

/** Answers that are remembered: more than any phone sends again. */
const MOST_KEPT = 20_000;

const { taps } = tables;

function keepAnswer(db: Db, tapKey: string, answer: unknown): void {
  const row = db
    .insert(taps)
    .values({ tapKey, answer: { answer } })
    .onConflictDoNothing()
    .returning({ id: taps.id })
    .get();
  if (row !== undefined && row.id % 100 === 0)
    db.delete(taps)
      .where(lt(taps.id, row.id - MOST_KEPT))
      .run();
}

/**
 * Does a tap once: the first time its work is done and its answer kept, in one transaction; asked again with the same key,
 * it gives the first answer, and nothing is done. Without a key it is done each time. Work that takes its time (a photo on
 * its way to the disk) is remembered when it has ended. What `work` throws is thrown, and nothing is remembered.
 */
export async function answerOnce<Answer>(
  db: () => Db,
  tapKey: string | undefined,
  work: () => Answer | Promise<Answer>,
): Promise<Answer> {
  if (tapKey === undefined) return work();
  const asked = db().transaction(
    (tx) => {
      const before = tx.select().from(taps).where(eq(taps.tapKey, tapKey)).get();
      if (before !== undefined) return { answer: before.answer.answer as Answer };
      const answer = work();
      if (answer instanceof Promise) return { later: answer };
      keepAnswer(tx, tapKey, answer);
      return { answer };
    },
    { behavior: 'immediate' },
  );
  if (!('later' in asked)) return asked.answer as Answer;
  const answer = await asked.later!;
  keepAnswer(db(), tapKey, answer);
  return answer;
}
