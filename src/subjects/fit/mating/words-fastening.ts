import type { Fastening, FasteningReason, FasteningSize } from '@/core/fit/mating';

const FASTENING_WORDS: Readonly<Record<Fastening, string>> = {
  nutPocket: 'Nut in a pocket',
  throughBolt: 'Through bolt',
  gluedInsert: 'Threaded insert, glued in',
  tappedThread: 'Thread cut in the resin',
  hotInsert: 'Threaded insert, heat-set',
};

export function describeFastening(way: Fastening): string {
  return FASTENING_WORDS[way];
}

const REASON_WORDS: Readonly<Record<FasteningReason, string>> = {
  doesNotMelt: 'Cured resin does not melt. A hot insert cracks it or makes it crumble.',
  loadsAsCompression: 'The screw compresses the resin, and resin is strongest in compression.',
  needsBothSides: 'You must be able to reach both sides.',
  cannotReach: 'You cannot reach the other side.',
  wearsOut:
    'A cut thread wears. Use a coarse pitch only, engage more than twice the diameter, and undo it only a few times.',
  tooBrittleToTap: 'This resin is too brittle: the thread would crumble.',
  finePitchStrips: 'Such a fine pitch strips.',
  glueHoldsFor: 'Roughen and degrease it, then glue it with epoxy. It holds as well as the glue.',
  captiveForGood: 'The nut stays in place, and the thread is steel.',
  measureYours: 'Insert sizes differ. Measure yours; the size here is only a starting value.',
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
  bossOuter: 'outside diameter of the boss',
  engagement: 'minimum thread length',
};

export function describeFasteningSize(what: FasteningSize['what']): string {
  return FASTENING_SIZE_WORDS[what];
}
