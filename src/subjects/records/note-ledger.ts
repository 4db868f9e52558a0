import { eq, sql } from 'drizzle-orm';
import { type Db, tables } from '@/store';

export type LedgerStep = 'need' | 'resin' | 'fit' | 'check' | 'measure' | 'correct' | 'story';

/** Writes one line of what was decided in a job, by what evidence. */
export function noteLedger(db: Db, jobId: number, step: LedgerStep, title: string, detail: string): void {
  db.insert(tables.ledgerLines).values({ jobId, step, title, detail, at: new Date() }).run();
}

/** Counts a change of the job, so that another window notices. */
export function bumpRevision(db: Db, jobId: number): void {
  db.update(tables.jobs)
    .set({ revision: sql`${tables.jobs.revision} + 1` })
    .where(eq(tables.jobs.id, jobId))
    .run();
}
