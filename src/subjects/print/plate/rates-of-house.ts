import type { WayRates } from '@/core/print';
import type { HouseRules } from '@/subjects/workshop/settings';
import type { PlateForecast } from './view-forecast';

/**
 * Pairs of gloves that a print takes: one for vat and plate, one for wash, one for supports; dry hands need none for the
 * supports of a washed part. Heavy ones last, and are rinsed each time.
 */
const PAIRS = { thin: 3, wetOnly: 2, heavy: 0 } as const;
const RINSING_MIN = { thin: 0, wetOnly: 0, heavy: 3 } as const;
/** Wiping the film, and waiting with it until it is dry. */
const FILM_MIN = { none: 0, repellent: 5 } as const;
/** Work on a print and on each of its pieces, min: plate, wash, lamp and bath tended, supports and caliper. */
const USUAL = { printMin: 35, pieceMin: 8 } as const;

type House = Pick<HouseRules, 'schools' | 'run'>;

/** Returns the cost rates of a print: those in the settings, with gloves and air by shop practice. */
export function ratesOf({ schools, run }: House): WayRates {
  const { machineHour, workHour, resinLitre, perPrint, perLayer, glovePair, coalHour } = run;
  return {
    machineHour: machineHour + (schools.air === 'filter' ? coalHour : 0),
    workHour,
    resinLitre,
    perPrint: perPrint + PAIRS[schools.gloves] * glovePair,
    perLayer,
  };
}

/** Returns the minutes of labour of a print and of each of its pieces. */
export function attendedOf({ schools }: Pick<House, 'schools'>): {
  readonly printMin: number;
  readonly pieceMin: number;
} {
  const { printMin, pieceMin } = USUAL;
  return {
    printMin: printMin + RINSING_MIN[schools.gloves] + FILM_MIN[schools.filmTreatment],
    pieceMin,
  };
}

/** What a print takes of machine, resin, film and throwaway things, in the shop's own money; hands are not counted. */
export function printCostOf(
  house: House,
  { finish, resinMl, layers }: Pick<PlateForecast, 'finish' | 'resinMl' | 'layers'>,
): number {
  const { machineHour, resinLitre, perPrint, perLayer } = ratesOf(house);
  return (finish.middleS / 3600) * machineHour + (resinMl / 1000) * resinLitre + perPrint + layers * perLayer;
}

/** What the hands of a print of so many pieces cost. */
export function handsCostOf(house: House, pieces: number): number {
  const { printMin, pieceMin } = attendedOf(house);
  return ((printMin + pieces * pieceMin) / 60) * house.run.workHour;
}
