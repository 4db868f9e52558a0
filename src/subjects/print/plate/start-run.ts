import { checklistQuestion } from '@/core/print/checklist';
import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import type { HouseRules } from '@/subjects/workshop/settings';
import { recordDecision } from '@/subjects/workshop/records';
import { snapshotOf } from '@/subjects/signature';
import { startSimulated } from '@/subjects/simulated';
import { waitingRun } from './open-run';
import { viewChecklist } from './view-checklist';
import { forecastOf } from './view-forecast';
import { type Bed, bedOf, placeIssuesOf, plateAreas, type PlateItem, viewItems } from './view-plate';
import type { PlateEntry } from './words-decisions';
import type { PlateIssue } from './words-plate';

type House = Pick<HouseRules, 'schools' | 'roomC' | 'run' | 'changeoverMl' | 'care'>;

/** What keeps a plate from being printed whatever anybody answers. */
function findPlateFault(items: readonly PlateItem[], bed: Bed, gapMm: number): PlateIssue | undefined {
  if (items.length === 0) return { code: 'empty' };
  const unread = items.find(({ layers }) => layers === undefined);
  if (unread !== undefined) return { code: 'unread', job: unread.job.name };
  const tall = items.find(({ sizeMm }) => bed.isKnown && sizeMm![2] > bed.heightMm);
  if (tall !== undefined)
    return { code: 'tooTall', job: tall.job.name, heightMm: tall.sizeMm![2], roomMm: bed.heightMm };
  const count = bed.isKnown ? placeIssuesOf(items, bed, gapMm).size : 0;
  return count > 0 ? { code: 'badPlaces', count } : undefined;
}

/** Another plate that the printer still prints. */
function findBusy(db: Db, printerId: number): number | undefined {
  return queries
    .listOpenRuns(db)
    .find(({ run, printer }) => printer.id === printerId && run.startedAt !== null)?.run.id;
}

/**
 * Starts a run, once its plate can be printed and its gate is open; what it was started with is kept with it. `speed` is
 * that of a simulated printer's clock against the one on the wall.
 */
export function startRun(
  db: Db,
  runId: number,
  {
    house,
    speed = 1,
    now = new Date(),
  }: { readonly house: House; readonly speed?: number; readonly now?: Date },
): Result<void, PlateIssue> {
  return allOrNothing<void, PlateIssue>(db, (tx) => {
    const waiting = waitingRun(tx, runId);
    if (!waiting.ok) return waiting;
    const run = waiting.value;
    const row = queries.findProfile(tx, run.profileId)!;
    const items = viewItems(tx, runId);
    const fault = findPlateFault(items, bedOf(tx, runId), house.run.plateGapMm);
    if (fault !== undefined) return fail(fault);
    const busy = findBusy(tx, row.printer.id);
    if (busy !== undefined) return fail({ code: 'busy', printer: row.printer.name, runId: busy });
    const forecast = forecastOf(tx, row, plateAreas(items, row.profile.layerMm)!);
    const open = viewChecklist(tx, { run, row, items, forecast, house, now }).filter(
      ({ state }) => state === 'open',
    );
    if (open.length > 0)
      return fail({ code: 'gateOpen', questions: open.map(({ key }) => checklistQuestion(key).name) });
    const { program, layers, plannedS, resinMl, vat } = forecast;
    const isSimulated = startSimulated(
      tx,
      row.printer.id,
      { file: `run ${runId}`, layers, plannedS, speed },
      now,
    );
    const plan = {
      program,
      layers,
      plannedS,
      resinMl,
      levelMl: vat?.levelMl,
      settings: snapshotOf(row),
      speed: isSimulated ? speed : 1,
    };
    tx.update(tables.runs).set({ startedAt: now, plan }).where(eq(tables.runs.id, runId)).run();
    if (row.printer.vatResinId !== row.resin.id)
      tx.update(tables.printers)
        .set({ vatResinId: row.resin.id })
        .where(eq(tables.printers.id, row.printer.id))
        .run();
    for (const { job, attemptNumber, pieces, wallMm } of items)
      recordDecision<PlateEntry>(tx, job.id, 'run', {
        code: 'runStarted',
        attempt: attemptNumber,
        copies: pieces.length,
        wallMm,
        printer: row.printer.name,
        despite: [...new Set(Object.values(run.gate).flatMap(({ well, reason }) => (well ? [] : [reason])))],
      });
    return ok(undefined);
  });
}
