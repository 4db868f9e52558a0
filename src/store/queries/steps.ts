import { and, asc, eq, exists, gte, inArray, isNotNull, isNull, ne, notExists, or } from 'drizzle-orm';
import { groupBy } from '@/core/kit';
import type { Db } from '../client';
import { attempts, prints, printSteps } from '../schema/attempts';
import { printers, profiles } from '../schema/equipment';
import { jobs } from '../schema/jobs';
import { readings, tries } from '../schema/readings';

/** Steps of a print that stand, in the order they were begun. */
export function listPrintSteps(db: Db, printId: number) {
  return db
    .select()
    .from(printSteps)
    .where(and(eq(printSteps.printId, printId), isNull(printSteps.retractedAt)))
    .orderBy(asc(printSteps.id))
    .all();
}

export type PrintStep = ReturnType<typeof listPrintSteps>[number];

/** The same of several prints at once, by print; one without steps is left out. */
export function stepsOfPrints(db: Db, printIds: readonly number[]): Map<number, PrintStep[]> {
  const rows = db
    .select()
    .from(printSteps)
    .where(and(inArray(printSteps.printId, [...printIds]), isNull(printSteps.retractedAt)))
    .orderBy(asc(printSteps.id))
    .all();
  return groupBy(rows, ({ printId }) => printId);
}

/** Returns running steps of jobs that are not archived, the earliest start first. */
export function listRunningSteps(db: Db) {
  return db
    .select({ step: printSteps, print: prints.name, jobId: jobs.id, job: jobs.name })
    .from(printSteps)
    .innerJoin(prints, eq(printSteps.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .where(and(isNull(printSteps.endedAt), isNull(printSteps.retractedAt), isNull(jobs.archivedAt)))
    .orderBy(asc(printSteps.startedAt))
    .all();
}

/** Returns the other prints of the same plate; none if the plate is unknown. */
export function listPrintsBeside(db: Db, printId: number) {
  const own = db.select({ runId: prints.runId }).from(prints).where(eq(prints.id, printId)).get();
  if (own === undefined || own.runId === null) return [];
  return db
    .select({ id: prints.id, name: prints.name, job: jobs.name })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .where(and(eq(prints.runId, own.runId), ne(prints.id, printId)))
    .orderBy(asc(prints.id))
    .all();
}

/**
 * Prints of runs, or with steps that were tapped, of which nothing was read or tried yet and something was done since then;
 * the oldest first.
 */
export function listPrintsOnTheWay(db: Db, since: Date) {
  return db
    .select({ print: prints, job: jobs, printer: printers.name, resinId: profiles.resinId })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .innerJoin(profiles, eq(attempts.profileId, profiles.id))
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .where(
      and(
        isNull(jobs.archivedAt),
        or(
          gte(prints.madeAt, since),
          exists(
            db
              .select({ id: printSteps.id })
              .from(printSteps)
              .where(and(eq(printSteps.printId, prints.id), gte(printSteps.startedAt, since))),
          ),
        ),
        or(
          isNotNull(prints.runId),
          exists(db.select({ id: printSteps.id }).from(printSteps).where(eq(printSteps.printId, prints.id))),
        ),
        notExists(db.select({ id: readings.id }).from(readings).where(eq(readings.printId, prints.id))),
        notExists(db.select({ id: tries.id }).from(tries).where(eq(tries.printId, prints.id))),
      ),
    )
    .orderBy(asc(prints.id))
    .all();
}
