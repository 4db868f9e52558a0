import type { Cause, CauseIssue, Common, Evidence, FailureKind, PlaceIssue, TestName } from '@/core/log';

export const KIND_WORDS: Readonly<Record<FailureKind, string>> = {
  notStuck: 'did not stick to the plate',
  sheared: 'broke off',
  missingRegion: 'region missing',
  missingLayers: 'layers missing or split',
  fused: 'parts grown together',
  holeClosed: 'hole closed',
  stuckInVat: 'stuck to the film',
  markOnFace: 'mark on a face',
  ranDry: 'vat ran dry',
  stopped: 'printer stopped',
  postProcess: 'damaged after printing',
};

export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  film: 'the film is old or dented',
  panel: 'the light is uneven, or pixels are dead',
  level: 'the plate is not level',
  dirtyPlate: 'the plate was greasy or wet with solvent',
  cold: 'the resin was cold',
  unmixed: 'the resin was not mixed, or is old',
  exposure: 'the exposure is too short or too long',
  supports: 'the supports are too weak',
  island: 'a region starts in mid-air',
  suction: 'a suction cup pulls on the film',
  jump: 'the layer area jumps',
  debris: 'cured resin is in the vat',
  thin: 'the part is too thin there',
  axis: 'the Z axis of the printer',
  ranDry: 'the vat ran dry',
};

/** What to do about each cause, in one line. */
export const REPAIR_WORDS: Readonly<Record<Cause, string>> = {
  film: 'Change the film and record the change.',
  panel: 'Show the image on white paper. Leave that area of the plate empty until the screen is replaced.',
  level: 'Level the plate and record it in Maintenance.',
  dirtyPlate: 'Wipe the plate with fresh solvent and let it dry before the next print.',
  cold: 'Warm the room and the resin to the temperature that the datasheet asks for.',
  unmixed: 'Stir the vat, and shake the bottle for a minute.',
  exposure: 'Print an exposure bracket (Exposure).',
  supports: 'Use thicker or more supports at that place (Check).',
  island: 'Support the region where it starts, or turn the part (Check).',
  suction: 'Add a vent, or turn the part (Check).',
  jump: 'Tilt the part so that the area grows slowly.',
  debris: 'Filter the resin, or clear the vat by curing one full layer.',
  thin: 'Draw it thicker, or turn it.',
  axis: 'Clean and grease the screw, and check it for play.',
  ranDry: 'Add resin in time: the plan of the next print shows when.',
};

const EVIDENCE_WORDS: Readonly<Record<Evidence, readonly [yes: string, no: string]>> = {
  samePlaceOnPlate: ['failures cluster in one area of the plate', 'failures do not cluster on the plate'],
  samePlaceOnPart: [
    'it fails at the same place of the part',
    'it fails at a different place of the part each time',
  ],
  sameHeight: ['it fails at the same height', 'it fails at a different height each time'],
  firstLayers: ['it failed in the first layers', 'the first layers held'],
  everywhere: ['most pieces failed', 'most pieces are intact'],
  atEdge: ['failures are at the edge of the plate', 'failures are not at the edge'],
  onSupports: ['it is on supports', 'it is directly on the plate'],
  checkedIsland: [
    'Check found a region that starts in mid-air',
    'Check found no region that starts in mid-air',
  ],
  checkedSuction: ['Check found a suction cup', 'Check found no suction cup'],
  checkedJump: ['Check found a jump in area', 'Check found no jump in area'],
  checkedThin: ['Check found a thin wall there', 'Check found no thin wall'],
  filmOld: ['the film has printed many layers', 'the film has printed few layers'],
  coldRoom: ['the room was colder than the datasheet asks for', 'the room was warm enough'],
  longUnshaken: ['the resin was not shaken for more than a week', 'the resin was shaken'],
  lowVat: ['the vat was expected to run short', 'the vat held enough resin'],
  exposureChanged: [
    'exposure, layer height or lot changed since the last good print',
    'exposure, layer height and lot are the same as in the last good print',
  ],
  plateWasOff: [
    'the plate was levelled or replaced since the last good print',
    'the plate is unchanged since the last good print',
  ],
  failedBefore: ['the print before it failed too', 'the print before it was good'],
};

