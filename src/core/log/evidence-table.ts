import { keysOf } from '@/core/kit';
import type { Line } from './causes';

/** All facts about one thing that is asked about a failure beside its kind. */
interface EvidenceDefinition extends Line {
  /** Seen from the failures themselves, or known from the records of the workshop. */
  readonly from: 'failures' | 'records';
  readonly yes: string;
  readonly no: string;
  /** Evidence of one group has the same origin: only the most telling of it counts. */
  readonly group?: string;
}

/**
 * P(evidence | cause): our own estimates, from how each cause works, editable in Settings. Where a cause has no
 * influence on a piece of evidence, the value is the usual one among failures.
 */
export const EVIDENCE_TABLE = {
  samePlaceOnPlate: {
    from: 'failures',
    yes: 'failures cluster in one area of the plate',
    no: 'failures do not cluster on the plate',
    group: 'place on the plate',
    usual: 0.08,
    but: { film: 0.7, panel: 0.8, level: 0.45, debris: 0.45, dirtyPlate: 0.3, cold: 0.1 },
    why: 'film, screen and dirt affect one place on the plate. A tilted plate affects one side. A weak place of the part moves with the part.',
  },
  samePlaceOnPart: {
    from: 'failures',
    yes: 'it fails at the same place of the part',
    no: 'it fails at a different place of the part each time',
    group: 'place on the part',
    usual: 0.1,
    but: { supports: 0.65, island: 0.85, suction: 0.7, thin: 0.8, jump: 0.55, exposure: 0.3, cold: 0.2 },
    why: 'a fault of the part or its supports shows at the same place of the part, wherever it is on the plate.',
  },
  sameHeight: {
    from: 'failures',
    yes: 'it fails at the same height',
    no: 'it fails at a different height each time',
    group: 'height',
    usual: 0.15,
    but: { axis: 0.85, ranDry: 0.6, island: 0.7, jump: 0.75, suction: 0.6, supports: 0.4, thin: 0.5 },
    why: 'a worn screw marks one height. Area jumps and islands have their own. A vat runs dry late.',
  },
  firstLayers: {
    from: 'failures',
    yes: 'it failed in the first layers',
    no: 'the first layers held',
    usual: 0.06,
    but: { level: 0.8, dirtyPlate: 0.85, cold: 0.35, exposure: 0.45, unmixed: 0.2, film: 0.12, panel: 0.1 },
    why: 'plate level and cleanliness decide whether the print sticks at the plate.',
  },
  everywhere: {
    from: 'failures',
    yes: 'most pieces failed',
    no: 'most pieces are intact',
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
    from: 'failures',
    yes: 'failures are at the edge of the plate',
    no: 'failures are not at the edge',
    group: 'place on the plate',
    usual: 0.2,
    but: { level: 0.5, panel: 0.4, film: 0.25, debris: 0.25 },
    why: 'a tilted plate is worst at one edge; so is light that falls off.',
  },
  onSupports: {
    from: 'records',
    yes: 'it is on supports',
    no: 'it is directly on the plate',
    usual: 0.6,
    but: { supports: 0.97 },
    why: 'a part on the plate has no supports that can fail.',
  },
  checkedIsland: {
    from: 'records',
    yes: 'Check found a region that starts in mid-air',
    no: 'Check found no region that starts in mid-air',
    group: 'place on the part',
    usual: 0.08,
    but: { island: 0.95, supports: 0.3 },
    why: 'Check finds nearly every region that begins in the air.',
  },
  checkedSuction: {
    from: 'records',
    yes: 'Check found a suction cup',
    no: 'Check found no suction cup',
    group: 'height',
    usual: 0.06,
    but: { suction: 0.92 },
    why: 'Check finds cups that close against the film.',
  },
  checkedJump: {
    from: 'records',
    yes: 'Check found a jump in area',
    no: 'Check found no jump in area',
    group: 'height',
    usual: 0.1,
    but: { jump: 0.9, suction: 0.3, film: 0.15 },
    why: 'a jump in area suddenly raises the pull; a worn film fails there first.',
  },
  checkedThin: {
    from: 'records',
    yes: 'Check found a thin wall there',
    no: 'Check found no thin wall',
    group: 'place on the part',
    usual: 0.08,
    but: { thin: 0.9, exposure: 0.2 },
    why: 'Check measures walls in the plane and along Z.',
  },
  filmOld: {
    from: 'records',
    yes: 'the film has printed many layers',
    no: 'the film has printed few layers',
    usual: 0.25,
    but: { film: 0.85, debris: 0.35 },
    why: 'films wear with the number of layers; a dent can occur at any time.',
  },
  coldRoom: {
    from: 'records',
    yes: 'the room was colder than the datasheet asks for',
    no: 'the room was warm enough',
    usual: 0.12,
    but: { cold: 0.9, unmixed: 0.25 },
    why: 'cold resin flows badly and is harder to mix.',
  },
  longUnshaken: {
    from: 'records',
    yes: 'the resin was not shaken for more than a week',
    no: 'the resin was shaken',
    usual: 0.2,
    but: { unmixed: 0.85, cold: 0.25 },
    why: 'settling of the resin matters after a week or more.',
  },
  lowVat: {
    from: 'records',
    yes: 'the vat was expected to run short',
    no: 'the vat held enough resin',
    usual: 0.06,
    but: { ranDry: 0.95 },
    why: 'the forecast showed a shortage, or nobody topped up.',
  },
  exposureChanged: {
    from: 'records',
    yes: 'exposure, layer height or lot changed since the last good print',
    no: 'exposure, layer height and lot are the same as in the last good print',
    usual: 0.1,
    but: { exposure: 0.7 },
    why: 'a correct exposure stays correct until exposure, layer height or resin changes.',
  },
  plateWasOff: {
    from: 'records',
    yes: 'the plate was levelled or replaced since the last good print',
    no: 'the plate is unchanged since the last good print',
    usual: 0.25,
    but: { level: 0.7, dirtyPlate: 0.6 },
    why: 'a plate that was removed may sit differently, and may be wet or greasy.',
  },
  failedBefore: {
    from: 'records',
    yes: 'the print before it failed too',
    no: 'the print before it was good',
    usual: 0.2,
    but: { debris: 0.75, film: 0.35 },
    why: 'a failed print leaves pieces in the vat, and they can dent the film.',
  },
} as const satisfies Readonly<Record<string, EvidenceDefinition>>;

export type Evidence = keyof typeof EVIDENCE_TABLE;
export const EVIDENCE = keysOf(EVIDENCE_TABLE);

export const evidenceLine = (evidence: Evidence): EvidenceDefinition => EVIDENCE_TABLE[evidence];

/** Evidence that the records of the workshop give. */
type Recorded = {
  [Each in Evidence]: (typeof EVIDENCE_TABLE)[Each]['from'] extends 'records' ? Each : never;
}[Evidence];

/** What the records add to the failure itself; unknown facts are left out. */
export type Circumstances = Readonly<Partial<Record<Recorded, boolean>>>;
