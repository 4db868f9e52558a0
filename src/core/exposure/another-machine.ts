/** What cures: a colour panel, a monochrome one, a projector, a laser. */
export const ENGINES = ['colour', 'mono', 'projector', 'laser'] as const;
export type Engine = (typeof ENGINES)[number];

/**
 * Factor on the exposure from one kind of screen to another where the irradiance is unknown: a monochrome screen lets
 * through three to six times as much; within one kind printers differ by 50 %; projectors and lasers differ too much to
 * state a factor.
 */
const MONO_AGAINST_COLOUR = [1 / 6, 1 / 3] as const;
const WITHIN = [1 / 1.5, 1.5] as const;
const ANYTHING = [1 / 6, 6] as const;

/** An exposure on another printer: its limits, and three values to print once. */
export interface ConvertedExposure {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  /** Bottom layers by the same factors. */
  readonly bottom?: { readonly low: number; readonly middle: number; readonly high: number };
  /** Where the factor comes from. */
  readonly by: 'irradiance' | 'engines';
}

/** Readings of two meters, or of one on two days, agree to about a fifth. */
const METER_SHARE = 0.2;

function factorRange(from: Engine, to: Engine): readonly [number, number] {
  if (from === to) return from === 'projector' || from === 'laser' ? ANYTHING : WITHIN;
  if (from === 'colour' && to === 'mono') return MONO_AGAINST_COLOUR;
  if (from === 'mono' && to === 'colour') return [1 / MONO_AGAINST_COLOUR[1], 1 / MONO_AGAINST_COLOUR[0]];
  return ANYTHING;
}

/**
 * An exposure that is known on one machine, for another: a bracket, never a value. By the ratio of irradiances where both are
 * known (times go as 1/irradiance, ± a fifth of meters), else by the kinds of engine.
 */
export function convertExposure(
  { exposureS, bottomExposureS }: { readonly exposureS: number; readonly bottomExposureS?: number },
  from: { readonly engine: Engine; readonly irradiance?: number },
  to: { readonly engine: Engine; readonly irradiance?: number },
): ConvertedExposure {
  const isMeasured = from.irradiance !== undefined && to.irradiance !== undefined;
  const ratio = isMeasured ? from.irradiance / to.irradiance : 1;
  const [least, most] = isMeasured
    ? [ratio / (1 + METER_SHARE), ratio * (1 + METER_SHARE)]
    : factorRange(from.engine, to.engine);
  const ends = (seconds: number) => ({
    low: seconds * least,
    middle: seconds * Math.sqrt(least * most),
    high: seconds * most,
  });
  return {
    ...ends(exposureS),
    bottom: bottomExposureS === undefined ? undefined : ends(bottomExposureS),
    by: isMeasured ? 'irradiance' : 'engines',
  };
}
