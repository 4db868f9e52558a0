import type { ThinSpot } from '@/core/part/layers';
import { type FindingDefinition, type FindingFacts, PLAIN } from '../finding';
import { sizes } from './texts';

/** A rounding error below a limit is no finding, mm. */
export const ROUNDING_MM = 1e-3;
/** A wall or floor below this many pixels or layers loses the print; thicker, only a size is off. Our own estimate. */
const LOST_BELOW = 2;

interface Solid {
  readonly limitMm: number;
  /** One pixel or one layer, mm: a thinner solid is certain to fail. */
  readonly stepMm: number;
}

function tooThin(spots: readonly ThinSpot[], { limitMm, stepMm }: Solid): FindingFacts[] {
  return spots
    .filter(({ sizeMm }) => sizeMm < limitMm - ROUNDING_MM)
    .map(({ sizeMm, layer, atMm }) => ({
      risk: sizeMm < LOST_BELOW * stepMm ? 'printLost' : 'sizeOff',
      chance: sizeMm < stepMm ? 'sure' : 'likely',
      measured: sizeMm,
      limit: limitMm,
      layer,
      atMm,
    }));
}

/** Walls in the plane of a layer, which the pixel resolves. */
export const THIN_WALL: FindingDefinition = {
  ...PLAIN,
  unit: 'mm',
  isWorseWhenSmall: true,
  speaksFor: 'checkedThin',
  find: ({ reading, limits: { wallMm, pixelMm } }) =>
    tooThin(reading.thinWalls, { limitMm: wallMm.value, stepMm: pixelMm.value }),
  words: (facts) => ({
    title: `Wall of ${sizes(facts)}`,
    does: 'A wall this thin prints one pixel too thick, one pixel too thin, or not at all.',
    mend: 'Draw the wall thicker, or scale the part up.',
    changes: 'A wall of whole pixels prints as drawn. Scale shows the size at which it prints.',
  }),
};

/** Floors along Z, in layers. */
export const THIN_FLOOR: FindingDefinition = {
  ...PLAIN,
  unit: 'mm',
  isWorseWhenSmall: true,
  find: ({ reading, limits: { floorMm, layerMm } }) =>
    tooThin(reading.thinFloors, { limitMm: floorMm.value, stepMm: layerMm }),
  words: (facts) => ({
    title: `Floor of ${sizes(facts)}`,
    does: 'A floor of only a few layers tears when it peels off the film, or prints one layer too thick.',
    mend: 'Draw it thicker, in whole layers, or turn the part so that the floor is vertical.',
    changes: 'A thicker floor needs more resin, and only the time of its own layers.',
  }),
};
