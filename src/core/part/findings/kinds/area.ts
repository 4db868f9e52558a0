import { peaksOf } from '@/core/part/layers';
import { type FindingContext, type FindingDefinition, type FindingFacts, PLAIN } from '../finding';
import { area, place, tips } from './texts';

/** A region that starts in mid-air and is larger than this many pixels loses the print. Our own estimate. */
const ISLAND_LOST_PIXELS = 100;
/** A layer this many times the limit of the peel force is likely to stick to the film. Our own estimate. */
const PEEL_LIKELY_TIMES = 2;
/** A jump of this share of the largest area to peel leaves a line on the surface. Our own estimate. */
const JUMP_SHARE = 1 / 2;
/** An overhang this many times the limit tears off; a smaller one only sags. Our own estimate. */
const OVERHANG_LOST_TIMES = 10;

export const ISLAND: FindingDefinition = {
  ...PLAIN,
  unit: 'mm²',
  speaksFor: 'checkedIsland',
  find: ({ reading: { islands, pixelMm }, setup }) =>
    islands
      // What starts in the first layer on supports stands on the supports.
      .filter(({ layer }) => setup.kind !== 'supports' || layer > 0)
      .map(({ layer, atMm, areaMm2 }) => ({
        risk: areaMm2 > ISLAND_LOST_PIXELS * pixelMm ** 2 ? 'printLost' : 'surfaceMarred',
        chance: 'likely',
        measured: areaMm2,
        layer,
        atMm,
      })),
  words: ({ measured, atMm }, tipMm) => ({
    title: `Starts in mid-air: ${area(measured)}`,
    does: 'Nothing holds its first layer. It sticks to the film, or it floats in the vat and the next print hits it.',
    mend: `Support it${place(atMm)}${tips(tipMm)}, or turn the part.`,
    changes: 'One more support, and a support mark to sand.',
  }),
};

export const LARGE_AREA: FindingDefinition = {
  ...PLAIN,
  unit: 'mm²',
  find: ({ reading, limits: { peelMm2 } }): FindingFacts[] => {
    const { peak } = peaksOf(reading);
    if (peak.areaMm2 <= peelMm2.value) return [];
    const chance = peak.areaMm2 > PEEL_LIKELY_TIMES * peelMm2.value ? 'likely' : 'possible';
    return [{ risk: 'printLost', chance, measured: peak.areaMm2, limit: peelMm2.value, layer: peak.layer }];
  },
  words: ({ measured, limit = 0 }) => ({
    title: `One layer has ${area(measured)}; the limit is ${area(limit)}`,
    does: 'This much area peels at once, so the part may stick to the film instead of the plate.',
    mend: 'Tilt the part until no layer is that large, hollow it with vents, or lift more slowly.',
    changes: 'A tilted part needs more layers and supports. A slower lift adds hours.',
  }),
};

export const AREA_JUMP: FindingDefinition = {
  ...PLAIN,
  unit: 'mm²',
  speaksFor: 'checkedJump',
  find: ({ reading, limits: { peelMm2 } }): FindingFacts[] => {
    const { jump } = peaksOf(reading);
    const limit = JUMP_SHARE * peelMm2.value;
    return jump.deltaMm2 <= limit
      ? []
      : [{ risk: 'surfaceMarred', chance: 'possible', measured: jump.deltaMm2, limit, layer: jump.layer }];
  },
  words: ({ measured }) => ({
    title: `The area grows by ${area(measured)} in one layer`,
    does: 'The peel force jumps there. It leaves a line on the surface and pulls on thin stems below.',
    mend: 'Tilt the part so that the face starts over many layers, or chamfer its edge.',
    changes: 'A chamfer spreads the step and needs no support.',
  }),
};

/** The layer with the largest overhang; on supports the first layer is left out, because it stands on them. */
function findOverhang({ reading: { overhangMm2 }, limits: { hangMm2 }, setup }: FindingContext) {
  let worst = setup.kind === 'supports' ? 1 : 0;
  for (let layer = worst; layer < overhangMm2.length; layer++)
    if (overhangMm2[layer] > overhangMm2[worst]) worst = layer;
  if (!(overhangMm2[worst] > hangMm2.value)) return [];
  const isLost = overhangMm2[worst] > OVERHANG_LOST_TIMES * hangMm2.value;
  const facts: FindingFacts = {
    risk: isLost ? 'printLost' : 'surfaceMarred',
    chance: isLost ? 'likely' : 'possible',
    measured: overhangMm2[worst],
    limit: hangMm2.value,
    layer: worst,
  };
  return [facts];
}

export const OVERHANG: FindingDefinition = {
  ...PLAIN,
  unit: 'mm²',
  find: findOverhang,
  words: ({ measured }, tipMm) => ({
    title: `${area(measured)} of one layer overhangs without support`,
    does: 'Nothing holds the overhang while it cures. It sags, gets thicker below, or tears off.',
    mend: `Support it from below${tips(tipMm)}, tilt it past the self-supporting angle, or print it the other way up.`,
    changes: 'Supported faces grow downward. The signature learns by how much once you measure it.',
  }),
};
