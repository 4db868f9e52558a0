/** How the level of a vat was read: in millilitres, between two of its marks, or on a scale. */
export type VatReading =
  | { readonly by: 'volume'; readonly ml: number }
  | {
      readonly by: 'marks';
      /** Volume at the lower and the upper mark, ml. */
      readonly lowMl: number;
      readonly highMl: number;
      /** How far the resin stands from the lower to the upper mark, 0 … 1. */
      readonly share: number;
    }
  | {
      readonly by: 'weight';
      readonly fullG: number;
      /** The vat without resin, g. */
      readonly emptyG: number;
      /** Of the resin, g/ml. */
      readonly density: number;
    };

/** Usual density of an uncured resin where its datasheet states none, g/ml. */
export const USUAL_DENSITY = 1.1;

/**
 * Volume in a vat by what was read of it, ml. Example: 0.6 of the way from the 50 to the 200 mark → 140 ml.
 */
export function vatLevelMl(read: VatReading): number {
  switch (read.by) {
    case 'volume':
      return read.ml;
    case 'marks':
      return read.lowMl + read.share * (read.highMl - read.lowMl);
    case 'weight':
      return (read.fullG - read.emptyG) / read.density;
  }
}

/** What can be wrong with a vat and its level; ml. */
export type VatIssue =
  | { readonly code: 'belowNothing' }
  | { readonly code: 'overfull'; readonly levelMl: number; readonly capacityMl: number }
  | { readonly code: 'floorAboveBrim'; readonly floorMl: number; readonly capacityMl: number };

export function findVatIssue(vat: {
  readonly capacityMl: number;
  readonly floorMl: number;
  readonly levelMl: number;
}): VatIssue | undefined {
  const { capacityMl, floorMl, levelMl } = vat;
  if (!(levelMl >= 0) || !(floorMl >= 0) || !(capacityMl > 0)) return { code: 'belowNothing' };
  if (levelMl > capacityMl) return { code: 'overfull', levelMl, capacityMl };
  return floorMl >= capacityMl ? { code: 'floorAboveBrim', floorMl, capacityMl } : undefined;
}
