import { and, asc, eq, inArray, isNull, type SQL } from 'drizzle-orm';
import type { Db } from '../client';
import { attempts, drawnSizes, features, instruments, jobs, prints, readings, retractions, sessions, tries } from '../schema';

/** Readings that stand (not taken back) with everything that is needed to correct them, oldest first. */
export function listStandingReadings(db: Db, where: SQL | undefined) {
  return db
    .select({
      id: readings.id,
      readingMm: readings.readingMm,
      heightMm: readings.heightMm,
      takenAt: readings.takenAt,
      feature: features,
      printId: prints.id,
      printName: prints.name,
      attemptId: attempts.id,
      drawnMm: drawnSizes.drawnMm,
      session: sessions,
      instrument: instruments,
    })
    .from(readings)
    .innerJoin(sessions, eq(readings.sessionId, sessions.id))
    .innerJoin(instruments, eq(sessions.instrumentId, instruments.id))
    .innerJoin(features, eq(readings.featureId, features.id))
    .innerJoin(prints, eq(readings.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(drawnSizes, and(eq(drawnSizes.attemptId, attempts.id), eq(drawnSizes.featureId, features.id)))
    .leftJoin(retractions, eq(retractions.readingId, readings.id))
    .where(and(isNull(retractions.readingId), where))
    .orderBy(asc(readings.id))
    .all();
}

export type StandingReading = ReturnType<typeof listStandingReadings>[number];

export function ofProfile(profileId: number): SQL {
  return eq(attempts.profileId, profileId);
}

export function ofJob(jobId: number): SQL {
  return eq(features.jobId, jobId);
}

export function ofPrint(printId: number): SQL {
  return eq(prints.id, printId);
}

/** Words of fit with their feature and drawn size, oldest first. */
export function listTries(db: Db, where: SQL | undefined) {
  return db
    .select({ attempt: tries, feature: features, drawnMm: drawnSizes.drawnMm, printName: prints.name })
    .from(tries)
    .innerJoin(features, eq(tries.featureId, features.id))
    .innerJoin(prints, eq(tries.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(drawnSizes, and(eq(drawnSizes.attemptId, attempts.id), eq(drawnSizes.featureId, features.id)))
    .where(where)
    .orderBy(asc(tries.id))
    .all();
}

/** Jobs by id, for naming where readings came from. */
export function nameJobs(db: Db, ids: readonly number[]): Map<number, { name: string; kind: string }> {
  const rows = ids.length === 0 ? [] : db.select().from(jobs).where(inArray(jobs.id, [...ids])).all();
  return new Map(rows.map((row) => [row.id, { name: row.name, kind: row.kind }]));
}
