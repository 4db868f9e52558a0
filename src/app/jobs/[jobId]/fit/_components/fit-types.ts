import type { Material } from '@/core/fit/mating';
import type { Sense } from '@/core/measure';
import type { FitView, ResinStrength } from '@/subjects/fit/mating';

/** An interface as displayed: its feature with the result of its fit. */
export type FitRow = FitView['feature'] &
  Omit<FitView, 'feature'> & {
    /** Its clearance is its own, not its class's. */
    readonly ownBand: boolean;
  };

export interface DeskResin extends ResinStrength {
  readonly id: number;
  readonly name: string;
}

/** A round interface of the job, as a press fit would take it. */
export interface PressStart {
  readonly name: string;
  readonly sense: Sense;
  readonly interfaceMm: number;
  readonly material: Material;
  readonly interference: { readonly low: number; readonly high: number };
}
