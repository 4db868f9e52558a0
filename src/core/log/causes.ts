import { keysOf, mapRecord, recordOf } from '@/core/kit';
import { FAILURE_KINDS, type FailureKind } from './failure-kinds';
import type { ByCause } from './posterior';

/** All facts about one cause of failures. */
interface CauseDefinition {
  readonly words: string;
  /** What to do about it, in one line. */
  readonly repair: string;
  /** In how many of a hundred failures it is the cause, before a workshop has a log of its own. Our own estimate. */
  readonly prior: number;
  /** P(kind | cause), given in parts that are made to sum to one. Our own estimates. */
  readonly shows: Readonly<Partial<Record<FailureKind, number>>>;
}

/** What makes prints fail. */
const CAUSE_DEFINITIONS = {
  film: {
    words: 'the film is old or dented',
    repair: 'Change the film and record the change.',
    prior: 11,
    shows: { missingRegion: 5, sheared: 3, markOnFace: 3, stuckInVat: 4, missingLayers: 1, notStuck: 1 },
  },
  panel: {
    words: 'the light is uneven, or pixels are dead',
    repair: 'Show the image on white paper. Leave that area of the plate empty until the screen is replaced.',
    prior: 4,
    shows: { missingRegion: 6, holeClosed: 1, markOnFace: 3, sheared: 1, fused: 1, notStuck: 1 },
  },
  level: {
    words: 'the plate is not level',
    repair: 'Level the plate and record it in Maintenance.',
    prior: 9,
    shows: { notStuck: 8, sheared: 2, stuckInVat: 3 },
  },
  dirtyPlate: {
    words: 'the plate was greasy or wet with solvent',
    repair: 'Wipe the plate with fresh solvent and let it dry before the next print.',
    prior: 6,
    shows: { notStuck: 9, stuckInVat: 3, sheared: 2 },
  },
  cold: {
    words: 'the resin was cold',
    repair: 'Warm the room and the resin to the temperature that the datasheet asks for.',
    prior: 7,
    shows: { notStuck: 4, sheared: 4, missingLayers: 2, stuckInVat: 3 },
  },
  unmixed: {
    words: 'the resin was not mixed, or is old',
    repair: 'Stir the vat, and shake the bottle for a minute.',
    prior: 5,
    shows: { missingLayers: 2, sheared: 3, notStuck: 2, markOnFace: 2, fused: 1 },
  },
  exposure: {
    words: 'the exposure is too short or too long',
    repair: 'Print an exposure bracket (Exposure).',
    prior: 9,
    shows: { notStuck: 3, sheared: 3, fused: 4, holeClosed: 4, missingRegion: 1, stuckInVat: 1 },
  },
  supports: {
    words: 'the supports are too weak',
    repair: 'Use thicker or more supports at that place (Check).',
    prior: 19,
    shows: { sheared: 7, missingRegion: 3, stuckInVat: 3, missingLayers: 1 },
  },
  island: {
    words: 'a region starts in mid-air',
    repair: 'Support the region where it starts, or turn the part (Check).',
    prior: 7,
    shows: { missingRegion: 7, stuckInVat: 3, sheared: 1 },
  },
  suction: {
    words: 'a suction cup pulls on the film',
    repair: 'Add a vent, or turn the part (Check).',
    prior: 5,
    shows: { sheared: 5, missingRegion: 3, markOnFace: 1, stuckInVat: 2 },
  },
  jump: {
    words: 'the layer area jumps',
    repair: 'Tilt the part so that the area grows slowly.',
    prior: 4,
    shows: { sheared: 6, missingLayers: 2, markOnFace: 2, stuckInVat: 2 },
  },
  debris: {
    words: 'cured resin is in the vat',
    repair: 'Filter the resin, or clear the vat by curing one full layer.',
    prior: 5,
    shows: { missingRegion: 5, markOnFace: 4, stuckInVat: 2, notStuck: 1 },
  },
  thin: {
    words: 'the part is too thin there',
    repair: 'Draw it thicker, or turn it.',
    prior: 4,
    shows: { missingRegion: 6, sheared: 2, fused: 1, holeClosed: 2 },
  },
  axis: {
    words: 'the Z axis of the printer',
    repair: 'Clean and grease the screw, and check it for play.',
    prior: 2,
    shows: { missingLayers: 5, markOnFace: 5, stopped: 2 },
  },
  ranDry: {
    words: 'the vat ran dry',
    repair: 'Add resin in time: the plan of the next print shows when.',
    prior: 3,
    shows: { ranDry: 12, missingLayers: 2, missingRegion: 1 },
  },
} as const satisfies Readonly<Record<string, CauseDefinition>>;

export type Cause = keyof typeof CAUSE_DEFINITIONS;
export const CAUSES = keysOf(CAUSE_DEFINITIONS);

export const causeOf = (cause: Cause): CauseDefinition => CAUSE_DEFINITIONS[cause];

/** The usual chances of causes, before a workshop has its own log: in how many of a hundred failures each is it. */
export const CAUSE_PRIOR: ByCause<Cause> = Object.freeze(mapRecord(CAUSE_DEFINITIONS, ({ prior }) => prior));

/** Chances for every cause: the usual one, and those that differ from it. */
export interface Chances {
  readonly usual: number;
  readonly but: Readonly<Partial<Record<Cause, number>>>;
}

/** One line of a table, and why it is so. */
export interface Line extends Chances {
  readonly why: string;
}

/** A line as chances for every cause. */
export const chancesOf = ({ usual, but }: Chances): ByCause<Cause> =>
  recordOf(CAUSES, (cause) => but[cause] ?? usual);

/** No kind is impossible under any cause: so much of a part for those not named. */
const UNNAMED = 0.1;

/** P(kind | cause) for one kind. */
export function chanceOfKind(kind: FailureKind): ByCause<Cause> {
  return recordOf(CAUSES, (cause) => {
    const { shows } = causeOf(cause);
    const total = FAILURE_KINDS.reduce((sum, each) => sum + (shows[each] ?? UNNAMED), 0);
    return (shows[kind] ?? UNNAMED) / total;
  });
}
