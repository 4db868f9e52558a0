import { and, eq, isNull } from 'drizzle-orm';
import type { CardStep } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { startStation } from '@/subjects/simulated';
import { stationOfStep } from './station-of-step';
import type { StepIssue } from './words-run';

type Step = CardStep['step'];

interface NewStep {
  readonly clientKey: string;
  readonly printId: number;
  /** Prints of the same plate that go through it together: into one bath, under one lamp. */
  readonly alsoPrintIds?: readonly number[];
  readonly step: Step;
  readonly plannedS?: number;
  /** Given by a simulated station, whose clock runs so many times as fast as the one on the wall. */
  readonly stationSpeed?: number;
}

/** Puts a load into its simulated station; one that is planned without minutes has nothing to set it to. */
function putIntoStation(db: Db, stepId: number, { step, plannedS, stationSpeed }: NewStep): void {
  const station = stationOfStep(step);
  if (station === undefined || stationSpeed === undefined || plannedS === undefined) return;
  startStation(db, station, { load: `step ${stepId}`, seconds: plannedS, speed: stationSpeed }, new Date());
}

/** One print that goes through a step. */
function beginOne(db: Db, printId: number, wanted: NewStep, clientKey: string): Result<number, StepIssue> {
  const { printSteps } = tables;
  const same = db.select().from(printSteps).where(eq(printSteps.clientKey, clientKey)).get();
  if (same !== undefined) return ok(same.id);
  const steps = queries.listPrintSteps(db, printId);
  const running = steps.find(({ step, endedAt }) => step === wanted.step && endedAt === null);
  if (running !== undefined) return ok(running.id);
  if (wanted.step === 'wash' && steps.some(({ step, endedAt }) => step === 'cure' && endedAt !== null))
    return fail({ code: 'cured' });
  const { step, plannedS, stationSpeed = 1, alsoPrintIds = [] } = wanted;
  const row = {
    clientKey,
    printId,
    step,
    sharedKey: alsoPrintIds.length === 0 ? null : wanted.clientKey,
    // By the clock on the wall, where the timer runs.
    plannedS: plannedS === undefined ? null : Math.max(1, Math.round(plannedS / stationSpeed)),
    startedAt: new Date(),
  };
  return ok(db.insert(printSteps).values(row).returning().get().id);
}

/** Whether prints came out of one run of a printer. */
function areOfOneRun(db: Db, printIds: readonly number[]): boolean {
  const { prints } = tables;
  const runs = printIds.map((id) => db.select().from(prints).where(eq(prints.id, id)).get()?.runId);
  return typeof runs[0] === 'number' && runs.every((runId) => runId === runs[0]);
}

/**
 * Begins a step of a print, once: the same tap again, or another window's tap on the same step, answers with what runs
 * already. With others of its plate it begins for all of them. The clock is the server's.
 */
export function beginStep(db: Db, jobId: number, wanted: NewStep): Result<number, StepIssue> {
  const { printId, alsoPrintIds = [], clientKey } = wanted;
  return allOrNothing<number, StepIssue>(db, (tx) => {
    if (!queries.isPrintOf(tx, jobId, printId)) return fail({ code: 'gone' });
    if (alsoPrintIds.length > 0 && !areOfOneRun(tx, [printId, ...alsoPrintIds]))
      return fail({ code: 'gone' });
    const before = queries.listPrintSteps(tx, printId).length;
    const first = beginOne(tx, printId, wanted, clientKey);
    if (!first.ok) return first;
    const isNew = queries.listPrintSteps(tx, printId).length > before;
    if (isNew) putIntoStation(tx, first.value, wanted);
    for (const other of alsoPrintIds) {
      const begun = beginOne(tx, other, wanted, `${clientKey} ${other}`);
      if (!begun.ok) return begun;
    }
    return first;
  });
}

type Row = typeof tables.printSteps.$inferSelect;

/** A step with those that were started with it; undefined if it belongs to another job or was undone. */
function together(db: Db, jobId: number, stepId: number): Row[] | undefined {
  const { printSteps } = tables;
  const row = db.select().from(printSteps).where(eq(printSteps.id, stepId)).get();
  if (row === undefined || !queries.isPrintOf(db, jobId, row.printId)) return undefined;
  if (row.sharedKey === null) return [row];
  return db.select().from(printSteps).where(eq(printSteps.sharedKey, row.sharedKey)).all();
}

/**
 * Ends a step for everything that went through it together; if it has ended already, it stays unchanged. After a clock
 * was set back, it ends no earlier than it began.
 */
export function endStep(db: Db, jobId: number, stepId: number, given = ''): Result<void, StepIssue> {
  const { printSteps } = tables;
  return allOrNothing<void, StepIssue>(db, (tx) => {
    const rows = together(tx, jobId, stepId);
    if (rows === undefined || rows.some(({ id, retractedAt }) => id === stepId && retractedAt !== null))
      return fail({ code: 'gone' });
    for (const { id, startedAt } of rows) {
      const endedAt = new Date(Math.max(Date.now(), startedAt.getTime()));
      tx.update(printSteps)
        .set({ endedAt, given: given.trim() })
        .where(and(eq(printSteps.id, id), isNull(printSteps.endedAt), isNull(printSteps.retractedAt)))
        .run();
    }
    return ok(undefined);
  });
}

/** Undoes a step that was tapped by mistake, for everything that it was tapped for; it stays stored. */
export function takeBackStep(db: Db, jobId: number, stepId: number): Result<void, StepIssue> {
  const { printSteps } = tables;
  return allOrNothing<void, StepIssue>(db, (tx) => {
    const rows = together(tx, jobId, stepId);
    if (rows === undefined) return fail({ code: 'gone' });
    for (const { id } of rows)
      tx.update(printSteps).set({ retractedAt: new Date() }).where(eq(printSteps.id, id)).run();
    return ok(undefined);
  });
}
