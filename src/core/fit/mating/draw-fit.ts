import { mixtureCdf, type NormalMixture } from '@/core/kit/numerics';
import {
  assessMated,
  drawTarget,
  predictMated,
  snapToLayers,
  type DrawnSize,
  type DrawOptions,
  type Signature,
  type Target,
} from '@/core/signature';

/** How much worse one side is than the other, asked in words. */
export const RUINS = ['none', 'tightCosts', 'tightRuins', 'looseRuins'] as const;
export type Ruin = (typeof RUINS)[number];

/** R: how many loose prints one too tight is worth. A reprint weighs 1, a lost day 5, something irreplaceable 50. */
const TIGHT_COST: Readonly<Record<Ruin, number>> = Object.freeze({
  none: 1,
  tightCosts: 5,
  tightRuins: 50,
  looseRuins: 1 / 50,
});

export interface FitTarget extends Target {
  readonly ruin?: Ruin;
}

/** A drawn size with what becomes of its fit; tight + inTolerance + loose = 1. */
export interface DrawnFit extends DrawnSize {
  readonly tight: number;
  readonly loose: number;
}

/** The chances on either side of the limits; which of them is tight depends on the sense. */
function sidesOf(
  mixture: NormalMixture,
  target: FitTarget,
): { readonly tight: number; readonly loose: number } {
  const below = mixtureCdf(mixture, target.targetMm + target.lowerDeviationMm);
  const above = 1 - mixtureCdf(mixture, target.targetMm + target.upperDeviationMm);
  return target.kind.sense === 'inside' ? { tight: below, loose: above } : { tight: above, loose: below };
}

/** What a drawn size is worth in its mate: the chances of too tight, right and too loose. */
export function assessFit(
  signature: Signature,
  target: FitTarget,
  drawMm: number,
  options: DrawOptions = {},
): DrawnFit {
  const { drawn, met } = assessMated(signature, target, drawMm, options);
  return { ...drawn, ...sidesOf(met, target) };
}

function between(low: Float64Array, high: Float64Array, share: number): Float64Array {
  return low.map((value, i) => value + share * (high[i] - value));
}

/**
 * Printed size as a function of the drawn size over some tenths of a millimetre, interpolated between its two ends.
 * Over this distance the law is almost straight: the error is half a micrometre for a hole of 2 mm searched over 0.6
 * mm, and less for others. Only the search uses it; its result is predicted exactly afterwards. Predicting at every
 * step took ten times as long.
 */
function predictAlong(
  signature: Signature,
  target: FitTarget,
  [fromMm, toMm]: readonly [number, number],
  options: DrawOptions,
): (drawMm: number) => NormalMixture {
  const low = predictMated(signature, target, fromMm, options);
  const high = predictMated(signature, target, toMm, options);
  return (drawMm) => {
    const share = (drawMm - fromMm) / (toMm - fromMm);
    return {
      weights: low.weights,
      means: between(low.means, high.means, share),
      variances: between(low.variances, high.variances, share),
    };
  };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The x of the least value of a function with one valley between low and high, to 1e-6. */
function findLeast(low: number, high: number, valueAt: (x: number) => number): number {
  let [a, b] = [low, high];
  let c = b - GOLDEN * (b - a);
  let d = a + GOLDEN * (b - a);
  let [valueC, valueD] = [valueAt(c), valueAt(d)];
  while (b - a > 1e-6) {
    if (valueC < valueD) {
      [b, d, valueD] = [d, c, valueC];
      c = b - GOLDEN * (b - a);
      valueC = valueAt(c);
    } else {
      [a, c, valueC] = [c, d, valueD];
      d = a + GOLDEN * (b - a);
      valueD = valueAt(d);
    }
  }
  return (a + b) / 2;
}

/**
 * How far costs may pull the size from the middle, in spreads beyond the limits. Further out a narrow band would have
 * every print come loose, which costs little by the count but teaches nothing.
 */
const REACH = 2;

/**
 * The drawn size that costs least: R·P(tight) + P(loose), R = 1 being the size most likely right.
 * The cost has one valley, since both tails rise one way; heights end on whole layers, of which the better neighbour is taken.
 * Example: with `tightRuins` a bushing is drawn further from its brittle mate than the middle of the limits.
 */
export function drawFit(signature: Signature, target: FitTarget, options: DrawOptions = {}): DrawnFit {
  const tightCost = TIGHT_COST[target.ruin ?? 'none'];
  const middle = drawTarget(signature, target, { ...options, layerMm: undefined });
  const reach = (target.upperDeviationMm - target.lowerDeviationMm) / 2 + REACH * middle.sdMm;
  const ends = [middle.drawMm - reach, middle.drawMm + reach] as const;
  const predict = predictAlong(signature, target, ends, options);
  const cost = (drawMm: number) => {
    const { tight, loose } = sidesOf(predict(drawMm), target);
    return tightCost * tight + loose;
  };
  const free = tightCost === 1 && middle.inTolerance > 0.999;
  const best = free ? middle.drawMm : findLeast(ends[0], ends[1], cost);
  const snapped = [Math.floor, Math.ceil].map((round) => {
    const layer = options.layerMm;
    return layer === undefined || target.kind.axis !== 'Z'
      ? best
      : snapToLayers(round(best / layer - 1e-9) * layer, target.kind, layer);
  });
  const drawMm = cost(snapped[0]) <= cost(snapped[1]) ? snapped[0] : snapped[1];
  return assessFit(signature, target, drawMm, options);
}

/** The band is narrower than ± 2σ of what this process scatters: no drawn size makes it likely. */
export function cannotHold(target: Target, drawn: DrawnSize): boolean {
  return 4 * Math.hypot(drawn.sdMm, target.mateU_mm ?? 0) > target.upperDeviationMm - target.lowerDeviationMm;
}
