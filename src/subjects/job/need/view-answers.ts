import { desc, eq } from 'drizzle-orm';
import { type Db, queries, tables } from '@/store';

/** The answer for the newest print, while it still answers the test as it is worded now. */
export function standingAnswer(db: Db, job: queries.Job) {
  const { acceptanceAnswers } = tables;
  const last = db
    .select()
    .from(acceptanceAnswers)
    .where(eq(acceptanceAnswers.jobId, job.id))
    .orderBy(desc(acceptanceAnswers.id))
    .get();
  const newest = queries
    .listAttempts(db, job.id)
    .flatMap(({ prints }) => prints)
    .at(-1);
  return last?.test === job.acceptance && last.printId === newest?.id ? last : undefined;
}

/** Answers of a job by print, the last of each. */
export function listAnswers(db: Db, jobId: number) {
  const { acceptanceAnswers } = tables;
  const rows = db.select().from(acceptanceAnswers).where(eq(acceptanceAnswers.jobId, jobId)).all();
  return new Map(rows.map((row) => [row.printId, row]));
}