/** One piece of evidence as a clause. */
export function describeEvidence(name: string, seen: boolean): string {
  if (name.startsWith('kind ')) return KIND_WORDS[name.slice('kind '.length) as FailureKind];
  const [yes, no] = EVIDENCE_WORDS[name as Evidence];
  return seen ? yes : no;
}

interface TestWords {
  readonly title: string;
  readonly how: string;
  readonly outcomes: Readonly<Record<string, string>>;
}

export const TEST_WORDS: Readonly<Record<TestName, TestWords>> = {
  turnPart: {
    title: 'Reprint, rotated 180°',
    how: 'The same file at the same place, rotated 180° about the vertical.',
    outcomes: {
      goesWithPart: 'the failure moved with the part',
      staysOnPlate: 'the failure stayed at the same place on the plate',
    },
  },
  postField: {
    title: 'Print a field of small posts',
    how: 'Posts of 2 mm, 3 mm high, over the whole plate: half an hour.',
    outcomes: { patchMissing: 'posts are missing or poor in one area', allStand: 'all posts are intact' },
  },
  imageCheck: {
    title: 'Display image on white paper',
    how: 'Remove the vat, put white paper on the screen, and show all pixels lit, then a grid. Look from the side, never into the light.',
    outcomes: { uneven: 'an area is dark or uneven', even: 'it is even' },
  },
  filmToLight: {
    title: 'Check the film against the light',
    how: 'Wear gloves. Empty and wipe the vat, then look through the film against a lamp.',
    outcomes: { dented: 'it is dented, cloudy or slack there', clear: 'it is clear and tight' },
  },
  levelByPaper: {
    title: 'Check the level with paper',
    how: 'Put a strip of paper under each corner of the plate. All four must hold it equally.',
    outcomes: { uneven: 'the corners differ', even: 'all four equal' },
  },
  sameAgain: {
    title: 'Repeat the same print',
    how: 'Nothing changed. It shows little for the cost of a whole print.',
    outcomes: { failsAlike: 'it fails the same way', comesOut: 'it prints well' },
  },
  otherFile: {
    title: 'Print another file at that place',
    how: 'Print something that has printed well before, at the place where this part failed.',
    outcomes: { failsThere: 'it fails there too', comesOut: 'it prints well' },
  },
  warmer: {
    title: 'Repeat with warmer resin',
    how: 'Room and resin 5 °C warmer, everything else unchanged.',
    outcomes: { better: 'it is better', same: 'it fails the same way' },
  },
  twinRegion: {
    title: 'Compare with a similar region',
    how: 'A region of the part with the same shape and orientation, at another place on the plate.',
    outcomes: { twinToo: 'it failed too', twinWhole: 'it is intact' },
  },
};

const COMMON_WORDS: Readonly<Record<Common, string>> = {
  plate: 'at one place of the plate',
  part: 'at one place of the part',
  height: 'at one height',
  area: 'where the layers are large',
  jump: 'where the area jumps',
  edge: 'near the edge of the plate',
};

export const describeCommon = (common: Common): string => COMMON_WORDS[common];

/** What is wrong with places, which, and what to do; prints and places are counted from one. */
export function describePlaceIssue(issue: PlaceIssue): string {
  switch (issue.code) {
    case 'noSuchPlace':
      return `print ${issue.print + 1}: failed place ${issue.at} does not exist. Places are counted from 0.`;
    case 'twice':
      return `print ${issue.print + 1}: place ${issue.at} is named twice as failed.`;
    case 'badPlace':
      return `print ${issue.print + 1}, place ${issue.at}: two or three numbers in mm are needed.`;
    case 'tooFew':
      return `failures of ${issue.prints === 1 ? 'one print' : 'no print'} only: not enough data. Record the failures of another print too.`;
  }
}

export function describeCauseIssue(issue: CauseIssue): string {
  switch (issue.code) {
    case 'noCause':
      return 'the prior names no cause.';
    case 'badPrior':
      return `prior of ${issue.cause}: a number from 0 up.`;
    case 'badChance':
      return `table, ${issue.evidence}, ${issue.cause}: a chance from 0 to 1 is missing or out of range.`;
    case 'unknownEvidence':
      return `evidence ${issue.evidence}: the table has no such row.`;
    case 'impossible':
      return 'the evidence is contradictory: the zeros and ones in the table exclude every cause. Use chances near 0 and 1 instead.';
  }
}
