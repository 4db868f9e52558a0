import type { ByCause } from './posterior';

/** What makes prints fail. */
export const CAUSES = [
  'film',
  'panel',
  'level',
  'dirtyPlate',
  'cold',
  'unmixed',
  'exposure',
  'supports',
  'island',
  'suction',
  'jump',
  'debris',
  'thin',
  'axis',
  'ranDry',
] as const;
export type Cause = (typeof CAUSES)[number];

/** What a failure looked like; the first thing that is said of it. */
export const FAILURE_KINDS = [
  'notStuck',
  'sheared',
  'missingRegion',
  'missingLayers',
  'fused',
  'holeClosed',
  'stuckInVat',
  'markOnFace',
  'ranDry',
  'stopped',
  'postProcess',
] as const;
export type FailureKind = (typeof FAILURE_KINDS)[number];

/** Everything that is asked about a failure beside its kind. */
export const EVIDENCE = [
  'samePlaceOnPlate',
  'samePlaceOnPart',
  'sameHeight',
  'firstLayers',
  'everywhere',
  'atEdge',
  'onSupports',
  'checkedIsland',
  'checkedSuction',
  'checkedJump',
  'checkedThin',
  'filmOld',
  'coldRoom',
  'longUnshaken',
  'lowVat',
  'exposureChanged',
  'plateWasOff',
  'failedBefore',
] as const;
export type Evidence = (typeof EVIDENCE)[number];

/** Chances for every cause: the usual one, and those that differ from it. */
export interface Chances {
  readonly usual: number;
  readonly but: Readonly<Partial<Record<Cause, number>>>;
}

/** One line of the table, and why it is so. */
export interface Line extends Chances {
  readonly why: string;
}

/**
 * P(evidence | cause): our own estimates, from how each cause works, editable in Settings. Where a cause has no
 * influence on a piece of evidence, the value is the usual one among failures.
 */
export const EVIDENCE_TABLE: Readonly<Record<Evidence, Line>> = Object.freeze({
  samePlaceOnPlate: {
    usual: 0.08,
    but: { film: 0.7, panel: 0.8, level: 0.45, debris: 0.45, dirtyPlate: 0.3, cold: 0.1 },
    why: 'film, screen and dirt affect one place on the plate. A tilted plate affects one side. A weak place of the part moves with the part.',
  },
  samePlaceOnPart: {
    usual: 0.1,
    but: { supports: 0.65, island: 0.85, suction: 0.7, thin: 0.8, jump: 0.55, exposure: 0.3, cold: 0.2 },
    why: 'a fault of the part or its supports shows at the same place of the part, wherever it is on the plate.',
  },
  sameHeight: {
    usual: 0.15,
    but: { axis: 0.85, ranDry: 0.6, island: 0.7, jump: 0.75, suction: 0.6, supports: 0.4, thin: 0.5 },
    why: 'a worn screw marks one height. Area jumps and islands have their own. A vat runs dry late.',
  },
  firstLayers: {
    usual: 0.06,
    but: { level: 0.8, dirtyPlate: 0.85, cold: 0.35, exposure: 0.45, unmixed: 0.2, film: 0.12, panel: 0.1 },
    why: 'plate level and cleanliness decide whether the print sticks at the plate.',
  },
  everywhere: {
    usual: 0.12,
    but: {
      exposure: 0.7,
      cold: 0.65,
      unmixed: 0.6,
      axis: 0.7,
      ranDry: 0.85,
      level: 0.25,
      dirtyPlate: 0.3,
      film: 0.1,
    },
    why: 'resin, exposure and axis are the same for all pieces; film, screen and dirt are not.',
  },
  atEdge: {
    usual: 0.2,
    but: { level: 0.5, panel: 0.4, film: 0.25, debris: 0.25 },
    why: 'a tilted plate is worst at one edge; so is light that falls off.',
  },
  onSupports: {
    usual: 0.6,
    but: { supports: 0.97 },
    why: 'a part on the plate has no supports that can fail.',
  },
  checkedIsland: {
    usual: 0.08,
    but: { island: 0.95, supports: 0.3 },
    why: 'Check finds nearly every region that begins in the air.',
  },
  checkedSuction: {
    usual: 0.06,
    but: { suction: 0.92 },
    why: 'Check finds cups that close against the film.',
  },
  checkedJump: {
    usual: 0.1,
    but: { jump: 0.9, suction: 0.3, film: 0.15 },
    why: 'a jump in area suddenly raises the pull; a worn film fails there first.',
  },
  checkedThin: {
    usual: 0.08,
    but: { thin: 0.9, exposure: 0.2 },
    why: 'Check measures walls in the plane and along Z.',
  },
  filmOld: {
    usual: 0.25,
    but: { film: 0.85, debris: 0.35 },
    why: 'films wear with the number of layers; a dent can occur at any time.',
  },
  coldRoom: {
    usual: 0.12,
    but: { cold: 0.9, unmixed: 0.25 },
    why: 'cold resin flows badly and is harder to mix.',
  },
  longUnshaken: {
    usual: 0.2,
    but: { unmixed: 0.85, cold: 0.25 },
    why: 'settling of the resin matters after a week or more.',
  },
  lowVat: {
    usual: 0.06,
    but: { ranDry: 0.95 },
    why: 'the forecast showed a shortage, or nobody topped up.',
  },
  exposureChanged: {
    usual: 0.1,
    but: { exposure: 0.7 },
    why: 'a correct exposure stays correct until exposure, layer height or resin changes.',
  },
  plateWasOff: {
    usual: 0.25,
    but: { level: 0.7, dirtyPlate: 0.6 },
    why: 'a plate that was removed may sit differently, and may be wet or greasy.',
  },
  failedBefore: {
    usual: 0.2,
    but: { debris: 0.75, film: 0.35 },
    why: 'a failed print leaves pieces in the vat, and they can dent the film.',
  },
});

