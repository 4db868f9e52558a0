import { expectOk } from '@/core/kit';
import { isoFit } from './iso286';

/** Bought parts whose sizes a standard fixes; lengths mm. */
export interface Nut {
  readonly thread: string;
  readonly threadMm: number;
  readonly pitchMm: number;
  /** Across the flats, s; across the corners at least, e; thickness at most, m. */
  readonly flatsMm: number;
  readonly cornersMm: number;
  readonly thicknessMm: number;
  /** Clearance hole of the bolt, fine and medium series. */
  readonly fineHoleMm: number;
  readonly mediumHoleMm: number;
}

const nut = (row: readonly [number, number, number, number, number, number, number]): Nut => ({
  thread: `M${row[0]}`,
  threadMm: row[0],
  pitchMm: row[1],
  flatsMm: row[2],
  cornersMm: row[3],
  thicknessMm: row[4],
  fineHoleMm: row[5],
  mediumHoleMm: row[6],
});

/** Source: nuts ISO 4032:2012 style 1; coarse pitch ISO 261:1998; clearance holes ISO 273:1979. */
export const NUTS: readonly Nut[] = Object.freeze(
  (
    [
      [2, 0.4, 4, 4.32, 1.6, 2.2, 2.4],
      [2.5, 0.45, 5, 5.45, 2, 2.7, 2.9],
      [3, 0.5, 5.5, 6.01, 2.4, 3.2, 3.4],
      [4, 0.7, 7, 7.66, 3.2, 4.3, 4.5],
      [5, 0.8, 8, 8.79, 4.7, 5.3, 5.5],
      [6, 1, 10, 11.05, 5.2, 6.4, 6.6],
      [8, 1.25, 13, 14.38, 6.8, 8.4, 9],
    ] as const
  ).map(nut),
);

/** Flats of a nut may be this much under s, mm (product grade A, h13/h14 rounded). */
export const NUT_FLATS_UNDER_MM = 0.2;

interface Bearing {
  readonly series: string;
  readonly boreMm: number;
  readonly outerMm: number;
  readonly widthMm: number;
}

const bearing = ([series, boreMm, outerMm, widthMm]: readonly [string, number, number, number]): Bearing => ({
  series,
  boreMm,
  outerMm,
  widthMm,
});

/** Small radial ball bearings by dimension series. Source: ISO 15:2017; normal class to ISO 492: bore and outside 0/−0.008. */
export const BEARINGS: readonly Bearing[] = Object.freeze(
  (
    [
      ['02, bore 3', 3, 10, 4],
      ['02, bore 4', 4, 13, 5],
      ['02, bore 5', 5, 16, 5],
      ['02, bore 6', 6, 19, 6],
      ['00, bore 7', 7, 19, 6],
      ['00, bore 8', 8, 22, 7],
      ['00, bore 9', 9, 24, 7],
      ['00, bore 10', 10, 26, 8],
      ['00, bore 12', 12, 28, 8],
      ['00, bore 15', 15, 32, 9],
    ] as const
  ).map(bearing),
);
export const BEARING_UNDER_MM = 0.008;

/** Parallel dowel pins, diameter mm, tolerance m6. Source: ISO 2338:1997, ISO 286-1. */
export const DOWEL_PINS_MM: readonly number[] = Object.freeze([1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10]);

/** A bought part with a range allowed by its standard, as a mate: the middle, and u of a rectangular spread. */
export function mateWithin(
  lowMm: number,
  highMm: number,
): { readonly sizeMm: number; readonly u_mm: number } {
  return { sizeMm: (lowMm + highMm) / 2, u_mm: (highMm - lowMm) / Math.sqrt(12) };
}

/** A dowel pin as its standard lets it be: diameter m6. */
export function dowelPinMate(diameterMm: number): ReturnType<typeof mateWithin> {
  const { shaft } = expectOk(isoFit(diameterMm, 'H7/m6'));
  return mateWithin(diameterMm + shaft.lower_um / 1000, diameterMm + shaft.upper_um / 1000);
}
