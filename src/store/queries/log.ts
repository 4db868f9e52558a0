import { and, asc, desc, eq, inArray, isNotNull, isNull, lte, or, sql } from 'drizzle-orm';
import { groupBy } from '@/core/kit';
import type { Db } from '../client';
import { attempts } from '../schema/attempts';
import { profiles } from '../schema/equipment';
import { jobs } from '../schema/jobs';
import { careDone, causesFound, clearings, failures, failureTests } from '../schema/log';
import { runPieces, runs } from '../schema/runs';

export type Failure = typeof failures.$inferSelect;

/** Kinds of failure after which something cured can lie in the vat. */
export const LEAVES_SOLIDS = [
  'notStuck',
  'sheared',
  'missingRegion',
  'missingLayers',
  'stuckInVat',
  'stopped',
] as const;

/** Failures of runs that count, oldest first. */
export function listFailures(db: Db, runIds: readonly number[]): Failure[] {
  return db
    .select()
    .from(failures)
    .where(and(inArray(failures.runId, [...runIds]), isNull(failures.retractedAt)))
    .orderBy(asc(failures.id))
    .all();
}

/** Runs of a printer that ended, with their pieces, the newest first; up to a time where one is given. */
export function listRunsWithPieces(
  db: Db,
  printerId: number,
  { most = 60, until }: { readonly most?: number; readonly until?: Date } = {},
) {
  const ended = db
    .select({ run: runs, profile: profiles })
    .from(runs)
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .where(
      and(
        eq(profiles.printerId, printerId),
        isNotNull(runs.endedAt),
        isNull(runs.putAwayAt),
        until && lte(runs.endedAt, until),
      ),
    )
    .orderBy(desc(runs.endedAt), desc(runs.id))
    .limit(most)
    .all();
  const pieces = db
    .select()
    .from(runPieces)
    .where(
      inArray(
        runPieces.runId,
        ended.map(({ run }) => run.id),
      ),
    )
    .orderBy(asc(runPieces.id))
    .all();
  const byRun = groupBy(pieces, ({ runId }) => runId);
  return ended.map((each) => ({ ...each, pieces: byRun.get(each.run.id) ?? [] }));
}

export type RunWithPieces = ReturnType<typeof listRunsWithPieces>[number];

/** Every plate that ended, by its printer: copies on it, and how many failed; of a stopped one all did, unless some were named. */
export function countPlates(db: Db) {
  const named = sql<number>`count(distinct ${failures.pieceId})`;
  const whole = sql<number>`sum(${failures.id} is not null and ${failures.pieceId} is null)`;
  return db
    .select({
      printerId: profiles.printerId,
      outcome: runs.outcome,
      copies: sql<number>`count(distinct ${runPieces.id})`,
      named,
      whole,
    })
    .from(runs)
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .innerJoin(runPieces, eq(runPieces.runId, runs.id))
    .leftJoin(
      failures,
      and(
        eq(failures.runId, runs.id),
        isNull(failures.retractedAt),
        or(isNull(failures.pieceId), eq(failures.pieceId, runPieces.id)),
      ),
    )
    .where(and(isNotNull(runs.endedAt), isNull(runs.putAwayAt)))
    .groupBy(runs.id)
    .all()
    .map(({ printerId, outcome, copies, named: some, whole: all }) => ({
      printerId,
      copies,
      failed: all > 0 || (outcome === 'stopped' && some === 0) ? copies : some,
    }));
}

function readLogKey(db: Db): string {
  const ended = db
    .select({
      of: sql<string>`count(*) || ' ' || total(${runs.id}) || ' ' || total(${runs.endedAt}) || ' ' || total(${runs.stoppedLayer}) || ' ' || count(${runs.putAwayAt}) || ' ' || total(${runs.wellAt})`,
    })
    .from(runs)
    .where(isNotNull(runs.endedAt))
    .get()!;
  const failed = db
    .select({ of: sql<string>`count(*) || ' ' || count(${failures.retractedAt})` })
    .from(failures)
    .get()!;
  const found = db
    .select({ of: sql<string>`count(*) || ' ' || total(${causesFound.at})` })
    .from(causesFound)
    .get()!;
  const exposed = db
    .select({ of: sql<string>`group_concat(ifnull(json_extract(${profiles.settings}, '$.exposureS'), '-'))` })
    .from(profiles)
    .get()!;
  // How parts stand, by which rates are asked: another stance is another text.
  const stood = db
    .select({
      of: sql<string>`count(*) || ' ' || total(${jobs.revision}) || ' ' || total(length(${jobs.stance}))`,
    })
    .from(jobs)
    .get()!;
  return [ended.of, failed.of, found.of, exposed.of, stood.of].join('; ');
}

