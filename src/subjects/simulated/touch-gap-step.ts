import { eq } from 'drizzle-orm';
import type { GapStepOutcome } from '@/core/fit/mating';
import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { drawBridging, printedGapOf, touchGapStep } from '@/core/simulated';
import { type Db, tables } from '@/store';
import { simulatedPrinter } from './printer';
import type { SimulatedIssue } from './words-issues';

/**
 * Returns what a simulated hand finds at a step of a gap test from a simulated printer; always the same for the same
 * step.
 */
export function touchSimulatedGapStep(
  db: Db,
  printId: number,
  rung: number,
): Result<GapStepOutcome, SimulatedIssue> {
  const { prints, attempts, profiles, printers, jobs } = tables;
  const row = db
    .select({ printer: printers, profile: profiles, gauge: jobs.gauge })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(jobs, eq(attempts.jobId, jobs.id))
    .innerJoin(profiles, eq(attempts.profileId, profiles.id))
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .where(eq(prints.id, printId))
    .get();
  const gauge = row?.gauge;
  const gapMm = gauge?.kind === 'joint' ? gauge.stepsMm[rung - 1] : undefined;
  if (row === undefined || gauge?.kind !== 'joint' || gapMm === undefined) return fail({ code: 'gone' });
  const { printer, profile } = row;
  if (printer.simulatedSeed === null) return fail({ code: 'noSimulatedPrinter' });
  const seed = seedFrom(printer.simulatedSeed, `resin ${profile.resinId}`);
  const machine = simulatedPrinter(seed, printer.pixelMm, profile.layerMm);
  const bridging = drawBridging(seededRandom(seedFrom(seed, 'ladder')));
  const random = seededRandom(seedFrom(seed, `rung ${printId}/${rung}`));
  return ok(touchGapStep(bridging, printedGapOf(machine, gauge.direction, gapMm), random));
}
