import type { FeatureKind } from '@/core/measure';
import { seededRandom, seedFrom, type SeededRandom } from '@/core/kit/numerics';

/** What a simulated printer caliper hides; mm. */
export interface VirtualCaliper {
  readonly resolutionMm: number;
  readonly noiseSd: number;
  /** Its error, one for each kind of jaw. */
  readonly biasOutsideMm: number;
  readonly biasInsideMm: number;
  /** Flats on the inside jaws: they bridge round holes and read them small. */
  readonly jawFlatMm: number;
}

/** A caliper of the population: MPE 0.02, bias sd a third of it per jaw, noise 0.006; the second family shares one bias. */
export function drawCaliper(seed: number, family: 'first' | 'second' = 'first'): VirtualCaliper {
  const random = seededRandom(seedFrom(seed, 'caliper'));
  const outside = (0.02 / 3) * random.normal();
  const inside = (0.02 / 3) * random.normal();
  const shared = 0.012 * Math.sign(outside);
  return {
    resolutionMm: 0.01,
    noiseSd: 0.006,
    biasOutsideMm: family === 'second' ? shared : outside,
    biasInsideMm: family === 'second' ? shared : inside,
    jawFlatMm: 0.3,
  };
}

/** What the display shows for a true size; undefined when the jaws do not go in. */
export function readCaliper(
  caliper: VirtualCaliper,
  sizeMm: number,
  kind: FeatureKind,
  random: SeededRandom,
): number | undefined {
  const bridged = kind.sense === 'inside' && kind.shape === 'round';
  const flat = bridged ? caliper.jawFlatMm : 0;
  if (sizeMm <= flat) return undefined;
  const seen = Math.sqrt(sizeMm * sizeMm - flat * flat);
  const bias = { outside: caliper.biasOutsideMm, inside: caliper.biasInsideMm, pitch: 0 }[kind.sense];
  const shown = seen + bias + caliper.noiseSd * random.normal();
  return Number((Math.round(shown / caliper.resolutionMm) * caliper.resolutionMm).toFixed(4));
}
