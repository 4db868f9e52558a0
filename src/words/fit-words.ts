import type { BodyNote } from '@/core/metrology';
import type {
  Fastening,
  FasteningReason,
  FasteningSize,
  GapDirection,
  IsoFitIssue,
  JointKind,
  LadderNote,
  Material,
  PressVerdict,
  Ruin,
  RungOutcome,
  Wish,
} from '@/core/fits';
import type { GaugeChoice, GaugeIssue } from '@/core/gauges';
import type { SheetIssue } from '@/core/sheets';
import { formatMm } from './lengths';

const WISH_WORDS: Readonly<Record<Wish, { name: string; means: string }>> = {
  grip: { name: 'grip', means: 'pressed in, stays by its own tightness' },
  push: { name: 'push', means: 'goes in by thumb, stays where it is put' },
  slide: { name: 'slide', means: 'moves by hand without shake' },
  turn: { name: 'turn', means: 'turns or runs freely' },
  loose: { name: 'loose', means: 'drops in, room to spare' },
};

export function describeWish(wish: Wish): { readonly name: string; readonly means: string } {
  return WISH_WORDS[wish];
}

const RUIN_WORDS: Readonly<Record<Ruin, string>> = {
  none: 'either way is a reprint',
  tightCosts: 'too tight costs a day',
  tightRuins: 'too tight breaks what cannot be replaced',
  looseRuins: 'too loose is what must not happen',
};

export function describeRuin(ruin: Ruin): string {
  return RUIN_WORDS[ruin];
}

const MATERIAL_WORDS: Readonly<Record<Material, string>> = {
  steel: 'steel',
  aluminium: 'aluminium',
  brass: 'brass',
  glass: 'glass or ceramic',
  hardPlastic: 'hard plastic',
  softPlastic: 'soft plastic',
  wood: 'wood',
  resin: 'printed resin',
  other: 'something else',
};

export function describeMaterial(material: Material): string {
  return MATERIAL_WORDS[material];
}

const JOINT_WORDS: Readonly<Record<JointKind, string>> = {
  hinge: 'hinge, pin in knuckles',
  ball: 'ball and socket',
  links: 'chain links',
  slider: 'captured slider',
};

export function describeJoint(kind: JointKind): string {
  return JOINT_WORDS[kind];
}

export function describeGapDirection(direction: GapDirection): string {
  return direction === 'plane' ? 'between walls, in the plane of the plate' : 'below a roof, through height';
}

const OUTCOME_WORDS: Readonly<Record<RungOutcome, string>> = {
  fused: 'fused',
  stiff: 'stiff',
  free: 'free',
  sloppy: 'sloppy',
};

export function describeRungOutcome(outcome: RungOutcome): string {
  return OUTCOME_WORDS[outcome];
}

/** What a ladder's outcomes leave open, and the way on. */
export function describeLadderNote(note: LadderNote): string {
  switch (note.code) {
    case 'noRungs':
      return 'No rung tried yet: what follows is assumed, for a printer nobody knows.';
    case 'allFused':
      return `Every rung up to ${formatMm(note.mostMm)} fused: the threshold lies above. Print a ladder that starts there.`;
    case 'allFree':
      return `Every rung from ${formatMm(note.leastMm)} came free: the threshold lies below. A ladder with narrower gaps would find it.`;
    case 'crossed':
      return `${formatMm(note.fusedMm)} did not come free though ${formatMm(note.freeMm)} did: chance is at work, so the recommended gap is wider. A second ladder would narrow it.`;
  }
}

export function describeIsoIssue(issue: IsoFitIssue): string {
  switch (issue.code) {
    case 'notAFit':
      return `“${issue.text}” is no fit. Write hole and shaft with a stroke between, such as H7/g6.`;
    case 'holeLetter':
      return `hole letter ${issue.letter}: only holes with H are held here. Write the fit on the hole basis, such as H7/g6.`;
    case 'shaftLetter':
      return `shaft letter ${issue.letter}: d, e, f, g, h, k, m, n and p are held here. Choose one of them.`;
    case 'grade':
      return `grade ${issue.grade}: grades ${issue.low} to ${issue.high} are held here. Choose one of them.`;
    case 'sizeBeyond':
      return `size ${issue.sizeMm}: sizes above 0 and up to ${issue.mostMm} mm are held here.`;
  }
}

export function describeGaugeIssue(issue: GaugeIssue): string {
  switch (issue.code) {
    case 'noSizes':
      return 'a block without a size tells nothing. Choose at least one.';
    case 'rungCount':
      return `${issue.count} rungs: a ladder takes ${issue.least} to ${issue.most}. Choose another step or count.`;
    case 'rungOrder':
      return 'each rung must be larger than the one before. Check start and step.';
    case 'rungSize':
      return `a rung of ${formatMm(issue.mm)} mm: this ladder takes ${issue.leastMm} to ${issue.mostMm} mm. Change start, step or count.`;
    case 'barSize':
      return `a bar ${formatMm(issue.mm)} mm thick: ${issue.leastMm} to ${issue.mostMm} mm bend well and fit a plate.`;
    case 'pinSize':
      return `a pin, ball, bar or rail of ${formatMm(issue.mm)} mm: this ladder takes ${issue.leastMm} to ${issue.mostMm} mm.`;
  }
}

