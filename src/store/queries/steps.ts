import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../client';
import { attempts, prints, printSteps } from '../schema/attempts';
import { jobs } from '../schema/jobs';

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

/** Steps under way of jobs that were not put away, the one begun first first. */
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
