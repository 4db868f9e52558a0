/** What the benchmarks share: a caliper at the bench, readings of printed features, and perfect knowledge of a law. */
import { correctReading, DEFAULT_INSTRUMENT, type FeatureKind } from '@/core/measure';
import type { SeededRandom } from '@/core/kit/numerics';
import type { SignatureReading } from '@/core/signature';
import {
  lawfulSize,
  printFeature,
  readCaliper,
  type PlacedFeature,
  type VirtualCaliper,
  type VirtualPrinter,
} from '@/core/simulated';

/** The flats of this caliper were measured once, limit of error 0.02. */
export const INSTRUMENT = { ...DEFAULT_INSTRUMENT, jawFlatMm: 0.3 };
export const OPTIONS = { instruments: { '': INSTRUMENT } };
export const REPEATS = 3;

/** Corrected readings of one true size. */
export function readSize(
  caliper: VirtualCaliper,
  sizeMm: number,
  kind: FeatureKind,
  random: SeededRandom,
): number[] {
  return Array.from({ length: REPEATS }, () => readCaliper(caliper, sizeMm, kind, random)).flatMap((shown) =>
    shown === undefined ? [] : correctReading(shown, kind, INSTRUMENT),
  );
}

/** Every feature of a print, measured; whether the signature gets their places on the plate. */
export function readPart(
  { printer, caliper, random }: { printer: VirtualPrinter; caliper: VirtualCaliper; random: SeededRandom },
  places: readonly PlacedFeature[],
  print: string,
  { isPlaceTold = false }: { readonly isPlaceTold?: boolean } = {},
): SignatureReading[] {
  return places.flatMap((place) =>
    readSize(caliper, printFeature(printer, place, print), place.kind, random).map((readingMm) => ({
      ...place.kind,
      feature: place.feature,
      print,
      drawnMm: place.drawnMm,
      place: isPlaceTold ? { xMm: place.xMm, yMm: place.yMm } : undefined,
      readingMm,
    })),
  );
}

type Place = Omit<PlacedFeature, 'drawnMm'>;

/** The drawn size at which the printed size, as the function tells it, is the target. */
function drawWhere(sizeOf: (at: PlacedFeature) => number, place: Place, targetMm: number): number {
  let drawn = targetMm;
  for (let i = 0; i < 40; i++) drawn += targetMm - sizeOf({ ...place, drawnMm: drawn });
  return drawn;
}

/** The drawn size whose lawful size is the target: all that can be known before the feature was ever printed. */
export function drawKnowing(printer: VirtualPrinter, place: Place, targetMm: number): number {
  const fine = { ...printer, pixelMm: 1e-6 };
  return drawWhere((at) => lawfulSize(fine, at), place, targetMm);
}

/** The same with the repeatable deviation of the feature known too: all but chance and drift. */
export function drawKnowingHabit(printer: VirtualPrinter, place: Place, targetMm: number): number {
  const lawful = { ...printer, pixelMm: 1e-6, chanceSd: 0, driftEdgeSd: 0, driftScaleSd: 0 };
  return drawWhere((at) => printFeature(lawful, at, 'any'), place, targetMm);
}

/** A share with its standard error, in per cent. */
export function share(hits: number, of: number): string {
  const p = hits / of;
  return `${(100 * p).toFixed(1)} ± ${(100 * Math.sqrt((p * (1 - p)) / of)).toFixed(1)} %`;
}