/** One sentence for what keeps a measuring sheet from coming out, or should be thought of. */
export function describeSheetIssue(issue: SheetIssue): string {
  switch (issue.code) {
    case 'notRead':
      return `${issue.label}: not read yet.`;
    case 'crossed':
      return `The ${issue.outer} (${formatMm(issue.outerMm)}) is not larger than the ${issue.inner} (${formatMm(issue.innerMm)}): read both again, or check which is which.`;
    case 'wallGone':
      return `After the clearances the wall is ${formatMm(issue.wallMm)} mm: nothing is left. Wish for less clearance, or fill the gap with a bought part.`;
    case 'wallThin':
      return `A wall of ${formatMm(issue.wallMm)} mm: under ${formatMm(issue.leastMm, 1)} mm it breaks in the hand. Choose a tough resin, or a tighter wish.`;
    case 'taperEatsWall':
      return `The lead-in would eat the wall of ${formatMm(issue.wallMm)} mm. Leave it out, or make the wall thicker.`;
    case 'nothingLeft':
      return `${issue.name} comes to ${formatMm(issue.mm)} mm. Check the readings and what is taken off.`;
  }
}

export function describeBodyNote(note: BodyNote): string {
  switch (note.code) {
    case 'disagree':
      return `readings from ${formatMm(note.lowMm)} to ${formatMm(note.highMm)} disagree by more than ten times the caliper's limit of error: take one back, or leave them if the places do differ so`;
    case 'outOfRound':
      return `out of round by ${formatMm(note.byMm)}: the limiting reading decides`;
    case 'tapers':
      return `tapers by ${formatMm(note.byMm)} along its depth: the limiting reading decides`;
    case 'readOnce':
      return 'read once: turn it and read again';
  }
}

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
  doesNotMelt: 'A cured resin is crosslinked: it does not melt round a hot insert, it cracks or crumbles.',
  loadsAsCompression: 'The screw presses the resin together, which it bears best.',
  needsBothSides: 'Both sides must stay reachable.',
  cannotReach: 'The other side cannot be reached.',
  wearsOut:
    'A cut thread wears: coarse pitch only, engaged over twice the diameter, undone a few times at most.',
  tooBrittleToTap: 'This resin is too brittle: the thread would crumble.',
  finePitchStrips: 'So fine a pitch strips.',
  glueHoldsFor: 'Roughen, degrease and glue with epoxy; it holds until the glue line gives.',
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

const HOLDS_WORDS: Readonly<Record<PressVerdict['holds'], string>> = {
  yes: 'holds',
  marginal: 'holds, with little to spare',
  no: 'would crack or creep',
  unsure: 'may hold or fall out: at the least interference there is none',
  'falls out': 'falls out: no interference is sure',
};

export function describePress(holds: PressVerdict['holds']): string {
  return HOLDS_WORDS[holds];
}

/** Where on a body a reading is taken: how far along it, and turned by how much. */
export function describePlace(
  place: { readonly level: number; readonly turn: number },
  of: { readonly levels: number; readonly turns: number },
): string {
  const { level, turn } = place;
  const along =
    of.levels < 2
      ? ''
      : level === 0
        ? 'near its mouth'
        : level === of.levels - 1
          ? 'at its far end'
          : 'half way in';
  const around =
    of.turns < 2 ? '' : turn === 0 ? 'in any direction' : `turned by ${Math.round((180 / of.turns) * turn)}°`;
  return [along, around].filter((part) => part !== '').join(', ');
}

interface GaugeWords {
  readonly title: string;
  readonly answers: string;
}

const GAUGE_WORDS: Readonly<Record<GaugeChoice, GaugeWords>> = {
  block: {
    title: 'Signature block, 24 sizes',
    answers:
      'what this printer does with this resin: outsides, holes, slots, heights, skew. Ten minutes with a caliper',
  },
  shortBlock: {
    title: 'Signature block, six sizes',
    answers: 'the most important half of it in three minutes',
  },
  chosenBlock: {
    title: 'Signature block, sizes chosen',
    answers: 'most about the sizes of a job, or of usual parts, for as many sizes as you care to read',
  },
  hinge: { title: 'Ladder for a hinge', answers: 'the gap at which a pin comes free in its knuckle' },
  ball: { title: 'Ladder for a ball', answers: 'the gap at which a ball comes free in its socket' },
  links: { title: 'Ladder for chain links', answers: 'the gap at which links come off apart' },
  slider: { title: 'Ladder for a slider', answers: 'the gap at which a captured rail runs' },
  roof: { title: 'Ladder through height', answers: 'the gap below a roof that does not cure shut' },
  pocket: { title: 'Pocket ladder', answers: 'the pocket that a bought terminal pushes into and stays' },
  hole: { title: 'Hole ladder', answers: 'the hole that a pin, peg or bearing goes into as wished' },
  pin: { title: 'Pin ladder', answers: 'the peg that goes into a hole as wished' },
  bar: {
    title: 'Bars for bending',
    answers: 'stiffness, strain at break and heat of the resin as you cure it',
  },
};

export function describeGaugeChoice(choice: GaugeChoice): GaugeWords {
  return GAUGE_WORDS[choice];
}
