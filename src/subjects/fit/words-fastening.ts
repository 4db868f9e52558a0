import type { Fastening, FasteningReason, FasteningSize } from '@/core/fits';

const FASTENING_WORDS: Readonly<Record<Fastening, string>> = {
  nutPocket: 'Nut in a pocket',
  throughBolt: 'Bolt right through',
  gluedInsert: 'Threaded insert, glued in',
  tappedThread: 'Thread cut into the resin',
  hotInsert: 'Threaded insert, set in hot',
};

export function describeFastening(way: Fastening): string {
  return FASTENING_WORDS[way];
}

const REASON_WORDS: Readonly<Record<FasteningReason, string>> = {
  doesNotMelt: 'Cured resin does not melt. A hot insert cracks it or makes it crumble.',
  loadsAsCompression: 'The screw puts the resin in compression, which it bears best.',
  needsBothSides: 'Both sides must stay reachable.',
  cannotReach: 'The other side cannot be reached.',
  wearsOut:
    'A cut thread wears: coarse pitch only, engaged over twice the diameter, undone a few times at most.',
  tooBrittleToTap: 'This resin is too brittle: the thread would crumble.',
  finePitchStrips: 'So fine a pitch strips.',
  glueHoldsFor: 'Roughen, degrease and glue it with epoxy. It holds as well as the glue.',
  captiveForGood: 'The nut stays, and the thread is steel.',
  measureYours: 'Inserts differ: measure yours, the size here is only a start.',
};

export function describeFasteningReason(reason: FasteningReason): string {
  return REASON_WORDS[reason];
}

const FASTENING_SIZE_WORDS: Readonly<Record<FasteningSize['what'], string>> = {
  hole: 'hole for the bolt',
  acrossFlats: 'pocket across the flats',
  nutDepth: 'pocket depth',
  insertHole: 'hole for the insert',
  tapHole: 'hole to be tapped',
  bossOuter: 'boss around it, outside',
  engagement: 'length of thread, at least',
};

export function describeFasteningSize(what: FasteningSize['what']): string {
  return FASTENING_SIZE_WORDS[what];
}
