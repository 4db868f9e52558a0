import { asc, desc, eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

export function listInstruments(db: Db) {
  return db.select().from(tables.instruments).orderBy(asc(tables.instruments.id)).all();
}

/** Returns the last session of a job, or of the workshop: the default for a new one. */
export function lastSession(db: Db, jobId: number) {
  const own = db
    .select()
    .from(tables.sessions)
    .where(eq(tables.sessions.jobId, jobId))
    .orderBy(desc(tables.sessions.id))
    .get();
  return own ?? db.select().from(tables.sessions).orderBy(desc(tables.sessions.id)).get();
}

/** The sitting that is open for a job: its newest. */
export function openSession(db: Db, jobId: number) {
  return db
    .select({ session: tables.sessions, instrument: tables.instruments })
    .from(tables.sessions)
    .innerJoin(tables.instruments, eq(tables.sessions.instrumentId, tables.instruments.id))
    .where(eq(tables.sessions.jobId, jobId))
    .orderBy(desc(tables.sessions.id))
    .get();
}
