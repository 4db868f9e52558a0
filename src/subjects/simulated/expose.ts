import { eq } from 'drizzle-orm';
import { BRACKET_SLOT_MM, BRACKET_WALL_MM } from '@/core/fit/gauges';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import {
  curedWall,
  drawCaliper,
  exposedBy,
  holds,
  openSlot,
  readCaliper,
  stripThickness,
  type VirtualPrinter,
} from '@/core/simulated';
import { type Db, queries, tables } from '@/store';
import { machineAt } from './printer';
import type { SimulatedIssue } from './words-issues';

/** A strip as the simulated caliper read it. */
interface CuredStrip {
  readonly exposure: number;
  readonly depthMm: number;
}

/** A small gauge from the simulated printer. */
interface ExposedGauge {
  readonly exposureS: number;
  readonly became: 'open' | 'closed' | 'lost';
  readonly wallMm?: number;
}

function exposedNow(db: Db, profileId: number): Result<VirtualPrinter, SimulatedIssue> {
  const row = queries.findProfile(db, profileId);
  if (row === undefined) return fail({ code: 'gone' });
  const exposed = machineAt(db, row, new Date());
  return exposed === undefined ? fail({ code: 'noSimulatedPrinter' }) : ok(exposed.machine);
}

/**
 * Cures strips at so many times the exposure of a profile, s, and reads each with an instrument. `set` names the strips: the
 * same set gives the same readings. One on which nothing stayed is left out.
 */
export function cureStrips(
  db: Db,
  profileId: number,
  asked: {
    readonly exposureS: number;
    readonly ratios: readonly number[];
    readonly instrumentId: number;
    readonly set: number;
  },
): Result<readonly CuredStrip[], SimulatedIssue> {
  const machine = exposedNow(db, profileId);
  if (!machine.ok) return machine;
  const { instruments } = tables;
  const instrument = db.select().from(instruments).where(eq(instruments.id, asked.instrumentId)).get();
  if (instrument === undefined) return fail({ code: 'gone' });
  const seed = instrument.simulatedSeed ?? 1;
  const caliper = { ...drawCaliper(seed), resolutionMm: instrument.resolutionMm };
  return ok(
    asked.ratios.flatMap((ratio) => {
      const name = `${asked.set} ${ratio}`;
      const sizeMm = stripThickness(machine.value, ratio, name);
      const random = seededRandom(seedFrom(seed, `strip ${name}`));
      const depthMm = readCaliper(caliper, sizeMm, { sense: 'outside', shape: 'flat', axis: 'Z' }, random);
      if (depthMm === undefined || depthMm <= 0) return [];
      return [{ exposure: Number((asked.exposureS * ratio).toFixed(2)), depthMm }];
    }),
  );
}

/** Prints the small gauge at these exposures and reads its wall; `nowS` is what the profile is exposed with. */
export function exposeGauges(
  db: Db,
  profileId: number,
  { nowS, exposuresS }: { readonly nowS: number; readonly exposuresS: readonly number[] },
): Result<readonly ExposedGauge[], SimulatedIssue> {
  const now = exposedNow(db, profileId);
  if (!now.ok) return now;
  return ok(
    exposuresS.map((exposureS): ExposedGauge => {
      const machine = exposedBy(now.value, exposureS / nowS);
      if (!holds(machine)) return { exposureS, became: 'lost' };
      const random = seededRandom(seedFrom(machine.seed, `bracket ${exposureS}`));
      const sizeMm = curedWall(BRACKET_WALL_MM, machine) * (1 - machine.shrinkX);
      const wallMm = readCaliper(
        drawCaliper(1),
        sizeMm + machine.chanceSd * random.normal(),
        { sense: 'outside', shape: 'flat', axis: 'X' },
        random,
      );
      const became = openSlot(BRACKET_SLOT_MM, machine) === 0 ? 'closed' : 'open';
      return { exposureS, became, wallMm };
    }),
  );
}
