import { and, eq, isNull } from 'drizzle-orm';
import { CLEARING_STEPS, describeGlances, type MaintenanceKind } from '@/core/log';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { findPrinter } from '@/subjects/signature';
import type { MaintenanceNoted, ClearingAnswer, LookedOver } from './input-log';
import { keepTest } from './keep-failure';
import { viewClearing } from './view-clearing';
import { type LogIssue } from './words-maintenance';

type NewMaintenance = Omit<typeof tables.careDone.$inferInsert, 'afterFailureId'>;

function keepMaintenance(db: Db, care: NewMaintenance): void {
  db.insert(tables.careDone)
    .values({ ...care, afterFailureId: queries.newestFailureId(db) })
    .run();
}

/** Notes care that was done at a printer, or what a check of it showed. */
export function noteMaintenance(
  db: Db,
  printerId: number,
  { kind, isWell = true, note = '' }: MaintenanceNoted,
  at = new Date(),
): Result<void, LogIssue> {
  if (findPrinter(db, printerId) === undefined) return fail({ code: 'gone' });
  if (!isWell && note === '') return fail({ code: 'noFollow' });
  keepMaintenance(db, { printerId, kind, isWell, note, at });
  return ok(undefined);
}

/** It was not done after all: the newest of its kind counts no more, and stays on record. A vat is then cleared step by step again. */
export function takeBackMaintenance(
  db: Db,
  printerId: number,
  kind: MaintenanceKind,
): Result<void, LogIssue> {
  const last = queries.listCareDone(db, printerId).find((each) => each.kind === kind);
  if (last === undefined) return fail({ code: 'gone' });
  const { careDone, clearings } = tables;
  const retractedAt = new Date();
  return allOrNothing<void, LogIssue>(db, (tx) => {
    tx.update(careDone).set({ retractedAt }).where(eq(careDone.id, last.id)).run();
    if (kind === 'clearVat')
      tx.update(clearings)
        .set({ retractedAt })
        .where(and(eq(clearings.printerId, printerId), isNull(clearings.retractedAt)))
        .run();
    return ok(undefined);
  });
}

/**
 * Answers a step of clearing a printer after a failure; once all are well the vat counts as cleared, and one that is not
 * is answered again when it was put right. How the film looked first is what the test of the failed print would have
 * shown, and counts for it.
 */
export function answerClearing(
  db: Db,
  printerId: number,
  { step, isWell, note }: ClearingAnswer,
  at = new Date(),
): Result<void, LogIssue> {
  const clearing = viewClearing(db, printerId);
  if (clearing === undefined) return fail({ code: 'gone' });
  if (!isWell && note === '') return fail({ code: 'noFollow' });
  return allOrNothing<void, LogIssue>(db, (tx) => {
    const { failureId } = clearing;
    tx.insert(tables.clearings).values({ printerId, failureId, step, isWell, note, at }).run();
    if (step === 'film' && !clearing.answers.has('film'))
      keepTest(tx, clearing.runId, { test: 'filmToLight', outcome: isWell ? 'clear' : 'dented' }, at);
    const answers = viewClearing(tx, printerId)?.answers;
    if (CLEARING_STEPS.every((each) => answers?.get(each)?.isWell === true))
      keepMaintenance(tx, { printerId, kind: 'clearVat', at });
    return ok(undefined);
  });
}

/** Somebody looked a printer over: care that was due and is done now, and what was not well. */
export function noteLookOver(
  db: Db,
  printerId: number,
  { done, amiss, note }: LookedOver,
  at = new Date(),
): Result<void, LogIssue> {
  if (findPrinter(db, printerId) === undefined) return fail({ code: 'gone' });
  if (amiss.length > 0 && note === '') return fail({ code: 'noFollow' });
  return allOrNothing<void, LogIssue>(db, (tx) => {
    for (const kind of done) keepMaintenance(tx, { printerId, kind, at });
    const isWell = amiss.length === 0;
    const said = isWell ? note : `${describeGlances(amiss)}: ${note}`;
    keepMaintenance(tx, { printerId, kind: 'lookOver', isWell, note: said, at });
    return ok(undefined);
  });
}
