import { and, eq } from 'drizzle-orm';
import { seededRandom, seedFrom } from '@/core/numerics';
import { fail, ok, type Result } from '@/core/result';
import type { RungOutcome } from '@/core/fits';
import { evidenceOf, modulusOf, type BendTest } from '@/core/resins';
import {
  bendBar,
  drawBridging,
  drawCaliper,
  drawPrinter,
  printedGapOf,
  printFeature,
  readCaliper,
  touchRung,
  type VirtualPrinter,
} from '@/core/virtual';
import { queries, tables, type Db } from '@/db';
import { featureKey, kindOf, printKey } from './kinds';
import { resinFile } from './shelf';

export type StandInIssue =
  { readonly code: 'noStandInPrinter' } | { readonly code: 'jawsDoNotEnter' } | { readonly code: 'gone' };

/** The stand-in behind a printer row: its hidden truth from its seed, with the pixel and layer the bench knows. */
export function standInPrinter(seed: number, pixelMm: number | null, layerMm: number): VirtualPrinter {
  const drawn = drawPrinter(seed);
  return { ...drawn, pixelMm: pixelMm ?? drawn.pixelMm, layerMm };
}

/** Where a feature lies on the stand-in's plate: spread over it by its place in the list. */
export function placeOnPlate(position: number): { xMm: number; yMm: number } {
  return { xMm: ((position * 17) % 40) - 20, yMm: ((position * 11) % 30) - 15 };
}

/** True size of a feature in a print of a stand-in printer, mm. */
export function standInSize(
  db: Db,
  featureId: number,
  printId: number,
): Result<{ sizeMm: number; feature: typeof tables.features.$inferSelect }, StandInIssue> {
  const { features, prints, attempts, drawnSizes, profiles, printers } = tables;
  const row = db
    .select({ feature: features, drawn: drawnSizes, printer: printers, profile: profiles, attempt: attempts })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(profiles, eq(attempts.profileId, profiles.id))
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .innerJoin(drawnSizes, eq(drawnSizes.attemptId, attempts.id))
    .innerJoin(features, eq(drawnSizes.featureId, features.id))
    .where(and(eq(prints.id, printId), eq(features.id, featureId)))
    .get();
  if (row === undefined) return fail({ code: 'gone' });
  const { feature, drawn, printer, profile } = row;
  if (printer.standInSeed === null) return fail({ code: 'noStandInPrinter' });
  const machine = standInPrinter(
    seedFrom(printer.standInSeed, `resin ${profile.resinId}`),
    printer.pixelMm,
    profile.layerMm,
  );
  const place = {
    feature: featureKey(featureId),
    kind: kindOf(feature),
    drawnMm: drawn.drawnMm,
    ...placeOnPlate(feature.position),
  };
  return ok({ sizeMm: printFeature(machine, place, printKey(printId)), feature });
}

/** What the simulated caliper shows when its jaws close on a feature of a stand-in's print; the nth closing repeats. */
export function closeJaws(
  db: Db,
  featureId: number,
  printId: number,
  closing: number,
  instrumentId: number,
): Result<number, StandInIssue> {
  const size = standInSize(db, featureId, printId);
  if (!size.ok) return size;
  const instrument = db
    .select()
    .from(tables.instruments)
    .where(eq(tables.instruments.id, instrumentId))
    .get();
  if (instrument === undefined) return fail({ code: 'gone' });
  const seed = instrument.standInSeed ?? 1;
  const caliper = {
    ...drawCaliper(seed),
    resolutionMm: instrument.resolutionMm,
    jawFlatMm: instrument.jawFlatMm ?? 0.3,
  };
  const random = seededRandom(seedFrom(seed, `${featureId}/${printId}/${closing}`));
  const shown = readCaliper(caliper, size.value.sizeMm, kindOf(size.value.feature), random);
  return shown === undefined ? fail({ code: 'jawsDoNotEnter' }) : ok(shown);
}

/** What a simulated hand finds at a rung of a ladder that a stand-in printed; the same rung always the same. */
export function touchStandInRung(db: Db, printId: number, rung: number): Result<RungOutcome, StandInIssue> {
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
  if (printer.standInSeed === null) return fail({ code: 'noStandInPrinter' });
  const seed = seedFrom(printer.standInSeed, `resin ${profile.resinId}`);
  const machine = standInPrinter(seed, printer.pixelMm, profile.layerMm);
  const bridging = drawBridging(seededRandom(seedFrom(seed, 'ladder')));
  const random = seededRandom(seedFrom(seed, `rung ${printId}/${rung}`));
  return ok(touchRung(bridging, printedGapOf(machine, gauge.direction, gapMm), random));
}

/** Weights that the simulated bench hangs, g; a bar is taken as the gauge's. */
const STAND_IN_MASSES_G = [0, 100, 200, 300, 400, 500];
const STAND_IN_BAR = { bend: 'threePoint', spanMm: 80, widthMm: 10, thicknessMm: 4 } as const;

/**
 * What a simulated bench reads of a bar of this resin: its hidden modulus lies near what is stated of it, or anywhere a
 * plastic's may where nothing is. Undefined on a bench whose printers are all real.
 */
export function standInBend(db: Db, resinId: number, closing: number): BendTest | undefined {
  const found = queries.findResin(db, resinId);
  const simulated = db
    .select()
    .from(tables.printers)
    .all()
    .some(({ standInSeed }) => standInSeed !== null);
  if (found === undefined || !simulated) return undefined;
  const stated = modulusOf(evidenceOf({ ...resinFile(found), proofs: [] }));
  const hidden = seededRandom(seedFrom(11, found.resin.name));
  const middle = stated?.value ?? 1200;
  const modulusMPa = middle * Math.exp(0.12 * hidden.normal());
  const random = seededRandom(seedFrom(closing, found.resin.name));
  // A soft bar takes lighter weights, so that it bends as far as a stiff one.
  const scale = Math.min(4, Math.max(0.02, modulusMPa / 1200));
  const masses = STAND_IN_MASSES_G.map((massG) => Math.round(massG * scale));
  return bendBar({ ...STAND_IN_BAR, modulusMPa }, masses, random);
}
