import { drawPrinter, type VirtualPrinter } from '@/core/simulated';

/**
 * A shop of printers and resins that share hidden effects. Fixed before the first run: a pair is drawn as a printer of
 * the population (core/simulated/printer.ts), and so are an effect of each printer and one of each resin; of the variance
 * of each hidden number the printer has the first share below, the resin the second, the pair the rest. Pixel, exposure
 * gradient and scatters belong to the printer. `common` scales both shares: 1 is what related profiles are assumed to
 * share before any measurement, 0.5 a shop whose profiles share half of that.
 */
const COMMON = {
  shrinkX: [0.2, 0.5, 0.0035],
  shrinkY: [0.2, 0.5, 0.0035],
  shrinkZ: [0.3, 0.4, 0.003],
  skew: [0.8, 0, 0],
  insideFilmMm: [0.3, 0.3, 0.0107],
  cureThroughMm: [0.1, 0.6, 0.075],
  squashMm: [0.6, 0.2, 0.06],
  blurMm: [0.6, 0.2, 0.05],
} as const;

/** Middle of the logarithm of the dose. */
const LOG_DOSE = Math.log(1.9) + 0.5 * Math.log(6 / 1.9);

interface Pair {
  readonly seed: number;
  readonly machine: number;
  readonly resin: number;
  readonly common: number;
}

/** What this machine does with this resin. */
export function shopPrinter({ seed, machine, resin, common }: Pair): VirtualPrinter {
  const ofMachine = drawPrinter(seed * 100 + machine);
  const ofResin = drawPrinter(seed * 100 + 50 + resin);
  const own = drawPrinter(seed * 10_000 + machine * 100 + resin);
  const mixed = (
    of: (printer: VirtualPrinter) => number,
    shares: readonly [number, number],
    middle: number,
  ) => {
    const [a, b] = [shares[0] * common, shares[1] * common];
    const apart = (printer: VirtualPrinter) => of(printer) - middle;
    return (
      middle +
      Math.sqrt(a) * apart(ofMachine) +
      Math.sqrt(b) * apart(ofResin) +
      Math.sqrt(1 - a - b) * apart(own)
    );
  };
  const numbers = Object.fromEntries(
    Object.entries(COMMON).map(([name, [a, b, middle]]) => {
      const value = mixed((printer) => printer[name as keyof typeof COMMON], [a, b], middle);
      return [name, name.endsWith('Mm') ? Math.max(0, value) : value];
    }),
  ) as Record<keyof typeof COMMON, number>;
  const dose = Math.exp(mixed(({ dose }) => Math.log(dose), [0.3, 0.4], LOG_DOSE));
  const { pixelMm, doseSlope, habitSd, chanceSd } = ofMachine;
  // X and Y of one machine stay close, as in the population.
  const shrinkY = numbers.shrinkX + (own.shrinkY - own.shrinkX);
  return {
    ...own,
    ...numbers,
    shrinkY,
    blurMm: Math.max(0.02, numbers.blurMm),
    dose,
    pixelMm,
    doseSlope,
    habitSd,
    chanceSd,
  };
}
