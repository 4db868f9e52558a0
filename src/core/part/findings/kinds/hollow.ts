import type { FindingDefinition } from '../finding';
import { area, place, volume } from './texts';

/** A cup this many times the smallest that counts is likely to tear a layer, not only possibly. Our own estimate. */
const CUP_LIKELY_TIMES = 20;
/** More resin than this stays in a trap after dripping and cures on the surface, mm³. Our own estimate. */
const TRAP_LIKELY_MM3 = 200;

const HOLLOW = {
  isWorseWhenSmall: false,
  holdsLiquid: true,
  caution:
    'When you remove a hollow part, liquid resin runs out: wear nitrile gloves and safety glasses, and use a tray. Dispose of waste resin and rinsings under local rules, never down the drain.',
} as const;

export const CUP: FindingDefinition = {
  ...HOLLOW,
  unit: 'mm²',
  speaksFor: 'checkedSuction',
  find: ({ reading: { cups }, limits: { cupMm2 } }) =>
    cups
      .filter(({ areaMm2 }) => areaMm2 >= cupMm2)
      .map(({ areaMm2, volumeMm3, fromLayer, toLayer, middleMm, ventMm }) => ({
        risk: 'printLost',
        chance: areaMm2 > CUP_LIKELY_TIMES * cupMm2 ? 'likely' : 'possible',
        measured: areaMm2,
        limit: cupMm2,
        volumeMm3,
        layer: fromLayer,
        toLayer,
        atMm: middleMm,
        ventMm,
      })),
  words: ({ measured, volumeMm3, ventMm }) => ({
    title: `Suction cup of ${area(measured)}`,
    does: `It traps ${volume(volumeMm3)} while it prints. Every lift pulls a vacuum that can tear a layer or the film.`,
    mend: `Drill or draw a vent of 2 mm or more${place(ventMm)}. Or raise the part on supports where it opens toward the plate, or tilt it.`,
    changes: 'Resin can flow through the hole. Plug it afterwards if the part must be tight.',
  }),
};

export const TRAP: FindingDefinition = {
  ...HOLLOW,
  unit: 'mm³',
  find: ({ reading: { traps } }) =>
    traps.map(({ volumeMm3, fromLayer, toLayer, middleMm }) => ({
      risk: 'surfaceMarred',
      chance: volumeMm3 > TRAP_LIKELY_MM3 ? 'likely' : 'possible',
      measured: volumeMm3,
      volumeMm3,
      layer: fromLayer,
      toLayer,
      atMm: middleMm,
    })),
  words: ({ volumeMm3 }) => ({
    title: `Traps ${volume(volumeMm3)} of resin while it hangs from the plate`,
    does: 'The resin drips when you remove the part. If it is not washed out, it cures on the surface.',
    mend: 'Tilt the part so that the resin runs out, or add a drain hole at its far end. Let it drip before you wash it.',
    changes:
      'Wear gloves and keep a tray under it: liquid resin runs out. You use less resin, and the inside washes clean.',
  }),
};

export const VOID: FindingDefinition = {
  ...HOLLOW,
  unit: 'mm³',
  find: ({ reading: { voids } }) =>
    voids.map(({ volumeMm3, fromLayer, toLayer, middleMm }) => ({
      risk: 'printLost',
      chance: 'likely',
      measured: volumeMm3,
      volumeMm3,
      layer: fromLayer,
      toLayer,
      atMm: middleMm,
    })),
  words: ({ volumeMm3 }) => ({
    title: `Sealed void with ${volume(volumeMm3)} of resin`,
    does: 'Liquid resin stays inside permanently. It can crack the wall months later and leak onto hands.',
    mend: 'Fill the void in your CAD program, or add two holes so that you can wash it and close it.',
    changes: 'A solid part needs that much more resin. With holes, you can wash and cure the inside.',
  }),
};
