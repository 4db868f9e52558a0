import { and, eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { cureStrips } from '@/subjects/simulated';
import type { LightUnit, StripRead } from './input-light';
import type { KeepIssue } from './words-light';

/** The other unit would make another curve of the same strips. */
function otherUnit(db: Db, { printer, resin }: queries.ProfileRow, unit: LightUnit): LightUnit | undefined {
  return queries.listStrips(db, printer.id, resin.id).find((strip) => strip.unit !== unit)?.unit;
}

/** Keeps a strip of the printer and the resin of a profile. */
export function keepStrip(
  db: Db,
  profileId: number,
  read: StripRead,
  at = new Date(),
): Result<void, KeepIssue> {
  const row = queries.findProfile(db, profileId);
  const instrument = db
    .select()
    .from(tables.instruments)
    .where(eq(tables.instruments.id, read.instrumentId))
    .get();
  if (row === undefined || instrument === undefined) return fail({ code: 'gone' });
  const kept = otherUnit(db, row, read.unit);
  if (kept !== undefined) return fail({ code: 'otherUnit', kept });
  const { printer, resin } = row;
  db.insert(tables.strips)
    .values({ printerId: printer.id, resinId: resin.id, ...read, at })
    .run();
  return ok(undefined);
}

/** Deletes a strip; it stays stored. */
export function takeBackStrip(db: Db, profileId: number, stripId: number): Result<void, KeepIssue> {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return fail({ code: 'gone' });
  const { strips } = tables;
  const { changes } = db
    .update(strips)
    .set({ retractedAt: new Date() })
    .where(and(eq(strips.id, stripId), eq(strips.printerId, row.printer.id)))
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}

/** Exposures of a set of strips against the one that is printed with: wide enough for the slope, and none that is lost. */
export const STRIP_RATIOS = [0.8, 1.2, 1.8, 2.7, 4] as const;

/** Cures a set of strips on the simulated printer, and keeps what its caliper read. */
export function cureSimulatedStrips(
  db: Db,
  profileId: number,
  { exposureS, instrumentId }: { readonly exposureS: number; readonly instrumentId: number },
): Result<void, KeepIssue> {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return fail({ code: 'gone' });
  const set = queries.listStrips(db, row.printer.id, row.resin.id).length;
  const cured = cureStrips(db, profileId, { exposureS, ratios: STRIP_RATIOS, instrumentId, set });
  if (!cured.ok) return cured;
  return allOrNothing<void, KeepIssue>(db, (tx) => {
    for (const strip of cured.value) {
      const kept = keepStrip(tx, profileId, { unit: 's', ...strip, instrumentId });
      if (!kept.ok) return kept;
    }
    return ok(undefined);
  });
}
