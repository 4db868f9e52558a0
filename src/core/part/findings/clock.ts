import type { PrintSetup } from './limits';

/** What turns a layer of the part into a layer, a height and a minute of the print. */
export interface Clock {
  readonly layerMm: number;
  readonly layerSeconds: number;
  /** Height of the supports below the part, mm. */
  readonly liftMm: number;
}

/** Where a layer of the part stands in the print. */
interface Moment {
  /** As the printer counts them, supports included. */
  readonly printed: number;
  /** Its middle above the plate, mm. */
  readonly heightMm: number;
  /** From the start until it begins. */
  readonly minutes: number;
}

export function liftOf(stance: PrintSetup): number {
  return stance.kind === 'supports' ? stance.liftMm : 0;
}

/** Layers that the supports take before the part begins. */
export function liftLayers({ layerMm, liftMm }: Pick<Clock, 'layerMm' | 'liftMm'>): number {
  return Math.ceil(liftMm / layerMm - 1e-9);
}

export function momentOf(layer: number, clock: Clock): Moment {
  const printed = layer + liftLayers(clock);
  return {
    printed,
    heightMm: (printed + 0.5) * clock.layerMm,
    minutes: (printed * clock.layerSeconds) / 60,
  };
}

/** The layer of the part that the printer counts so; negative among the supports. */
export function layerOfPrinted(printed: number, clock: Clock): number {
  return Math.round(printed) - liftLayers(clock);
}

/** The layer of the part that holds a height above the plate. */
export function layerAtPlateHeight(heightMm: number, clock: Clock): number {
  return Math.floor(heightMm / clock.layerMm + 1e-9) - liftLayers(clock);
}

/** The layer of the part that is being made so many minutes after the start. */
export function layerAtMinute(minutes: number, clock: Clock): number {
  return Math.floor((60 * minutes) / clock.layerSeconds + 1e-9) - liftLayers(clock);
}
