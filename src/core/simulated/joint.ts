import type { GapDirection, GapStepOutcome } from '@/core/fit/mating';
import type { FeatureKind } from '@/core/measure';
import type { SeededRandom } from '@/core/kit/numerics';
import { lawfulSize } from './print';
import type { VirtualPrinter } from './printer';

/** What a resin bridges in a narrow gap: gaps that print narrower fuse, with a width of chance. Lengths mm. */
interface Bridging {
  readonly limitMm: number;
  readonly widthMm: number;
}

/**
 * One bridging of the population: limit uniform 0.04 … 0.22 mm, width uniform 0.008 … 0.03 mm. Neither is the lognormal
 * of the ladder's prior. Written down before the first benchmark ran and not tuned since.
 */
export function drawBridging(random: SeededRandom): Bridging {
  return { limitMm: 0.04 + 0.18 * random.uniform(), widthMm: 0.008 + 0.022 * random.uniform() };
}

const GAPS: Readonly<Record<GapDirection, FeatureKind>> = {
  plane: { sense: 'inside', shape: 'flat', axis: 'X' },
  height: { sense: 'inside', shape: 'flat', axis: 'Z' },
};

/** Printed gap of a drawn one on the plate's middle, pixels averaged out, mm. */
export function printedGapOf(printer: VirtualPrinter, direction: GapDirection, drawnMm: number): number {
  const fine = { ...printer, pixelMm: 1e-6 };
  return lawfulSize(fine, { feature: 'gap', kind: GAPS[direction], drawnMm, xMm: 0, yMm: 0 });
}

/** Chance that a joint with this printed gap comes free. */
export function chanceToFree({ limitMm, widthMm }: Bridging, printedMm: number): number {
  return 1 / (1 + Math.exp(-(printedMm - limitMm) / widthMm));
}

/** From how much wider than its limit a gap shakes. */
const SLOPPY_OVER_MM = 0.16;

/** Returns what a hand finds at one step of a printed gap test. */
export function touchGapStep(bridging: Bridging, printedMm: number, random: SeededRandom): GapStepOutcome {
  const free = random.uniform() < chanceToFree(bridging, printedMm);
  if (!free) return printedMm > bridging.limitMm - 2 * bridging.widthMm ? 'stiff' : 'fused';
  return printedMm > bridging.limitMm + SLOPPY_OVER_MM ? 'sloppy' : 'free';
}
