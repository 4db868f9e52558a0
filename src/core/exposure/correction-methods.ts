import { mixtureInterval } from '@/core/kit/numerics';
import { drawFit, type FitTarget } from '@/core/fit/mating';
import {
  type DrawOptions,
  type DrawnTarget,
  foreseeChange,
  foreseeReadings,
  jointChance,
  lawRow,
  type LightKnown,
  predictMated,
  printToCome,
  type Signature,
  snapToLayers,
  voidedBy,
} from '@/core/signature';
import { stepOfExposureChange } from './exposure-change';

/** What can be done about an error; never two for the same one. */
export const CORRECTION_METHODS = ['none', 'sizes', 'part', 'trim'] as const;
export type CorrectionMethod = (typeof CORRECTION_METHODS)[number];

/** A wanted size as it stands in the file: drawn last, or the target where nothing was drawn. */
export interface CorrectionMethodSize {
  readonly target: FitTarget;
  readonly asDrawnMm: number;
}

export interface CorrectionMethodAsk {
  readonly signature: Signature;
  readonly sizes: readonly CorrectionMethodSize[];
  readonly options: DrawOptions;
  /**
   * The present exposure, s, the exposure below which a layer does not hold, and the known effect of exposure;
   * undefined if unknown.
   */
  readonly light?: LightKnown & { readonly exposureS: number; readonly leastS?: number };
  /** The caliper that will read the next print; default the one of the signature. */
  readonly instrument?: string;
}

/** Value of a correction method for a job. */
export interface CorrectionMethodWorth {
  readonly lever: CorrectionMethod;
  readonly drawn: readonly DrawnTarget[];
  /** Chance that every size is in its limits at the next print. */
  readonly joint: number;
  /** Prints expected until all are right, where each that misses is measured and the sizes are then drawn. */
  readonly prints: number;
  /** Of a trim, s. */
  readonly exposureS?: number;
}

/** A chance that is lifted by less moves nobody to change more than he has to. */
const HARDLY = 0.01;
/** Readings of a printed size, as a set of three knows it, mm. */
const READ_U_MM = 0.005;
/** Steps of a trim that are looked at, in ln of the exposure. */
const EXPOSURE_CHANGE_STEPS = 12;

/**
 * Returns the size that the law alone would draw: a correction of the whole file does not know the repeatable deviation
 * of a feature.
 */
function correctedFile(
  signature: Signature,
  { target }: CorrectionMethodSize,
  { layerMm }: DrawOptions,
): number {
  const { kind, targetMm, place } = target;
  const offset = (drawnMm: number) =>
    lawRow(kind, drawnMm, place).reduce((sum, x, i) => sum + x * signature.parameters[i].mean, 0);
  let drawnMm = targetMm;
  // The law is all but straight, and moves a size by hundredths of it: each turn leaves a hundredth of the miss.
  for (let turn = 0; turn < 8; turn++) drawnMm = targetMm - offset(drawnMm);
  return snapToLayers(drawnMm, kind, layerMm);
}

function foreseen(
  signature: Signature,
  light: NonNullable<CorrectionMethodAsk['light']>,
  ratio: number,
): Signature {
  const { exposureS } = light;
  const after = { exposureS: exposureS * ratio };
  return foreseeChange(signature, voidedBy({ kinds: ['exposure'], before: { exposureS }, after, light }));
}

/** Chance of one size alone. */
function chanceOf(signature: Signature, target: FitTarget, drawMm: number, options: DrawOptions): number {
  const { targetMm, lowerDeviationMm, upperDeviationMm } = target;
  const mixture = predictMated(signature, target, drawMm, options);
  return mixtureInterval(mixture, targetMm + lowerDeviationMm, targetMm + upperDeviationMm);
}

