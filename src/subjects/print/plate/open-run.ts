import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries } from '@/store';
import type { PlateIssue } from './words-plate';

/** A run that was not started yet. */
export function waitingRun(db: Db, runId: number): Result<queries.Run, PlateIssue> {
  const run = queries.findRun(db, runId);
  if (run === undefined || run.putAwayAt !== null) return fail({ code: 'gone' });
  return run.startedAt === null ? ok(run) : fail({ code: 'started' });
}

/** A run that prints now. */
export function runningRun(
  db: Db,
  runId: number,
): Result<queries.Run & { readonly startedAt: Date }, PlateIssue> {
  const run = queries.findRun(db, runId);
  if (run === undefined || run.putAwayAt !== null) return fail({ code: 'gone' });
  const { startedAt } = run;
  if (startedAt === null) return fail({ code: 'notStarted' });
  return run.endedAt === null ? ok({ ...run, startedAt }) : fail({ code: 'ended' });
}
