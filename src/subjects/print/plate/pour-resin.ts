import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { usedUntil } from './end-run';
import type { PlateIssue } from './words-plate';

/** Resin that was poured into a vat for a run. */
export interface Pour {
  /** Made by whoever taps it; the same pour again counts once. */
  readonly clientKey: string;
  readonly bottleId?: number;
  readonly ml: number;
  /** Layer that was printing; left out before the start. */
  readonly layer?: number;
}

/** Notes resin poured into the vat of a run: the vat is fuller, the bottle emptier, the lot stands in it. */
export function pourResin(
  db: Db,
  runId: number,
  { clientKey, bottleId, ml, layer }: Pour,
): Result<void, PlateIssue> {
  const { pours, bottles, vats } = tables;
  return allOrNothing<void, PlateIssue>(db, (tx) => {
    const run = queries.findRun(tx, runId);
    if (run === undefined || run.putAwayAt !== null) return fail({ code: 'gone' });
    if (run.endedAt !== null) return fail({ code: 'ended' });
    if (tx.select().from(pours).where(eq(pours.clientKey, clientKey)).get() !== undefined)
      return ok(undefined);
    const { printer, resin } = queries.findProfile(tx, run.profileId)!;
    const vat = tx.select().from(vats).where(eq(vats.printerId, printer.id)).get();
    const bottle =
      bottleId === undefined ? undefined : tx.select().from(bottles).where(eq(bottles.id, bottleId)).get();
    if (bottleId !== undefined && (bottle === undefined || bottle.removedAt !== null))
      return fail({ code: 'gone' });
    if (bottle !== undefined && bottle.resinId !== resin.id)
      return fail({ code: 'otherResin', lot: bottle.batch, resin: resin.name });
    if (bottle !== undefined && bottle.leftMl < ml - 0.5)
      return fail({ code: 'bottleShort', ml, leftMl: bottle.leftMl });
    if (vat !== undefined) {
      const roomMl = vat.capacityMl - (vat.levelMl - usedUntil(tx, run, layer ?? 0));
      if (ml > roomMl + 0.5) return fail({ code: 'tooMuch', ml, roomMl });
      const lots =
        bottle === undefined || vat.lots.includes(bottle.batch) ? vat.lots : [bottle.batch, ...vat.lots];
      tx.update(vats)
        .set({ levelMl: vat.levelMl + ml, lots })
        .where(eq(vats.printerId, printer.id))
        .run();
    }
    if (bottle !== undefined)
      tx.update(bottles)
        .set({ leftMl: Math.max(0, bottle.leftMl - ml) })
        .where(eq(bottles.id, bottle.id))
        .run();
    tx.insert(pours)
      .values({ clientKey, runId, bottleId: bottle?.id, ml, layer: layer ?? null, at: new Date() })
      .run();
    return ok(undefined);
  });
}

/** No supports weigh so many times what their parts do: one of the numbers was typed wrong. */
const MOST_SUPPORTS = 10;

/** Keeps what supports and parts of a run weighed, in whatever unit both were weighed. */
export function keepWeighing(
  db: Db,
  runId: number,
  weighed: { readonly supports: number; readonly parts: number; readonly unit: 'g' | 'oz' | 'ml' },
): Result<void, PlateIssue> {
  const run = queries.findRun(db, runId);
  if (run === undefined) return fail({ code: 'gone' });
  if (!(weighed.parts > 0)) return fail({ code: 'nothingWeighed' });
  if (weighed.supports > MOST_SUPPORTS * weighed.parts)
    return fail({ code: 'tooManySupports', times: MOST_SUPPORTS });
  db.insert(tables.weighings)
    .values({ runId, ...weighed, at: new Date() })
    .run();
  return ok(undefined);
}