/** The trim under which the sizes as they are drawn come out best, within one step and above what holds. */
function bestExposureChange({ signature, sizes, options, light }: CorrectionMethodAsk): {
  signature: Signature;
  exposureS: number;
} {
  const { exposureS, leastS } = light!;
  const [low, high] = [0, Infinity].map((ratio) =>
    Math.log(stepOfExposureChange(exposureS, ratio, leastS).ratio),
  );
  let best = { chance: -1, ratio: 1, signature };
  for (let i = 0; i <= EXPOSURE_CHANGE_STEPS; i++) {
    const ratio = Math.exp(low + ((high - low) * i) / EXPOSURE_CHANGE_STEPS);
    const after = foreseen(signature, light!, ratio);
    const chance = sizes.reduce(
      (all, { target, asDrawnMm }) => all * chanceOf(after, target, asDrawnMm, options),
      1,
    );
    if (chance > best.chance) best = { chance, ratio, signature: after };
  }
  return { signature: best.signature, exposureS: exposureS * best.ratio };
}

/** Every size drawn again for its target. */
function drawAnew(signature: Signature, { sizes, options }: CorrectionMethodAsk): DrawnTarget[] {
  return sizes.map(({ target }) => ({ target, drawMm: drawFit(signature, target, options).drawMm }));
}

/** Chance of the print after the next one, with its sizes drawn from the readings of the next one. */
function chanceAfterReading(
  signature: Signature,
  drawn: readonly DrawnTarget[],
  { options, instrument }: CorrectionMethodAsk,
): number {
  const candidates = drawn.map(({ target: { feature, kind, place, state }, drawMm }) => ({
    feature,
    kind,
    place,
    state,
    drawnMm: drawMm,
    print: printToCome(1),
    u_mm: READ_U_MM,
    instrument,
  }));
  return foreseeReadings(signature, drawn, candidates, { ...options, count: candidates.length }).after;
}

/** What the next print is made with, and the chance of the one after it. */
interface Printed {
  readonly signature: Signature;
  readonly later: number;
  readonly exposureS?: number;
}

function worthOf(
  lever: CorrectionMethod,
  drawn: readonly DrawnTarget[],
  { options }: CorrectionMethodAsk,
  { signature, later, exposureS }: Printed,
): CorrectionMethodWorth {
  const joint = jointChance(signature, drawn, options);
  return { lever, drawn, joint, prints: 1 + (1 - joint) / Math.max(later, 1e-3), exposureS };
}

/**
 * Returns the correction methods of a job side by side, in the order of `LEVERS`: no change, draw its sizes again,
 * correct the whole file by the law, or change the exposure and keep the drawn sizes. An exposure change is left out if
 * the exposure is unknown.
 */
export function compareCorrectionMethods(ask: CorrectionMethodAsk): CorrectionMethodWorth[] {
  const { signature, sizes, options, light } = ask;
  const asDrawn = sizes.map(({ target, asDrawnMm }) => ({ target, drawMm: asDrawnMm }));
  const anew = drawAnew(signature, ask);
  const file = sizes.map((size) => ({
    target: size.target,
    drawMm: correctedFile(signature, size, options),
  }));
  const now = { signature, later: chanceAfterReading(signature, anew, ask) };
  const levers = [
    worthOf('none', asDrawn, ask, now),
    worthOf('sizes', anew, ask, now),
    worthOf('part', file, ask, now),
  ];
  if (light === undefined) return levers;
  const trim = bestExposureChange(ask);
  const later = chanceAfterReading(trim.signature, drawAnew(trim.signature, ask), ask);
  return [...levers, worthOf('trim', asDrawn, ask, { ...trim, later })];
}

/**
 * Returns the recommended correction method: the one with the best chance, or one that changes less and is almost as
 * good.
 */
export function chooseCorrectionMethod(levers: readonly CorrectionMethodWorth[]): CorrectionMethodWorth {
  const best = levers.reduce((most, { joint }) => Math.max(most, joint), 0);
  return levers.find(({ joint }) => joint >= best - HARDLY)!;
}
