import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';

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
