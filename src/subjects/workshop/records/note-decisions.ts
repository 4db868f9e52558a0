import { eq, sql } from 'drizzle-orm';
import { type Db, type Fact, tables } from '@/store';

export type DecisionStep = (typeof tables.ledgerLines.$inferSelect)['step'];

/** Writes one line of what was decided in a job, by what evidence: a code with its facts, in words only when shown. */
export function recordDecision<Entry extends Fact>(
  db: Db,
  jobId: number,
  step: DecisionStep,
  entry: Entry,
): void {
  db.insert(tables.ledgerLines).values({ jobId, step, entry, at: new Date() }).run();
}

/** Counts a change of the job, so that another window notices. */
export function bumpRevision(db: Db, jobId: number): void {
  db.update(tables.jobs)
    .set({ revision: sql`${tables.jobs.revision} + 1` })
    .where(eq(tables.jobs.id, jobId))
    .run();
}
