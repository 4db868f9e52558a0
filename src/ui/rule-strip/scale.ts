/** What a rule strip shows, all as deviations from the target in mm. */
export interface StripValues {
  readonly lowerDeviationMm: number;
  readonly upperDeviationMm: number;
  readonly resolutionMm: number;
  readonly predictedMm?: number;
  /** Half-width of the 95 % interval of the prediction. */
  readonly predictedHalfMm?: number;
  readonly measuredMm?: number;
  readonly expandedU_mm?: number;
}

interface StripTick {
  readonly x: number;
  readonly tall: boolean;
}

interface StripScale {
  readonly fromMm: number;
  readonly toMm: number;
  /** Pixel of a deviation, held inside the strip. */
  readonly xOf: (mm: number) => number;
  readonly isBeyond: (mm: number) => boolean;
  readonly ticks: readonly StripTick[];
  readonly tickMm: number;
}

const MARGIN_PX = 10;
const LEAST_APART_PX = 6;

/** Numbers people count in: 1, 2, 5 times a power of ten. */
function roundUp(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value));
  const steps = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
  return (steps.find((step) => step * power >= value * (1 - 1e-9)) ?? 10) * power;
}

/** Ticks at the instrument's resolution, thinned by 2, 5, 10 … until they stand at least 6 px apart. */
function tickStep(resolutionMm: number, pxPerMm: number): number {
  for (let power = 1; ; power *= 10) {
    for (const step of [1, 2, 5]) {
      if (resolutionMm * power * step * pxPerMm >= LEAST_APART_PX) return resolutionMm * power * step;
    }
  }
}

/** The range a strip covers and where everything stands, for a strip of `widthPx`. */
export function stripScale(values: StripValues, widthPx: number): StripScale {
  const {
    lowerDeviationMm,
    upperDeviationMm,
    measuredMm,
    expandedU_mm = 0,
    predictedMm,
    resolutionMm,
  } = values;
  const middle = (lowerDeviationMm + upperDeviationMm) / 2;
  const half = (upperDeviationMm - lowerDeviationMm) / 2;
  const reach = [measuredMm, predictedMm]
    .filter((value) => value !== undefined)
    .map((value) => Math.abs(value - middle) + expandedU_mm);
  const span = roundUp(Math.min(Math.max(1.7 * half, ...reach.map((value) => 1.1 * value)), 5 * half));
  const fromMm = middle - span;
  const toMm = middle + span;
  const pxPerMm = (widthPx - 2 * MARGIN_PX) / (toMm - fromMm);
  const xOf = (mm: number) => MARGIN_PX + (Math.min(Math.max(mm, fromMm), toMm) - fromMm) * pxPerMm;
  const tickMm = tickStep(resolutionMm, pxPerMm);
  const ticks: StripTick[] = [];
  for (let k = Math.ceil(fromMm / tickMm - 1e-6); k * tickMm <= toMm + 1e-9; k++) {
    ticks.push({ x: xOf(k * tickMm), tall: k % 5 === 0 });
  }
  return { fromMm, toMm, xOf, isBeyond: (mm) => mm < fromMm || mm > toMm, ticks, tickMm };
}
