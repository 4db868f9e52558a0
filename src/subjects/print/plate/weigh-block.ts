import { weighCoupon } from '@/core/print';
import type { HouseRules } from '@/subjects/workshop/settings';
import { handsCostOf, printCostOf, ratesOf } from './rates-of-house';
import type { PlateForecast } from './view-forecast';

/** What a small block first would do: chances of the part's sizes, and its own hours on the printer. */
interface BlockForeseen {
  readonly before: number;
  readonly after: number;
  readonly printHours: number;
}

/** A block before a plate, or the plate at once; cost in the workshop's currency, labour included. */
export interface BlockWeighed {
  readonly plateCost: number;
  readonly blockCost: number;
  readonly saves: number;
  readonly isAdvised: boolean;
}

/** Weighs a small block before a plate of so many pieces; its few millilitres are not counted. */
export function weighBlock(
  house: Pick<HouseRules, 'schools' | 'run'>,
  plate: { readonly forecast: PlateForecast; readonly pieces: number },
  { before, after, printHours }: BlockForeseen,
): BlockWeighed {
  const { machineHour, perPrint } = ratesOf(house);
  const plateCost = printCostOf(house, plate.forecast) + handsCostOf(house, plate.pieces);
  const blockCost = printHours * machineHour + perPrint + handsCostOf(house, 1);
  const weighed = weighCoupon({ before, after, partCost: plateCost, couponCost: blockCost });
  return { plateCost, blockCost, ...weighed };
}
