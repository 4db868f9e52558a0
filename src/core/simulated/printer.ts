import { seededRandom, seedFrom } from '@/core/kit/numerics';

/** Everything a simulated printer hides. Lengths mm. */
export interface VirtualPrinter {
  readonly seed: number;
  readonly pixelMm: number;
  readonly layerMm: number;
  readonly blurMm: number;
  /** Dose at the plate's middle, in units of the dose that just cures. */
  readonly dose: number;
  /** Relative change of the dose per 60 mm from the plate's centre, in X and Y. */
  readonly doseSlope: readonly [number, number];
  readonly shrinkX: number;
  readonly shrinkY: number;
  readonly shrinkZ: number;
  readonly skew: number;
  /** Resin that stays on every inside edge and cures there. */
  readonly insideFilmMm: number;
  /** Growth below a hanging face: the full depth and the thickness over which it builds up. */
  readonly cureThroughMm: number;
  readonly cureThroughOverMm: number;
  /** Height lost in the first layers: the full loss and the thickness over which it is lost. */
  readonly squashMm: number;
  readonly squashOverMm: number;
  /** Scatter of a feature's repeatable deviation and of one print; drift of a whole print on edges and on scale. */
  readonly habitSd: number;
  readonly chanceSd: number;
  readonly driftEdgeSd: number;
  readonly driftScaleSd: number;
}

/** Two families of hidden truths; the second is harsher than the signature's priors assume. */
export type Family = 'first' | 'second';

/**
 * Returns one printer of the population. Fixed before the first benchmark ran and not tuned since: blur 0.03 … 0.07 mm,
 * dose 1.9 … 6 times the threshold (log-uniform), dose slope 2.5 % sd per 60 mm, shrinkage N(0.35 %, 0.25 %) shared by
 * X and Y with 0.1 % apart, Z N(0.3 %, 0.3 %), skew sd 0.0007, film on inside edges |N(0.008, 0.010)|, cure-through
 * 0.03 … 0.12 over 0.3 mm, squash 0.02 … 0.10 over 1 mm, repeatable deviation 0.015 and chance 0.009 mm (medians, log
 * sd 0.4), drift of a print 0.006 mm and 0.0003. The second family multiplies both scatters by 1.5 and the drifts by 2.
 */
export function drawPrinter(seed: number, family: Family = 'first'): VirtualPrinter {
  const random = seededRandom(seedFrom(seed, 'printer'));
  const between = (low: number, high: number) => low + (high - low) * random.uniform();
  const shrink = 0.0035 + 0.0025 * random.normal();
  const scatter = family === 'second' ? 1.5 : 1;
  const drift = family === 'second' ? 2 : 1;
  return {
    seed,
    pixelMm: between(0.018, 0.05),
    layerMm: 0.05,
    blurMm: between(0.03, 0.07),
    dose: 1.9 * (6 / 1.9) ** random.uniform(),
    doseSlope: [0.025 * random.normal(), 0.025 * random.normal()],
    shrinkX: shrink + 0.0005 * random.normal(),
    shrinkY: shrink + 0.0005 * random.normal(),
    shrinkZ: 0.003 + 0.003 * random.normal(),
    skew: 0.0007 * random.normal(),
    insideFilmMm: Math.abs(0.008 + 0.01 * random.normal()),
    cureThroughMm: between(0.03, 0.12),
    cureThroughOverMm: 0.3,
    squashMm: between(0.02, 0.1),
    squashOverMm: 1,
    habitSd: scatter * 0.015 * Math.exp(0.4 * random.normal()),
    chanceSd: scatter * 0.009 * Math.exp(0.4 * random.normal()),
    driftEdgeSd: drift * 0.006,
    driftScaleSd: drift * 0.0003,
  };
}
