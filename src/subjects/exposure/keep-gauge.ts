import { and, eq, isNull } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { exposeGauges } from '@/subjects/simulated';
import type { GaugeSeen } from './input-light';
import type { KeepIssue } from './words-light';

/** Keeps what became of a bracket's gauge; one that was lost has neither slot nor wall. */
export function keepGauge(
  db: Db,
  profileId: number,
  seen: Omit<GaugeSeen, 'wallMm'> & { readonly wallMm?: number },
  at = new Date(),
): Result<void, KeepIssue> {
  if (queries.findProfile(db, profileId) === undefined) return fail({ code: 'gone' });
  const { exposureS, became, wallMm } = seen;
  const held = became !== 'lost';
  db.insert(tables.bracketGauges)
    .values({
      profileId,
      exposureS,
      held,
      bridged: held ? became === 'closed' : null,
      wallMm: held ? (wallMm ?? null) : null,
      at,
    })
    .run();
  return ok(undefined);
}

/** Deletes a gauge; it stays stored. */
export function takeBackGauge(db: Db, profileId: number, gaugeId: number): Result<void, KeepIssue> {
  const { bracketGauges } = tables;
  const { changes } = db
    .update(bracketGauges)
    .set({ retractedAt: new Date() })
    .where(
      and(
        eq(bracketGauges.id, gaugeId),
        eq(bracketGauges.profileId, profileId),
        isNull(bracketGauges.retractedAt),
      ),
    )
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}

/** Prints gauges at these exposures on the simulated printer, and keeps what became of each. */
export function printSimulatedGauges(
  db: Db,
  profileId: number,
  asked: { readonly nowS: number; readonly exposuresS: readonly number[] },
): Result<void, KeepIssue> {
  const exposed = exposeGauges(db, profileId, asked);
  if (!exposed.ok) return exposed;
  return allOrNothing<void, KeepIssue>(db, (tx) => {
    for (const gauge of exposed.value) {
      const kept = keepGauge(tx, profileId, gauge);
      if (!kept.ok) return kept;
    }
    return ok(undefined);
  });
}
