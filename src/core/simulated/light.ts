import { seededRandom, seedFrom } from '@/core/kit/numerics';
import { lonelyEdgeGrowth } from './optics';
import type { VirtualPrinter } from './printer';

/** How deep light goes in a simulated printer's resin, mm: hidden, drawn once from its seed, 0.10 … 0.20. */
export function depthOfLight({ seed }: Pick<VirtualPrinter, 'seed'>): number {
  return 0.1 + 0.1 * seededRandom(seedFrom(seed, 'depth of light')).uniform();
}

/** The printer with another exposure, so many times the one that it was drawn with: dose and cure-through follow. */
export function exposedBy(printer: VirtualPrinter, ratio: number): VirtualPrinter {
  const deeper = depthOfLight(printer) * Math.log(ratio);
  return {
    ...printer,
    dose: printer.dose * ratio,
    cureThroughMm: Math.max(0, printer.cureThroughMm + deeper),
  };
}

/** A layer holds when it is cured a little deeper than it is thick. */
const HOLDS_FROM = 1.1;

export function holds(printer: VirtualPrinter): boolean {
  const { dose, layerMm } = printer;
  return dose > 1 && depthOfLight(printer) * Math.log(dose) >= HOLDS_FROM * layerMm;
}

/** Growth of a straight lonely edge, mm: what a bracket and a trim bring to zero. */
export function edgeGrowthOf({ blurMm, dose }: VirtualPrinter): number {
  return lonelyEdgeGrowth({ blurMm, dose });
}

/** How far the first layers flare on each face, mm, exposed so many times as long as the others; what is pressed out beside it. */
export function footOf(printer: VirtualPrinter, bottomRatio: number): number {
  if (!(bottomRatio > 1)) return 0;
  const { seed, dose } = printer;
  const pressedMm = 0.02 * seededRandom(seedFrom(seed, 'pressed out')).uniform();
  return pressedMm + edgeGrowthOf({ ...printer, dose: dose * bottomRatio }) - edgeGrowthOf(printer);
}

/** Strips of a thin film scatter by about this much where they are peeled and pinched, mm. */
const STRIP_SD_MM = 0.004;

/** Thickness of a strip cured by so many times the printer's exposure, mm; 0: nothing stayed. */
export function stripThickness(printer: VirtualPrinter, ratio: number, name: string): number {
  const depth = depthOfLight(printer) * Math.log(printer.dose * ratio);
  if (depth <= 0.01) return 0;
  return Math.max(0, depth + STRIP_SD_MM * seededRandom(seedFrom(printer.seed, `strip ${name}`)).normal());
}
