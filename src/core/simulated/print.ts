import { seededRandom, seedFrom } from '@/core/kit/numerics';
import type { FeatureKind } from '@/core/measure';
import { curedWall, curvedEdgeSize, openSlot, type Light } from './optics';
import type { VirtualPrinter } from './printer';

/** A feature at its place on the plate. */
export interface PlacedFeature {
  readonly feature: string;
  readonly kind: FeatureKind;
  readonly drawnMm: number;
  /** Its middle on the plate, mm from the plate's middle. */
  readonly xMm: number;
  readonly yMm: number;
}

function chanceOf(printer: VirtualPrinter, ...names: readonly string[]): number {
  return seededRandom(seedFrom(printer.seed, names.join('\u0000'))).normal();
}

function lightAt(printer: VirtualPrinter, place: PlacedFeature): Light {
  const [slopeX, slopeY] = printer.doseSlope;
  const dose = printer.dose * (1 + (slopeX * place.xMm + slopeY * place.yMm) / 60);
  return { blurMm: printer.blurMm, dose: Math.max(1.2, dose) };
}

/** Both edges of a flat size land on the pixel grid; where depends on where the part lies. */
function snapToPixels(printer: VirtualPrinter, { drawnMm, xMm, yMm, kind }: PlacedFeature): number {
  if (kind.axis === 'XY') return drawnMm;
  const middle = kind.axis === 'X' ? xMm : yMm;
  const snap = (edge: number) => Math.round(edge / printer.pixelMm) * printer.pixelMm;
  return snap(middle + drawnMm / 2) - snap(middle - drawnMm / 2);
}

function shrinkOf(printer: VirtualPrinter, kind: FeatureKind): number {
  if (kind.shape === 'round') return (printer.shrinkX + printer.shrinkY) / 2;
  const angle = kind.axis === 'X' ? 0 : kind.axis === 'Y' ? Math.PI / 2 : (kind.angleRad ?? 0);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return printer.shrinkX * cos * cos + printer.shrinkY * sin * sin - printer.skew * sin * cos;
}

/** Size in the plane before shrinking: what the light cures, less the film left on inside edges. */
function litSize(printer: VirtualPrinter, place: PlacedFeature): number {
  const { kind } = place;
  const light = lightAt(printer, place);
  if (kind.sense === 'pitch') return place.drawnMm;
  if (kind.shape === 'round') {
    const size = curvedEdgeSize(place.drawnMm, light, kind.sense);
    return kind.sense === 'inside' ? size - 2 * printer.insideFilmMm : size;
  }
  const drawn = snapToPixels(printer, place);
  if (kind.sense === 'outside') return curedWall(drawn, light);
  return Math.max(0, openSlot(drawn, light) - 2 * printer.insideFilmMm);
}

function heightOf(printer: VirtualPrinter, { drawnMm, kind }: PlacedFeature): number {
  const layers = Math.max(1, Math.round(drawnMm / printer.layerMm)) * printer.layerMm;
  const shrunk = layers * (1 - printer.shrinkZ);
  const builtUp = (fullMm: number, overMm: number) => fullMm * (1 - Math.exp(-layers / overMm));
  if (kind.sense === 'pitch') return shrunk;
  if (kind.sense === 'inside')
    return Math.max(0, shrunk - builtUp(printer.cureThroughMm, printer.cureThroughOverMm));
  if (kind.base === 'plate') return shrunk - builtUp(printer.squashMm, printer.squashOverMm);
  return shrunk + builtUp(printer.cureThroughMm, printer.cureThroughOverMm);
}

/** Returns the mean size that this printer makes of a feature over repeatable deviations, chances and drifts; mm. */
export function lawfulSize(printer: VirtualPrinter, place: PlacedFeature): number {
  if (place.kind.axis === 'Z') return heightOf(printer, place);
  return litSize(printer, place) * (1 - shrinkOf(printer, place.kind));
}

const EDGE_SIGN = { outside: 2, inside: -2, pitch: 0 } as const;

/**
 * True size of a feature in one named print, mm; 0 when it did not form. The same printer, feature and print name
 * give the same size again. Its law is not the signature's: light blurs and cures above a threshold.
 */
export function printFeature(
  printer: VirtualPrinter,
  place: PlacedFeature,
  print: string,
  /** Copies of one run share its drift. */
  run: string = print,
): number {
  const lawful = lawfulSize(printer, place);
  if (lawful <= 0) return 0;
  const habit = printer.habitSd * chanceOf(printer, 'habit', place.feature);
  const chance = printer.chanceSd * chanceOf(printer, 'chance', place.feature, print);
  if (place.kind.axis === 'Z') return lawful + habit + chance;
  const driftEdge = printer.driftEdgeSd * chanceOf(printer, 'driftEdge', run);
  const driftScale = printer.driftScaleSd * chanceOf(printer, 'driftScale', run);
  return lawful + habit + chance + EDGE_SIGN[place.kind.sense] * driftEdge + place.drawnMm * driftScale;
}
