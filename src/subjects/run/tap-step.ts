import { and, eq, isNull } from 'drizzle-orm';
import type { CardStep } from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { allOrNothing, type Db, queries, tables } from '@/store';
import type { StepIssue } from './words-run';

type Step = CardStep['step'];

interface NewStep {
  readonly clientKey: string;
  readonly printId: number;
  readonly step: Step;
  readonly plannedS?: number;
}

/**
 * Begins a step of a print, once: the same tap again, or another window's tap on the same step, answers with what runs
 * already. The clock is the server's.
 */
export function beginStep(db: Db, jobId: number, wanted: NewStep): Result<number, StepIssue> {
  const { printSteps } = tables;
  return allOrNothing<number, StepIssue>(db, (tx) => {
    if (!queries.isPrintOf(tx, jobId, wanted.printId)) return fail({ code: 'gone' });
    const same = tx.select().from(printSteps).where(eq(printSteps.clientKey, wanted.clientKey)).get();
    if (same !== undefined) return ok(same.id);
    const steps = queries.listPrintSteps(tx, wanted.printId);
    const running = steps.find(({ step, endedAt }) => step === wanted.step && endedAt === null);
    if (running !== undefined) return ok(running.id);
    if (wanted.step === 'wash' && steps.some(({ step, endedAt }) => step === 'cure' && endedAt !== null))
      return fail({ code: 'cured' });
    const { clientKey, printId, step, plannedS } = wanted;
    return ok(
      tx
        .insert(printSteps)
        .values({
          clientKey,
          printId,
          step,
          plannedS: plannedS === undefined ? null : Math.round(plannedS),
          startedAt: new Date(),
        })
        .returning()
        .get().id,
    );
  });
}

/** Ends a step; ended already it stays as it was. A clock that was set back ends it no earlier than it began. */
export function endStep(db: Db, jobId: number, stepId: number, given = ''): Result<void, StepIssue> {
  const { printSteps } = tables;
  return allOrNothing<void, StepIssue>(db, (tx) => {
    const row = tx.select().from(printSteps).where(eq(printSteps.id, stepId)).get();
    if (row === undefined || row.retractedAt !== null || !queries.isPrintOf(tx, jobId, row.printId))
      return fail({ code: 'gone' });
    if (row.endedAt !== null) return ok(undefined);
    const endedAt = new Date(Math.max(Date.now(), row.startedAt.getTime()));
    tx.update(printSteps)
      .set({ endedAt, given: given.trim() })
      .where(and(eq(printSteps.id, stepId), isNull(printSteps.endedAt)))
      .run();
    return ok(undefined);
  });
}

/** Takes a step back that was tapped by mistake; it stays on record. */
export function takeBackStep(db: Db, jobId: number, stepId: number): Result<void, StepIssue> {
  const { printSteps } = tables;
  const row = db.select().from(printSteps).where(eq(printSteps.id, stepId)).get();
  if (row === undefined || !queries.isPrintOf(db, jobId, row.printId)) return fail({ code: 'gone' });
  db.update(printSteps).set({ retractedAt: new Date() }).where(eq(printSteps.id, stepId)).run();
  return ok(undefined);
}
