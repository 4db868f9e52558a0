import { eq } from 'drizzle-orm';
import { layerUses } from '@/core/print';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { notePrints } from '@/subjects/job/jobs';
import { recordDecision } from '@/subjects/workshop/records';
import { runningRun } from './open-run';
import { plateAreas, type PlateItem, viewItems } from './view-plate';
import type { PlateEntry } from './words-decisions';
import type { PlateIssue } from './words-plate';

/** How a run ended. */
export interface RunEnd {
  readonly outcome: 'done' | 'stopped';
  readonly endedAt: Date;
  /** Its end was seen; then its hours tell of the printer. */
  readonly isSeen: boolean;
  /** Of a stopped one: the last layer that was printed, why, and whether something of it can be used. */
  readonly layer?: number;
  readonly reason: string;
  readonly isUsable: boolean;
}

type Started = queries.Run & { readonly startedAt: Date };

/** Returns whether the clock was set back since a print began: then its times are unknown. */
const isClockChanged = ({ startedAt }: Started, now: Date) => now < startedAt;

/** What is wrong with how a run is said to have ended; its times are not asked of a clock that was set back. */
function findEndFault(run: Started, { endedAt, layer }: RunEnd, now: Date): PlateIssue | undefined {
  const { startedAt, plan } = run;
  if (!isClockChanged(run, now)) {
    if (endedAt < startedAt) return { code: 'endBeforeStart' };
    if (endedAt.getTime() > now.getTime() + 60_000) return { code: 'endToCome' };
  }
  const layers = plan?.layers ?? Infinity;
  if (layer !== undefined && (layer < 0 || layer > layers)) return { code: 'noSuchLayer', layer, layers };
  return undefined;
}

/** Millilitres that the layers of a plate used until a layer. */
export function usedUntil(db: Db, run: queries.Run, layer: number): number {
  const layerMm = run.plan?.program.layerMm;
  const areas = layerMm === undefined ? undefined : plateAreas(viewItems(db, run.id), layerMm);
  if (areas === undefined || run.plan === null) return 0;
  const vat = { levelMl: 0, capacityMl: 0, floorMl: 0, wettingMl: 0, supportShare: 0, lossShare: 0 };
  const uses = layerUses(areas, run.plan.program.layerMm, vat);
  const sum = (of: Float64Array) => of.reduce((total, use) => total + use, 0);
  const whole = sum(uses);
  return whole === 0 ? 0 : (run.plan.resinMl * sum(uses.subarray(0, layer))) / whole;
}

/** No printer takes half or twice what is planned: an end that says so was tapped at another time than it came. */
const PLAUSIBLE = [0.5, 2] as const;

function isPlausible({ startedAt, plan }: Started, endedAt: Date): boolean {
  if (plan === null) return false;
  const ratio = (((endedAt.getTime() - startedAt.getTime()) / 1000) * plan.speed) / plan.plannedS;
  return ratio > PLAUSIBLE[0] && ratio < PLAUSIBLE[1];
}

/** The prints that came off the plate, a print for each piece. */
function takeOff(db: Db, run: Started, items: readonly PlateItem[], end: RunEnd): void {
  const brokenNote = end.outcome === 'stopped' ? end.reason : '';
  const despite = run.gate.checked?.well === false ? run.gate.checked.reason : '';
  for (const { attemptId, job, pieces } of items) {
    const ids = notePrints(db, attemptId, job.id, {
      despite,
      roomC: run.roomC ?? undefined,
      ofRun: { runId: run.id, madeAt: end.endedAt, places: pieces, brokenNote },
    });
    pieces.forEach(({ id }, i) => {
      db.update(tables.runPieces).set({ printId: ids[i] }).where(eq(tables.runPieces.id, id)).run();
    });
  }
}

function lowerVat(db: Db, run: Started, printerId: number, layer: number): void {
  const { vats } = tables;
  const vat = db.select().from(vats).where(eq(vats.printerId, printerId)).get();
  if (vat === undefined) return;
  const levelMl = Math.max(0, vat.levelMl - usedUntil(db, run, layer));
  const read = { by: 'volume', ml: levelMl } as const;
  db.update(vats).set({ levelMl, read, at: new Date() }).where(eq(vats.printerId, printerId)).run();
}

/**
 * Ends a print, whatever happened to the clock in the meantime: its pieces can be washed and measured, the vat has less
 * resin, its hours are known if the clock was not set back. Otherwise the print counts as ended when it began.
 */
export function endRun(db: Db, runId: number, said: RunEnd, now = new Date()): Result<void, PlateIssue> {
  return allOrNothing<void, PlateIssue>(db, (tx) => {
    const running = runningRun(tx, runId);
    if (!running.ok) return running;
    const run = running.value;
    const fault = findEndFault(run, said, now);
    if (fault !== undefined) return fail(fault);
    const isChanged = isClockChanged(run, now);
    const end = isChanged ? { ...said, endedAt: run.startedAt } : said;
    const items = viewItems(tx, runId);
    const printer = queries.findProfile(tx, run.profileId)!.printer;
    const layers = run.plan?.layers ?? 0;
    lowerVat(tx, run, printer.id, end.layer ?? layers);
    tx.update(tables.runs)
      .set({
        endedAt: end.endedAt,
        outcome: end.outcome,
        isClockChanged: isChanged,
        isTimed: end.isSeen && end.outcome === 'done' && isPlausible(run, end.endedAt),
        stoppedLayer: end.outcome === 'stopped' ? (end.layer ?? null) : null,
        endReason: end.reason,
      })
      .where(eq(tables.runs.id, runId))
      .run();
    if (end.outcome === 'done' || end.isUsable) takeOff(tx, run, items, end);
    for (const { job, attemptNumber, pieces } of items)
      recordDecision<PlateEntry>(tx, job.id, 'run', {
        code: 'runEnded',
        attempt: attemptNumber,
        copies: pieces.length,
        outcome: end.outcome,
        layer: end.layer,
        reason: end.reason,
      });
    return ok(undefined);
  });
}
