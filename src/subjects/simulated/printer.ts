import { and, eq } from 'drizzle-orm';
import type { FeatureKind } from '@/core/metrology';
import { seedFrom } from '@/core/numerics';
import { fail, ok, type Result } from '@/core/result';
import { drawPrinter, printFeature, type VirtualPrinter } from '@/core/virtual';
import { type Db, kindOf, placeOnPlate, printedKey, printKey, queries, runKey, tables } from '@/store';
import type { SimulatedIssue } from './words-issues';

/** The simulated printer behind a printer row: its hidden truth from its seed, with the pixel and layer the bench knows. */
export function simulatedPrinter(seed: number, pixelMm: number | null, layerMm: number): VirtualPrinter {
  const drawn = drawPrinter(seed);
  return { ...drawn, pixelMm: pixelMm ?? drawn.pixelMm, layerMm };
}

/** Where a feature lies on the simulated printer's plate where nobody said: spread over it by its place in the list. */
function spreadOverPlate(position: number): { xMm: number; yMm: number } {
  return { xMm: ((position * 17) % 40) - 20, yMm: ((position * 11) % 30) - 15 };
}

/** True size of a feature in a print of a simulated printer, mm. */
export function simulatedSize(
  db: Db,
  featureId: number,
  printId: number,
): Result<{ sizeMm: number; kind: FeatureKind; feature: queries.Feature }, SimulatedIssue> {
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
  if (printer.simulatedSeed === null) return fail({ code: 'noSimulatedPrinter' });
  const machine = simulatedPrinter(
    seedFrom(printer.simulatedSeed, `resin ${profile.resinId}`),
    printer.pixelMm,
    profile.layerMm,
  );
  const place = {
    feature: printedKey(row),
    kind: kindOf(printed),
    drawnMm: drawn.drawnMm,
    ...(placeOnPlate({ xMm: print.placeXMm, yMm: print.placeYMm }, printed) ??
      spreadOverPlate(feature.position)),
  };
  const run = print.runId === null ? printKey(printId - print.copy + 1) : runKey(print);
  return ok({ sizeMm: printFeature(machine, place, printKey(printId), run), kind: place.kind, feature });
}