/** P(kind | cause), given in parts; each cause's own are made to sum to one. */
export const KIND_PARTS: Readonly<Record<Cause, Readonly<Partial<Record<FailureKind, number>>>>> =
  Object.freeze({
    film: { missingRegion: 5, sheared: 3, markOnFace: 3, stuckInVat: 4, missingLayers: 1, notStuck: 1 },
    panel: { missingRegion: 6, holeClosed: 1, markOnFace: 3, sheared: 1, fused: 1, notStuck: 1 },
    level: { notStuck: 8, sheared: 2, stuckInVat: 3 },
    dirtyPlate: { notStuck: 9, stuckInVat: 3, sheared: 2 },
    cold: { notStuck: 4, sheared: 4, missingLayers: 2, stuckInVat: 3 },
    unmixed: { missingLayers: 2, sheared: 3, notStuck: 2, markOnFace: 2, fused: 1 },
    exposure: { notStuck: 3, sheared: 3, fused: 4, holeClosed: 4, missingRegion: 1, stuckInVat: 1 },
    supports: { sheared: 7, missingRegion: 3, stuckInVat: 3, missingLayers: 1 },
    island: { missingRegion: 7, stuckInVat: 3, sheared: 1 },
    suction: { sheared: 5, missingRegion: 3, markOnFace: 1, stuckInVat: 2 },
    jump: { sheared: 6, missingLayers: 2, markOnFace: 2, stuckInVat: 2 },
    debris: { missingRegion: 5, markOnFace: 4, stuckInVat: 2, notStuck: 1 },
    thin: { missingRegion: 6, sheared: 2, fused: 1, holeClosed: 2 },
    axis: { missingLayers: 5, markOnFace: 5, stopped: 2 },
    ranDry: { ranDry: 12, missingLayers: 2, missingRegion: 1 },
  });

/** Before a workshop has its own log: in how many of a hundred failures each is the cause. Our own estimates. */
export const CAUSE_PRIOR: Readonly<Record<Cause, number>> = Object.freeze({
  film: 11,
  panel: 4,
  level: 9,
  dirtyPlate: 6,
  cold: 7,
  unmixed: 5,
  exposure: 9,
  supports: 19,
  island: 7,
  suction: 5,
  jump: 4,
  debris: 5,
  thin: 4,
  axis: 2,
  ranDry: 3,
});

/** Evidence that comes of the same thing: only the most telling of a group counts. */
export const EVIDENCE_GROUPS: Readonly<Partial<Record<Evidence, string>>> = Object.freeze({
  samePlaceOnPlate: 'place on the plate',
  atEdge: 'place on the plate',
  samePlaceOnPart: 'place on the part',
  checkedThin: 'place on the part',
  checkedIsland: 'place on the part',
  checkedSuction: 'height',
  sameHeight: 'height',
  checkedJump: 'height',
});

/** A line as chances for every cause. */
export function chancesOf({ usual, but }: Chances): ByCause {
  return Object.fromEntries(CAUSES.map((cause) => [cause, but[cause] ?? usual]));
}

/** No kind is past thinking under any cause: so much of a part for those not named. */
const UNNAMED = 0.1;

/** P(kind | cause) for one kind. */
export function chanceOfKind(kind: FailureKind): ByCause {
  return Object.fromEntries(
    CAUSES.map((cause) => {
      const parts = FAILURE_KINDS.map((each) => KIND_PARTS[cause][each] ?? UNNAMED);
      const total = parts.reduce((sum, part) => sum + part, 0);
      return [cause, (KIND_PARTS[cause][kind] ?? UNNAMED) / total];
    }),
  );
}
