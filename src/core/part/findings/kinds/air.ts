import type { ThinSpot } from '@/core/part/layers';
import type { FindingDefinition, FindingFacts } from '../finding';
import { ROUNDING_MM } from './solid';
import { sizes } from './texts';

/** Below this share of its limit, a gap is certain to close. Our own estimate. */
const SURE_BELOW = 1 / 2;

/** Narrow gaps hold wash liquid as well as resin. */
const AIR = { unit: 'mm', isWorseWhenSmall: true, holdsLiquid: true } as const;

function tooNarrow(
  spots: readonly ThinSpot[],
  limit: number,
  risk: FindingFacts['risk'],
  isBetween: boolean,
): FindingFacts[] {
  return spots
    .filter(({ sizeMm, betweenBodies }) => betweenBodies === isBetween && sizeMm < limit - ROUNDING_MM)
    .map(({ sizeMm, layer, atMm }) => ({
      risk,
      chance: sizeMm < SURE_BELOW * limit ? 'sure' : 'likely',
      measured: sizeMm,
      limit,
      layer,
      atMm,
    }));
}

/** Within one body, in the plane of a layer. */
export const GAP_CLOSES: FindingDefinition = {
  ...AIR,
  find: ({ reading, limits }) => tooNarrow(reading.thinGaps, limits.gapMm.value, 'sizeOff', false),
  words: (facts) => ({
    title: `Gap of ${sizes(facts)}`,
    does: 'Resin stays in the gap and cures, so the slot prints shallower or closed.',
    mend: 'Draw it wider. If it must be this narrow, print a gap test first.',
    changes: 'A wider gap stays open and washes out.',
  }),
};

/** Between two bodies, which need as much air as a joint. */
export const BODIES_FUSE: FindingDefinition = {
  ...AIR,
  find: ({ reading, limits: { gapMm, jointGapMm = 0 } }) =>
    tooNarrow(reading.thinGaps, Math.max(gapMm.value, jointGapMm), 'printLost', true),
  words: (facts) => ({
    // Below this both print on the same pixel: no gap is drawn.
    title: facts.measured < 0.005 ? 'Two bodies touch' : `Two bodies ${sizes(facts)} apart`,
    does: 'Stray light and edge growth close the gap, so the moving parts print as one piece.',
    mend: 'Move them apart, or set a joint gap in Fit that came free in a gap test.',
    changes: 'The joint gets more play. Fit shows the chance that it comes free.',
  }),
};

/** Below a roof of the same body, along Z. */
export const ROOF_CLOSES: FindingDefinition = {
  ...AIR,
  find: ({ reading, limits }) => tooNarrow(reading.thinRoofs, limits.roofMm.value, 'sizeOff', false),
  words: (facts) => ({
    title: `Gap of ${sizes(facts)} below a roof`,
    does: 'Light passes through the roof and cures the resin below it. The gap prints shallower or closed.',
    mend: 'Draw the gap higher, or turn the part so that the gap is vertical.',
    changes: 'In a vertical gap, edge growth closes the gap instead. The signature predicts that better.',
  }),
};

/** Between stacked bodies, along Z. */
export const STACK_FUSES: FindingDefinition = {
  ...AIR,
  find: ({ reading, limits: { roofMm, jointRoofMm = 0 } }) =>
    tooNarrow(reading.thinRoofs, Math.max(roofMm.value, jointRoofMm), 'printLost', true),
  words: (facts) => ({
    title: `One body ${sizes(facts)} above another`,
    does: 'Light passes through the upper body and cures the gap below it. The two bodies fuse.',
    mend: 'Increase the gap along Z, or print them side by side.',
    changes: 'Side by side they need more plate area but less height, so less time.',
  }),
};
