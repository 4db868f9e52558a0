import { and, eq, gt } from 'drizzle-orm';
import { findDoubt } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, evidenceChanged, queries, tables } from '@/store';
import { expectControl, keepSignatures, type Later } from '@/subjects/signature';
import type { ReadingIssue } from './words-issues';

interface NewReading {
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

interface RecordedReading {
  readonly id: number;
  /** Readings of this feature that another window saved in the meantime; they are kept too. */
  readonly elsewhere: number;
}

/**
 * Returns readings saved in the meantime by another window; the keys of one window have the same start, up to the
 * colon.
 */
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

function enter(
  tx: Db,
  wanted: NewReading,
): Result<RecordedReading & { readonly isNew: boolean }, ReadingIssue> {
  const { readings, features, prints, sessions, drawnSizes } = tables;
  const known = tx.select().from(readings).where(eq(readings.clientKey, wanted.clientKey)).get();
  if (known !== undefined) return ok({ id: known.id, elsewhere: 0, isNew: false });
  const feature = tx.select().from(features).where(eq(features.id, wanted.featureId)).get();
  if (feature === undefined) return fail({ code: 'gone', what: 'feature' });
  const print = tx.select().from(prints).where(eq(prints.id, wanted.printId)).get();
  if (print === undefined) return fail({ code: 'gone', what: 'print' });
  const session = tx.select().from(sessions).where(eq(sessions.id, wanted.sessionId)).get();
  if (session === undefined) return fail({ code: 'gone', what: 'session' });
  const profileId = queries.profileOfPrint(tx, print.id);
  const isControl = queries.findControl(tx, profileId)?.feature.id === feature.id;
  const { jobId } = session;
  if (feature.jobId !== jobId && !isControl) return fail({ code: 'otherJob', what: 'session' });
  if (!queries.isPrintOf(tx, jobId, print.id)) return fail({ code: 'otherJob', what: 'print' });
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
  const elsewhere = newerReadings(tx, wanted);
  if (isControl) expectControl(tx, { ...wanted, profileId });
  const { clientKey, sessionId, featureId, printId, readingMm, heightMm } = wanted;
  const row = tx
    .insert(readings)
    .values({ clientKey, sessionId, featureId, printId, readingMm, heightMm, takenAt: new Date() })
    .returning()
    .get();
  return ok({ id: row.id, elsewhere, isNew: true });
}

/** Stores readings of one sitting as `recordReading` does each, all or none; the signature learns of them together. */
export function recordReadings(
  db: Db,
  wanted: readonly NewReading[],
  later: Later = (work) => work(),
): Result<readonly RecordedReading[], ReadingIssue> {
  let changed: readonly number[] = [];
  const answer = allOrNothing<readonly RecordedReading[], ReadingIssue>(db, (tx) => {
    const recorded: RecordedReading[] = [];
    const printsRead = new Set<number>();
    for (const reading of wanted) {
      const entered = enter(tx, reading);
      if (!entered.ok) return entered;
      const { isNew, ...row } = entered.value;
      recorded.push(row);
      if (isNew) printsRead.add(reading.printId);
    }
    changed = [...printsRead].flatMap((printId) => evidenceChanged(tx, { printId }));
    return ok(recorded);
  });
  if (changed.length > 0) later(() => keepSignatures(db, [...new Set(changed)]));
  return answer;
}

/**
 * Stores one reading, once: the same client key again answers with what is there. A reading that cannot be right as it
 * stands comes back as a doubt and is not stored until it is confirmed (a size of zero or less never is). The signature learns of it `later`.
 */
export function recordReading(
  db: Db,
  wanted: NewReading,
  later?: Later,
): Result<RecordedReading, ReadingIssue> {
  const recorded = recordReadings(db, [wanted], later);
  return recorded.ok ? ok(recorded.value[0]) : recorded;
}
