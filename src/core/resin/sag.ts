import { fail, ok, type Result } from '@/core/kit';
import { barStress, deflectionForStrain, GRAVITY, type Bar } from './bar';

/** Where the pointer stood once the bar had kept a temperature for five minutes. */
export interface BathStep {
  readonly tempC: number;
  readonly readingMm: number;
}

export const BATHS = ['water', 'oven'] as const;
type Bath = (typeof BATHS)[number];

export interface SagTest {
  readonly bar: Bar;
  readonly massG: number;
  readonly bath: Bath;
  /** In the order they were held, rising; the first is the cold start. */
  readonly steps: readonly BathStep[];
  /** Half width of what the thermometer may be wrong by, K. */
  readonly thermometerK: number;
}

export type SagIssue =
  | { readonly code: 'tooFewLoads'; readonly needed: number; readonly given: number }
  | { readonly code: 'barNotPositive' }
  | { readonly code: 'notRising'; readonly tempC: number }
  | { readonly code: 'waterBoils'; readonly tempC: number; readonly mostC: number };

export interface SagResult {
  readonly stressMPa: number;
  /** Sag added to the first reading that counts as giving way, mm. */
  readonly limitMm: number;
  readonly tempC: number;
  readonly lowC: number;
  readonly highC: number;
  readonly bound?: 'atLeast' | 'atMost';
}

/** A kettle's water proves no more than this; above it an oven in air, or nothing. */
export const WATER_MOST_C = 95;
/** Outer-fibre strain added between start and giving way. Source: ISO 75-1:2020, Δε = 0.2 %. */
export const SAG_STRAIN = 0.002;

function findSagIssue({ bar, massG, bath, steps }: SagTest): SagIssue | undefined {
  if (steps.length < 3) return { code: 'tooFewLoads', needed: 3, given: steps.length };
  if (![bar.spanMm, bar.widthMm, bar.thicknessMm, massG].every((value) => value > 0))
    return { code: 'barNotPositive' };
  const back = steps.find(({ tempC }, i) => i > 0 && tempC <= steps[i - 1].tempC);
  if (back !== undefined) return { code: 'notRising', tempC: back.tempC };
  const hot = steps.find(({ tempC }) => tempC > WATER_MOST_C);
  return bath === 'water' && hot !== undefined
    ? { code: 'waterBoils', tempC: hot.tempC, mostC: WATER_MOST_C }
    : undefined;
}

/**
 * Returns the temperature at which a loaded bar yields: where its sag has grown by the deflection of 0.2 % strain. It
 * is interpolated between two steps, with half the step and the thermometer as its interval; a bar that never yielded
 * shows at least the last step, one that yielded at once at most the second. Source: ISO 75-1:2020, Δs = L²·Δε/(6·h) on
 * two supports; here in steps of a kettle instead of a ramp.
 */
export function sagTemperature(test: SagTest): Result<SagResult, SagIssue> {
  const issue = findSagIssue(test);
  if (issue !== undefined) return fail(issue);
  const { bar, steps, massG, thermometerK } = test;
  const stressMPa = barStress(bar, (massG / 1000) * GRAVITY);
  const limitMm = deflectionForStrain(bar, SAG_STRAIN);
  const sagOf = ({ readingMm }: BathStep) => readingMm - steps[0].readingMm;
  const at = steps.findIndex((step) => sagOf(step) >= limitMm);
  const known = { stressMPa, limitMm };
  const last = steps[steps.length - 1].tempC;
  if (at < 0) return ok({ ...known, tempC: last, lowC: last - thermometerK, highC: last, bound: 'atLeast' });
  const { tempC } = steps[at];
  if (at === 1) return ok({ ...known, tempC, lowC: tempC, highC: tempC + thermometerK, bound: 'atMost' });
  const before = steps[at - 1];
  const share = (limitMm - sagOf(before)) / (sagOf(steps[at]) - sagOf(before));
  const found = before.tempC + share * (tempC - before.tempC);
  const half = Math.hypot((tempC - before.tempC) / 2, thermometerK);
  return ok({ ...known, tempC: found, lowC: found - half, highC: found + half });
}
