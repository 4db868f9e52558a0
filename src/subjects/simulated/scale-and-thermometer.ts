import { seededRandom, seedFrom } from '@/core/kit/numerics';

/** What a simulated scale shows of a plate, g. */
export interface ScaleShown {
  readonly partsG: number;
  readonly supportsG: number;
}

/** Cured resin, g/ml: usual. */
const DENSITY = 1.18;
const STEP_G = 0.1;

const toStep = (value: number, step: number) => Math.round(value / step) * step;
const tidy = (value: number) => Number(value.toFixed(2));

/**
 * Returns what a simulated scale types: the parts by their volume, supports by a share that belongs to this workshop
 * and scatters from print to print; in its steps of 0.1 g. The same print gives the same weights again.
 */
export function weighSimulated(runId: number, partsMl: number, hasSupports: boolean): ScaleShown {
  const bench = Math.exp(0.4 * seededRandom(seedFrom(7, 'supports')).normal());
  const own = Math.exp(0.2 * seededRandom(seedFrom(7, `supports ${runId}`)).normal());
  const partsG = partsMl * DENSITY;
  return {
    partsG: tidy(toStep(partsG, STEP_G)),
    supportsG: hasSupports ? tidy(toStep(partsG * 0.35 * bench * own, STEP_G)) : 0,
  };
}

const HOUR_MS = 3_600_000;

/** What a simulated thermometer of the room shows, °C: coldest at five in the morning, half a degree of its own each hour. */
export function readSimulatedRoom(aboutC: number, now: Date): number {
  const day = Math.cos(((now.getHours() - 17) / 24) * 2 * Math.PI);
  const own = seededRandom(seedFrom(11, `room ${Math.floor(now.getTime() / HOUR_MS)}`)).normal();
  return tidy(toStep(aboutC + 1.5 * day + 0.25 * own, 0.1));
}