const logKeys = new WeakMap<Db, { readonly changes: number; readonly key: string }>();

/**
 * Returns a text that changes with every end, failure or cause found: values computed from the whole log are cached
 * with it. It is read again only after a write.
 */
export function logKey(db: Db): string {
  const { changes } = db.get<{ changes: number }>(sql`select total_changes() changes`);
  const known = logKeys.get(db);
  if (known?.changes === changes) return known.key;
  const key = readLogKey(db);
  logKeys.set(db, { changes, key });
  return key;
}

/** What each ended run of a printer took of film, light and vat, the oldest first: short rows, so that years are counted as fast as weeks. */
export function listWork(db: Db, printerId: number) {
  return db
    .select({
      runId: runs.id,
      startedAt: runs.startedAt,
      endedAt: runs.endedAt,
      layers: sql<number>`coalesce(${runs.stoppedLayer}, json_extract(${runs.plan}, '$.layers'), 0)`,
      exposureS: sql<number | null>`json_extract(${profiles.settings}, '$.exposureS')`,
      pieces: sql<number>`(select count(*) from ${runPieces} where ${runPieces.runId} = ${runs.id})`,
      leftSolids: sql<number>`exists (select 1 from ${failures} where ${failures.runId} = ${runs.id} and ${failures.retractedAt} is null and ${inArray(failures.kind, [...LEAVES_SOLIDS])})`,
    })
    .from(runs)
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .where(and(eq(profiles.printerId, printerId), isNotNull(runs.endedAt)))
    .orderBy(asc(runs.endedAt), asc(runs.id))
    .all()
    .map(({ endedAt, leftSolids, ...work }) => ({
      ...work,
      endedAt: endedAt!,
      leftSolids: leftSolids === 1,
    }));
}

export type Work = ReturnType<typeof listWork>[number];

/** How the pieces of runs stood on their plates. */
export function listStandings(db: Db, runIds: readonly number[]) {
  return db
    .selectDistinct({ runId: runPieces.runId, stance: jobs.stance })
    .from(runPieces)
    .innerJoin(attempts, eq(runPieces.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .where(inArray(runPieces.runId, [...runIds]))
    .all();
}

/** Tests of a failed run that were made, oldest first. */
export function listFailureTests(db: Db, runId: number) {
  return db
    .select()
    .from(failureTests)
    .where(and(eq(failureTests.runId, runId), isNull(failureTests.retractedAt)))
    .orderBy(asc(failureTests.id))
    .all();
}

/** Returns the causes found in this workshop. */
export function listCausesFound(db: Db) {
  return db.select().from(causesFound).orderBy(asc(causesFound.at)).all();
}

/** Care that was done at a printer, what was noted last first. */
export function listCareDone(db: Db, printerId: number) {
  return db
    .select()
    .from(careDone)
    .where(and(eq(careDone.printerId, printerId), isNull(careDone.retractedAt)))
    .orderBy(desc(careDone.id))
    .all();
}

/** Returns answers to the steps of clearing a printer after a failure, oldest first; undone ones do not count. */
export function listClearings(db: Db, failureId: number) {
  return db
    .select()
    .from(clearings)
    .where(and(eq(clearings.failureId, failureId), isNull(clearings.retractedAt)))
    .orderBy(asc(clearings.id))
    .all();
}

/** The newest failure of all, by when it was noted; null: none was. */
export function newestFailureId(db: Db): number | null {
  return (
    db
      .select({ id: sql<number | null>`max(${failures.id})` })
      .from(failures)
      .get()?.id ?? null
  );
}

/** The newest failure of a printer that can have left something in its vat, not cleared since; undefined: none. */
export function findUncleared(db: Db, printerId: number): Failure | undefined {
  const last = db
    .select({ failure: failures })
    .from(failures)
    .innerJoin(runs, eq(failures.runId, runs.id))
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .where(
      and(
        eq(profiles.printerId, printerId),
        isNull(failures.retractedAt),
        inArray(failures.kind, [...LEAVES_SOLIDS]),
      ),
    )
    .orderBy(desc(failures.id))
    .limit(1)
    .get()?.failure;
  if (last === undefined) return undefined;
  const cleared = listCareDone(db, printerId).find(({ kind }) => kind === 'clearVat' || kind === 'drain');
  return cleared === undefined || (cleared.afterFailureId ?? 0) < last.id ? last : undefined;
}
