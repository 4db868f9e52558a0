import { and, eq, isNull } from 'drizzle-orm';
import { type Cause, outcomeWords, type TestName } from '@/core/log';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { recordDecision } from '@/subjects/workshop/records';
import { repairSimulated } from '@/subjects/simulated';
import type { FailureNoted } from './input-log';
import type { LogEntry } from './words-decisions';
import type { LogIssue } from './words-maintenance';

function endedRun(db: Db, runId: number): Result<queries.Run, LogIssue> {
  const run = queries.findRun(db, runId);
  if (run === undefined) return fail({ code: 'gone' });
  return run.endedAt === null ? fail({ code: 'notEnded' }) : ok(run);
}

/**
 * Stores what failed in a print, one row per piece; without pieces: the whole plate. A tap that is sent twice is stored
 * once. Two people may record the same failure: both rows stay, and count as one failed piece.
 */
export function noteFailure(
  db: Db,
  runId: number,
  noted: FailureNoted,
  at = new Date(),
): Result<void, LogIssue> {
  const ended = endedRun(db, runId);
  if (!ended.ok) return ended;
  const { clientKey, pieceIds, kind, layer, partMm, note } = noted;
  const layers = ended.value.plan?.layers;
  if (layer !== undefined && (layer < 1 || (layers !== undefined && layer > layers)))
    return fail({ code: 'noSuchLayer', layer, layers: layers ?? 0 });
  const pieces = queries.listPieces(db, runId);
  const here = new Map(pieces.map(({ piece, job }) => [piece.id, job.id]));
  if (pieceIds.some((id) => !here.has(id))) return fail({ code: 'otherPlate' });
  const [partXMm, partYMm] = pieceIds.length === 1 && partMm !== undefined ? partMm : [null, null];
  return allOrNothing<void, LogIssue>(db, (tx) => {
    let added = 0;
    for (const pieceId of pieceIds.length === 0 ? [null] : pieceIds)
      added += tx
        .insert(tables.failures)
        .values({
          clientKey: `${clientKey} ${pieceId ?? 'all'}`,
          runId,
          pieceId,
          kind,
          layer,
          partXMm,
          partYMm,
          note,
          at,
        })
        .onConflictDoNothing()
        .run().changes;
    if (added === 0) return ok(undefined);
    tx.update(tables.runs).set({ wellAt: null }).where(eq(tables.runs.id, runId)).run();
    const jobs = new Set(pieceIds.length === 0 ? here.values() : pieceIds.map((id) => here.get(id)!));
    for (const jobId of jobs) recordDecision<LogEntry>(tx, jobId, 'run', { code: 'failed', kind, layer });
    return ok(undefined);
  });
}

/** Undoes a failure: there was none; it stays stored. */
export function takeBackFailure(db: Db, runId: number, failureId: number): Result<void, LogIssue> {
  const { failures } = tables;
  const { changes } = db
    .update(failures)
    .set({ retractedAt: new Date() })
    .where(and(eq(failures.id, failureId), eq(failures.runId, runId), isNull(failures.retractedAt)))
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}

/** Somebody looked at what came off, and all of it is well. */
export function noteWell(db: Db, runId: number, at = new Date()): Result<void, LogIssue> {
  const ended = endedRun(db, runId);
  if (!ended.ok) return ended;
  db.update(tables.runs).set({ wellAt: at }).where(eq(tables.runs.id, runId)).run();
  return ok(undefined);
}

/** Keeps what a deciding test showed; made again, the newer outcome counts. */
export function keepTest(
  db: Db,
  runId: number,
  { test, outcome }: { readonly test: TestName; readonly outcome: string },
  at = new Date(),
): Result<void, LogIssue> {
  if (queries.listFailures(db, [runId]).length === 0) return fail({ code: 'noFailure' });
  if (outcomeWords(test, outcome) === undefined) return fail({ code: 'noSuchOutcome' });
  const { failureTests } = tables;
  return allOrNothing<void, LogIssue>(db, (tx) => {
    tx.update(failureTests)
      .set({ retractedAt: at })
      .where(
        and(eq(failureTests.runId, runId), eq(failureTests.test, test), isNull(failureTests.retractedAt)),
      )
      .run();
    tx.insert(failureTests).values({ runId, test, outcome, at }).run();
    return ok(undefined);
  });
}

/** Keeps what turned out to be the cause: the next failures are read with it, and a simulated printer is put right where it was that. */
export function keepCause(db: Db, runId: number, cause: Cause, at = new Date()): Result<void, LogIssue> {
  if (queries.listFailures(db, [runId]).length === 0) return fail({ code: 'noFailure' });
  db.insert(tables.causesFound)
    .values({ runId, cause, at })
    .onConflictDoUpdate({ target: tables.causesFound.runId, set: { cause, at } })
    .run();
  repairSimulated(db, queries.findRun(db, runId)!, cause);
  return ok(undefined);
}
