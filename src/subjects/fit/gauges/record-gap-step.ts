import { eq } from 'drizzle-orm';
import type { GapStepOutcome } from '@/core/fit/mating';
import type { PartState } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';

interface NewGapStep {
  readonly clientKey: string;
  readonly printId: number;
  readonly rung: number;
  readonly outcome: GapStepOutcome;
  readonly state: PartState;
}

/** Stores what the hand found at a step of a print, of this job if one is named; the last outcome of a step counts. */
export function recordGapStep(
  db: Db,
  wanted: NewGapStep,
  jobId?: number,
): Result<void, { readonly code: 'gone' }> {
  const { prints, attempts, jobs } = tables;
  const row = db
    .select({ jobId: jobs.id, gauge: jobs.gauge })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .where(eq(prints.id, wanted.printId))
    .get();
  if (jobId !== undefined && row?.jobId !== jobId) return fail({ code: 'gone' });
  if (row?.gauge?.kind !== 'joint' || row.gauge.stepsMm[wanted.rung - 1] === undefined)
    return fail({ code: 'gone' });
  db.insert(tables.rungs)
    .values({ ...wanted, takenAt: new Date() })
    .onConflictDoNothing()
    .run();
  return ok(undefined);
}
