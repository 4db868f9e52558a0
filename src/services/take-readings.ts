import { and, desc, eq, gt } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { findDoubt, type Doubt, type PartState } from '@/core/metrology';
import type { FitWord } from '@/core/signature';
import { queries, tables, type Db } from '@/db';

export type ReadingIssue =
  | { readonly code: 'doubt'; readonly doubt: Doubt; readonly readingMm: number }
  | { readonly code: 'gone'; readonly what: 'feature' | 'print' | 'session' }
  | { readonly code: 'notDrawn'; readonly feature: string };

export interface NewSession {
  readonly jobId: number;
  readonly instrumentId: number;
  readonly zeroMm: number;
  readonly partC?: number;
  readonly instrumentC?: number;
  readonly state: PartState;
  readonly warm: boolean;
}

/** Starts a sitting: the instrument, its zero, temperatures and the part's state for all readings until the next. */
export function startSession(db: Db, wanted: NewSession): number {
  return db
    .insert(tables.sessions)
    .values({ ...wanted, startedAt: new Date() })
    .returning()
    .get().id;
}

export interface NewReading {
  readonly clientKey: string;
  readonly sessionId: number;
  readonly featureId: number;
  readonly printId: number;
  readonly readingMm: number;
  readonly heightMm?: number;
  /** The person was asked about the doubt and said that the reading is right. */
  readonly confirmed: boolean;
  /** Newest reading of this feature that the sender had seen; 0 for none. */
  readonly seenId?: number;
}

export interface RecordedReading {
  readonly id: number;
  /** Readings that another window took of this feature meanwhile; they are kept too. */
  readonly elsewhere: number;
}

/** Readings taken meanwhile by another window; a window's own keys begin alike, up to the colon. */
function newerReadings(db: Db, { clientKey, featureId, printId, seenId }: NewReading): number {
  if (seenId === undefined) return 0;
  const { readings } = tables;
  const where = and(
    eq(readings.featureId, featureId),
    eq(readings.printId, printId),
    gt(readings.id, seenId),
  );
  const windowOf = (key: string) => key.split(':')[0];
  const newer = db.select().from(readings).where(where).all();
  return newer.filter((reading) => windowOf(reading.clientKey) !== windowOf(clientKey)).length;
}

/**
 * Stores one reading, once: the same client key again answers with what is there. A reading that cannot be right as it
 * stands comes back as a doubt and is not stored until it is confirmed (a size of zero or less never is).
 */
export function recordReading(db: Db, wanted: NewReading): Result<RecordedReading, ReadingIssue> {
  const { readings, features, prints, sessions, drawnSizes } = tables;
  return db.transaction(
    (tx) => {
      const known = tx.select().from(readings).where(eq(readings.clientKey, wanted.clientKey)).get();
      if (known !== undefined) return ok({ id: known.id, elsewhere: 0 });
      const feature = tx.select().from(features).where(eq(features.id, wanted.featureId)).get();
      if (feature === undefined) return fail({ code: 'gone', what: 'feature' });
      const print = tx.select().from(prints).where(eq(prints.id, wanted.printId)).get();
      if (print === undefined) return fail({ code: 'gone', what: 'print' });
      if (tx.select().from(sessions).where(eq(sessions.id, wanted.sessionId)).get() === undefined) {
        return fail({ code: 'gone', what: 'session' });
      }
      const drawn = tx
        .select()
        .from(drawnSizes)
        .where(and(eq(drawnSizes.attemptId, print.attemptId), eq(drawnSizes.featureId, feature.id)))
        .get();
      if (drawn === undefined) return fail({ code: 'notDrawn', feature: feature.name });
      const doubt = findDoubt(wanted.readingMm, drawn.drawnMm);
      if (doubt !== undefined && (!wanted.confirmed || doubt.code === 'notPositive')) {
        return fail({ code: 'doubt', doubt, readingMm: wanted.readingMm });
      }
      const elsewhere = newerReadings(tx as unknown as Db, wanted);
      const { clientKey, sessionId, featureId, printId, readingMm, heightMm } = wanted;
      const row = tx
        .insert(readings)
        .values({ clientKey, sessionId, featureId, printId, readingMm, heightMm, takenAt: new Date() })
        .returning()
        .get();
      return ok({ id: row.id, elsewhere });
    },
    { behavior: 'immediate' },
  );
}

/** Takes back the newest standing reading of a print, or the one named; the reading itself stays on record. */
export function takeBackReading(
  db: Db,
  printId: number,
  readingId?: number,
): Result<queries.StandingReading, { readonly code: 'nothingToTakeBack' }> {
  const standing = queries.listStandingReadings(db, queries.ofPrint(printId));
  const taken = readingId === undefined ? standing.at(-1) : standing.find(({ id }) => id === readingId);
  if (taken === undefined) return fail({ code: 'nothingToTakeBack' });
  db.insert(tables.retractions)
    .values({ readingId: taken.id, retractedAt: new Date() })
    .onConflictDoNothing()
    .run();
  return ok(taken);
}

export interface NewTry {
  readonly clientKey: string;
  readonly featureId: number;
  readonly printId: number;
  readonly word: FitWord;
  readonly state: PartState;
  /** Weight of the push, where somebody weighed it, N. */
  readonly pushN?: number;
}

/** Keeps a word of fit; the last word of a feature in a print is the one that counts. */
export function recordTry(db: Db, wanted: NewTry): Result<void, ReadingIssue> {
  const known = (table: typeof tables.features | typeof tables.prints, id: number) =>
    db.select({ id: table.id }).from(table).where(eq(table.id, id)).get() !== undefined;
  if (!known(tables.features, wanted.featureId)) return fail({ code: 'gone', what: 'feature' });
  if (!known(tables.prints, wanted.printId)) return fail({ code: 'gone', what: 'print' });
  db.insert(tables.tries)
    .values({ ...wanted, takenAt: new Date() })
    .onConflictDoNothing()
    .run();
  return ok(undefined);
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

/** Notes what of a print came off broken; what can still be read or tried of it goes on counting. */
export function noteBroken(db: Db, printId: number, brokenNote: string): void {
  db.update(tables.prints).set({ brokenNote }).where(eq(tables.prints.id, printId)).run();
}
