import { eq } from 'drizzle-orm';
import { EDGE_SIGN } from '@/core/signature';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { drawCaliper, readCaliper } from '@/core/simulated';
import { type Db, tables } from '@/store';
import { simulatedSize } from './printer';
import type { SimulatedIssue } from './words-issues';

/** The nth closing of the jaws of an instrument on a feature of a print. */
interface Closing {
  readonly featureId: number;
  readonly printId: number;
  readonly closing: number;
  readonly instrumentId: number;
  /** Near the plate, where the first layers flare. */
  readonly isLow?: boolean;
}

/** What the simulated caliper shows when its jaws close on a feature of a simulated printer's print; the nth closing repeats. */
export function closeJaws(
  db: Db,
  { featureId, printId, closing, instrumentId, isLow = false }: Closing,
): Result<number, SimulatedIssue> {
  const size = simulatedSize(db, featureId, printId);
  if (!size.ok) return size;
  const instrument = db
    .select()
    .from(tables.instruments)
    .where(eq(tables.instruments.id, instrumentId))
    .get();
  if (instrument === undefined) return fail({ code: 'gone' });
  const seed = instrument.simulatedSeed ?? 1;
  const caliper = {
    ...drawCaliper(seed),
    resolutionMm: instrument.resolutionMm,
    jawFlatMm: instrument.jawFlatMm ?? 0.3,
  };
  const random = seededRandom(seedFrom(seed, `${featureId}/${printId}/${closing}`));
  const { sizeMm, kind, footMm } = size.value;
  const flare = isLow ? 2 * EDGE_SIGN[kind.sense] * footMm : 0;
  const shown = readCaliper(caliper, sizeMm + flare, kind, random);
  return shown === undefined ? fail({ code: 'jawsDoNotEnter' }) : ok(shown);
}
