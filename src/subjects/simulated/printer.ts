import { and, asc, eq, isNull } from 'drizzle-orm';
import type { FeatureKind } from '@/core/measure';
import { seedFrom } from '@/core/kit/numerics';
import { fail, ok, type Result } from '@/core/kit';
import { drawPrinter, exposedBy, footOf, holds, printFeature, type VirtualPrinter } from '@/core/simulated';
import { type Db, kindOf, placeOnPlate, printedKey, printKey, queries, runKey, tables } from '@/store';
import type { SimulatedIssue } from './words-issues';

/**
 * Returns the simulated printer of a printer row: its hidden true values from its seed, with the known pixel and layer.
 */
export function simulatedPrinter(seed: number, pixelMm: number | null, layerMm: number): VirtualPrinter {
  const drawn = drawPrinter(seed);
  return { ...drawn, pixelMm: pixelMm ?? drawn.pixelMm, layerMm };
}

/** Place of a feature on the simulated printer's plate if it is unknown: spread over the plate by its index. */
function spreadOverPlate(position: number): { xMm: number; yMm: number } {
  return { xMm: ((position * 17) % 40) - 20, yMm: ((position * 11) % 30) - 15 };
}

/** By how much a profile was exposed longer at a time than when it was new: a simulated printer obeys it. */
function exposureRatioAt(db: Db, profileId: number, at: Date): number {
  const { profileChanges } = tables;
  const changes = db
    .select()
    .from(profileChanges)
    .where(and(eq(profileChanges.profileId, profileId), isNull(profileChanges.retractedAt)))
    .orderBy(asc(profileChanges.at))
    .all()
    .filter(({ before, after }) => (before.exposureS ?? 0) > 0 && (after.exposureS ?? 0) > 0);
  const last = changes.findLast((change) => change.at <= at);
  return last === undefined ? 1 : last.after.exposureS! / changes[0].before.exposureS!;
}

/** A simulated printer with a resin, at the exposure of a time. */
interface MachineAt {
  readonly machine: VirtualPrinter;
  /** Trimmed so far that layers do not hold any more; with the exposure that a profile began with they do. */
  readonly isLost: boolean;
}

export function machineAt(db: Db, { printer, profile }: ProfileOf, at: Date): MachineAt | undefined {
  if (printer.simulatedSeed === null) return undefined;
  const seed = seedFrom(printer.simulatedSeed, `resin ${profile.resinId}`);
  const drawn = simulatedPrinter(seed, printer.pixelMm, profile.layerMm);
  const ratio = exposureRatioAt(db, profile.id, at);
  if (ratio === 1) return { machine: drawn, isLost: false };
  const machine = exposedBy(drawn, ratio);
  return { machine, isLost: !holds(machine) };
}

type ProfileOf = Pick<queries.ProfileRow, 'printer' | 'profile'>;

/** Returns a size of a simulated print, with the elephant's foot of its first layers on each face; mm. */
interface SimulatedSize {
  readonly sizeMm: number;
  readonly footMm: number;
  readonly kind: FeatureKind;
  readonly feature: queries.Feature;
}

/** Returns the exposure of the bottom layers relative to the others at a time; 1 if unknown. */
function bottomRatioAt(db: Db, { profile }: ProfileOf, at: Date): number {
  const next = queries.listChanges(db, profile.id).find((change) => change.at > at);
  const { exposureS, bottomExposureS, bottomLayers = 0 } = next?.before ?? profile.settings;
  if (exposureS === undefined || bottomExposureS === undefined || bottomLayers === 0) return 1;
  return bottomExposureS / exposureS;
}

/** True size of a feature in a print of a simulated printer. */
export function simulatedSize(
  db: Db,
  featureId: number,
  printId: number,
): Result<SimulatedSize, SimulatedIssue> {
  const { features, prints, attempts, drawnSizes, printedFeatures, profiles, printers } = tables;
  const row = db
    .select({
      feature: features,
      printed: printedFeatures,
      drawn: drawnSizes,
      printer: printers,
      profile: profiles,
      print: prints,
      attempt: attempts,
    })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(profiles, eq(attempts.profileId, profiles.id))
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .innerJoin(drawnSizes, eq(drawnSizes.attemptId, attempts.id))
    .innerJoin(features, eq(drawnSizes.featureId, features.id))
    .innerJoin(
      printedFeatures,
      and(eq(printedFeatures.printId, prints.id), eq(printedFeatures.featureId, features.id)),
    )
    .where(and(eq(prints.id, printId), eq(features.id, featureId)))
    .get();
  if (row === undefined) return fail({ code: 'gone' });
  const { feature, printed, drawn, print, printer, profile } = row;
  const exposed = machineAt(db, { printer, profile }, print.madeAt);
  if (exposed === undefined) return fail({ code: 'noSimulatedPrinter' });
  if (exposed.isLost) return fail({ code: 'lost' });
  const place = {
    feature: printedKey(row),
    kind: kindOf(printed),
    drawnMm: drawn.drawnMm,
    ...(placeOnPlate({ xMm: print.placeXMm, yMm: print.placeYMm }, printed) ??
      spreadOverPlate(feature.position)),
  };
  const run = print.runId === null ? printKey(printId - print.copy + 1) : runKey(print);
  return ok({
    sizeMm: printFeature(exposed.machine, place, printKey(printId), run),
    footMm:
      place.kind.axis === 'Z'
        ? 0
        : footOf(exposed.machine, bottomRatioAt(db, { printer, profile }, print.madeAt)),
    kind: place.kind,
    feature,
  });
}
