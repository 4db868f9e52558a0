import { and, eq, isNull } from 'drizzle-orm';
import type { Jaw } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, evidenceChanged, tables } from '@/store';
import type { CheckPieceIssue } from './words-issues';

interface NewCheck {
  readonly clientKey: string;
  readonly jaw: Jaw;
  readonly piece: string;
  readonly knownMm: number;
  readonly u_mm: number;
  readonly readingMm: number;
  /** The person was asked about a piece that reads far off, and said that it is the right one. */
  readonly isRight: boolean;
}

/** Beyond so many limits of error a caliper is broken, or the piece another one. */
const FAR_IN_MPE = 5;

/**
 * Keeps a reading of a piece of known size, once; one far off is asked about first. Gives the profiles whose signatures
 * learn of it.
 */
export function recordCheck(
  db: Db,
  instrumentId: number,
  wanted: NewCheck,
): Result<readonly number[], CheckPieceIssue> {
  const instrument = db
    .select()
    .from(tables.instruments)
    .where(eq(tables.instruments.id, instrumentId))
    .get();
  if (instrument === undefined) return fail({ code: 'gone' });
  const { isRight, u_mm: uMm, ...reading } = wanted;
  const offMm = wanted.readingMm - wanted.knownMm;
  if (!isRight && Math.abs(offMm) > FAR_IN_MPE * instrument.mpeMm)
    return fail({ code: 'farOff', offMm, mpeMm: instrument.mpeMm });
  return ok(
    db.transaction((tx) => {
      const { changes } = tx
        .insert(tables.checkReadings)
        .values({ ...reading, uMm, instrumentId, takenAt: new Date() })
        .onConflictDoNothing()
        .run();
      return changes === 0 ? [] : evidenceChanged(tx, { instrumentId });
    }),
  );
}

/** Takes the newest check reading of an instrument back. Gives the profiles whose signatures forget it. */
export function takeBackCheck(db: Db, instrumentId: number, checkId: number): readonly number[] {
  const { checkReadings } = tables;
  return db.transaction((tx) => {
    const { changes } = tx
      .update(checkReadings)
      .set({ retractedAt: new Date() })
      .where(
        and(
          eq(checkReadings.id, checkId),
          eq(checkReadings.instrumentId, instrumentId),
          isNull(checkReadings.retractedAt),
        ),
      )
      .run();
    return changes === 0 ? [] : evidenceChanged(tx, { instrumentId });
  });
}
