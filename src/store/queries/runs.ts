import { and, asc, count, desc, eq, gt, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Db } from '../client';
import { attempts, prints } from '../schema/attempts';
import { printers, profiles } from '../schema/equipment';
import { jobs } from '../schema/jobs';
import { resins } from '../schema/resins';
import { partLayers, pours, runPieces, runs, weighings } from '../schema/runs';

export type Run = typeof runs.$inferSelect;

export function findRun(db: Db, runId: number): Run | undefined {
  return db.select().from(runs).where(eq(runs.id, runId)).get();
}

/** Pieces of a run with their attempt and job, in the order they were laid down. */
export function listPieces(db: Db, runId: number) {
  return db
    .select({ piece: runPieces, attempt: attempts, job: jobs, print: prints })
    .from(runPieces)
    .innerJoin(attempts, eq(runPieces.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .leftJoin(prints, eq(runPieces.printId, prints.id))
    .where(eq(runPieces.runId, runId))
    .orderBy(asc(runPieces.id))
    .all();
}

export type RunPiece = ReturnType<typeof listPieces>[number];

/** The piece of a plate that a print was; undefined where it was noted without a plate. */
export function findPieceOfPrint(db: Db, printId: number) {
  return db.select().from(runPieces).where(eq(runPieces.printId, printId)).get();
}

/** Runs that wait for their start or print, the oldest first. */
export function listOpenRuns(db: Db) {
  return db
    .select({ run: runs, profile: profiles, printer: printers, resin: resins })
    .from(runs)
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .innerJoin(resins, eq(profiles.resinId, resins.id))
    .where(and(isNull(runs.endedAt), isNull(runs.putAwayAt)))
    .orderBy(asc(runs.id))
    .all();
}

export type OpenRun = ReturnType<typeof listOpenRuns>[number];

/** Returns the newest plate of an attempt that is not archived. */
export function findRunOfAttempt(db: Db, attemptId: number): Run | undefined {
  return db
    .select({ run: runs })
    .from(runPieces)
    .innerJoin(runs, eq(runPieces.runId, runs.id))
    .where(and(eq(runPieces.attemptId, attemptId), isNull(runs.putAwayAt)))
    .orderBy(desc(runs.id))
    .limit(1)
    .get()?.run;
}

/** Runs of a printer that ended, the newest first. */
export function listEndedRuns(db: Db, printerId: number, most = 200): Run[] {
  return db
    .select({ run: runs })
    .from(runs)
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .where(and(eq(profiles.printerId, printerId), isNotNull(runs.endedAt)))
    .orderBy(desc(runs.endedAt))
    .limit(most)
    .all()
    .map(({ run }) => run);
}

/**
 * What a printer has done so far: runs, layers, and hours. Where the clock was set, or a print was ended hours after it was
 * through, the hours are those planned.
 */
export function workOfPrinter(db: Db, printerId: number) {
  const { plan, startedAt, endedAt, stoppedLayer, isClockChanged } = runs;
  const planned = sql`json_extract(${plan}, '$.layers')`;
  const speed = sql`coalesce(json_extract(${plan}, '$.speed'), 1)`;
  const byClock = sql`(${endedAt} - ${startedAt}) * ${speed}`;
  const byPlan = sql`1000.0 * json_extract(${plan}, '$.plannedS') * coalesce(${stoppedLayer}, ${planned}) / ${planned}`;
  return db
    .select({
      prints: count(),
      layers: sql<number>`coalesce(sum(coalesce(${stoppedLayer}, ${planned}, 0)), 0)`,
      hours: sql<number>`coalesce(sum(case when ${isClockChanged} or ${byClock} > 4 * ${byPlan} then ${byPlan} else ${byClock} end), 0) / 3600000.0`,
    })
    .from(runs)
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .where(and(eq(profiles.printerId, printerId), isNotNull(endedAt)))
    .get()!;
}

/** How many runs of the whole bench ended since a time. */
export function countEndedSince(db: Db, since: Date): number {
  const ended = and(gt(runs.endedAt, since), isNull(runs.putAwayAt));
  return db.select({ count: count() }).from(runs).where(ended).get()?.count ?? 0;
}

/** Returns the newest attempts of jobs that are not archived, with how often each was printed; unprinted ones first. */
export function listPrintable(db: Db, profileId: number) {
  const printed = sql<number>`(select count(*) from ${prints} where ${prints.attemptId} = ${attempts.id})`;
  return db
    .select({ attempt: attempts, job: jobs, printed })
    .from(attempts)
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .where(
      and(
        eq(attempts.profileId, profileId),
        isNull(jobs.archivedAt),
        sql`${attempts.number} = (select max(number) from attempts as other where other.job_id = ${jobs.id})`,
      ),
    )
    .orderBy(sql`${printed} > 0`, asc(jobs.id))
    .all();
}

export type PartLayers = typeof partLayers.$inferSelect;

/** Layers of parts by their key, at one layer height. */
export function layersOfParts(db: Db, parts: readonly string[], layerMm: number): Map<string, PartLayers> {
  if (parts.length === 0) return new Map();
  const rows = db
    .select()
    .from(partLayers)
    .where(and(inArray(partLayers.part, [...parts]), eq(partLayers.layerMm, layerMm)))
    .all();
  return new Map(rows.map((row) => [row.part, row]));
}

export function listPours(db: Db, runId: number) {
  return db.select().from(pours).where(eq(pours.runId, runId)).orderBy(asc(pours.id)).all();
}

/** The weighing of each run of a printer that counts: its last. */
export function listWeighings(db: Db, printerId: number) {
  const rows = db
    .select({ weighing: weighings })
    .from(weighings)
    .innerJoin(runs, eq(weighings.runId, runs.id))
    .innerJoin(profiles, eq(runs.profileId, profiles.id))
    .where(eq(profiles.printerId, printerId))
    .orderBy(asc(weighings.id))
    .all();
  return [...new Map(rows.map(({ weighing }) => [weighing.runId, weighing])).values()];
}
