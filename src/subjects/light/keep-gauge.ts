import { and, eq, isNull } from 'drizzle-orm';
import { BRACKET_SLOT_MM, BRACKET_WALL_MM } from '@/core/gauges';
import { seededRandom, seedFrom } from '@/core/numerics';
import { fail, ok, type Result } from '@/core/result';
import { curedWall, drawCaliper, exposedBy, holds, openSlot, readCaliper } from '@/core/virtual';
import { allOrNothing, type Db, queries, tables } from '@/store';
import { machineAt } from '@/subjects/simulated';
import type { GaugeSeen } from './input-light';
import type { KeepIssue } from './words-light';

/** Keeps what became of a bracket's gauge; one that was lost has neither slot nor wall. */
export function keepGauge(
  db: Db,
  profileId: number,
  seen: GaugeSeen,
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

/** Takes a gauge back; it stays on record. */
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

/** Prints gauges at these exposures on the simulated printer, and reads each; `nowS` is what the profile is exposed with. */
export function printSimulatedGauges(
  db: Db,
  profileId: number,
  { nowS, exposuresS }: { readonly nowS: number; readonly exposuresS: readonly number[] },
): Result<void, KeepIssue> {
  const row = queries.findProfile(db, profileId);
  const exposed = row && machineAt(db, row, new Date());
  if (exposed === undefined) return fail({ code: 'noSimulatedPrinter' });
  return allOrNothing<void, KeepIssue>(db, (tx) => {
    for (const exposureS of exposuresS) {
      const machine = exposedBy(exposed.machine, exposureS / nowS);
      const random = seededRandom(seedFrom(machine.seed, `bracket ${exposureS}`));
      const isWhole = machine.dose > 1.01 && holds(machine);
      const wallMm = curedWall(BRACKET_WALL_MM, machine) * (1 - machine.shrinkX);
      const read = readCaliper(
        drawCaliper(1),
        wallMm + machine.chanceSd * random.normal(),
        { sense: 'outside', shape: 'flat', axis: 'X' },
        random,
      );
      const became = !isWhole ? 'lost' : openSlot(BRACKET_SLOT_MM, machine) === 0 ? 'closed' : 'open';
      const kept = keepGauge(tx, profileId, { exposureS, became, wallMm: read });
      if (!kept.ok) return kept;
    }
    return ok(undefined);
  });
}
