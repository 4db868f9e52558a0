import { fail, ok, type Result } from '@/core/kit';
import { type Db, evidenceChanged, queries, tables } from '@/store';
import { keepSignatures } from '@/subjects/signature';
import type { TakeBackIssue } from './words-issues';

/** Deletes the newest reading of a print, or the one named; the reading itself stays stored. */
export function takeBackReading(
  db: Db,
  jobId: number,
  printId: number,
  readingId?: number,
): Result<queries.StandingReading, TakeBackIssue> {
  const standing = queries.isPrintOf(db, jobId, printId)
    ? queries.listStandingReadings(db, queries.ofPrint(printId))
    : [];
  const taken = readingId === undefined ? standing.at(-1) : standing.find(({ id }) => id === readingId);
  if (taken === undefined) return fail({ code: 'nothingToTakeBack' });
  const changed = db.transaction((tx) => {
    tx.insert(tables.retractions)
      .values({ readingId: taken.id, retractedAt: new Date() })
      .onConflictDoNothing()
      .run();
    return evidenceChanged(tx, { printId });
  });
  keepSignatures(db, changed);
  return ok(taken);
}
