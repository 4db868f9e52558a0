import type { ClearanceBand, DrawnFit, Material, Ruin, Wish } from '@/core/fits';
import type { Sense, Shape } from '@/core/metrology';
import type { Mate, ResinStrength, WishOffer } from '@/subjects/fit';

/** An interface as the page shows it. */
export interface FitRow {
  readonly id: number;
  readonly name: string;
  readonly sense: Sense;
  readonly shape: Shape;
  readonly targetMm: number;
  readonly lowerMm: number;
  readonly upperMm: number;
  readonly wish: Wish | null;
  readonly ruin: Ruin;
  readonly isoFit: string | null;
  readonly ownBand: boolean;
  readonly coatMm: number;
  readonly mate?: Mate;
  readonly band?: ClearanceBand;
  readonly drawn?: DrawnFit;
  readonly clearance?: { readonly meanMm: number; readonly halfMm: number };
  readonly unheld: boolean;
  readonly offers: readonly WishOffer[];
}

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
