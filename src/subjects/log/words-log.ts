import type { Cause, CauseIssue, Common, Evidence, FailureKind, PlaceIssue, TestName } from '@/core/log';

export const KIND_WORDS: Readonly<Record<FailureKind, string>> = {
  notStuck: 'did not stick to the plate',
  sheared: 'sheared off',
  missingRegion: 'a region is missing',
  missingLayers: 'layers are missing or split',
  fused: 'grown together',
  holeClosed: 'a hole closed',
  stuckInVat: 'stuck to the film',
  markOnFace: 'a mark on a face',
  ranDry: 'ran dry',
  stopped: 'the machine stopped',
  postProcess: 'spoiled after the print',
};

export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  film: 'the film is old or dented',
  panel: 'the light is uneven, or pixels are dead',
  level: 'the plate is not level',
  dirtyPlate: 'the plate was greasy or wet with solvent',
  cold: 'the resin was cold',
  unmixed: 'the resin was unmixed or old',
  exposure: 'the exposure is too short or too long',
  supports: 'the supports are too weak',
  island: 'a region begins in the air',
  suction: 'a cup sucks at the film',
  jump: 'the area jumps',
  debris: 'something cured lies in the vat',
  thin: 'the part is too thin there',
  axis: 'the machine’s axis',
  ranDry: 'the vat ran dry',
};

/** What to do about each, in a line. */
export const MEND_WORDS: Readonly<Record<Cause, string>> = {
  film: 'Change the film, and note it under what changed.',
  panel: 'Show the image on white paper; leave that place of the plate empty until the panel is changed.',
  level: 'Level the plate, and note it under care.',
  dirtyPlate: 'Wipe the plate with fresh solvent and let it dry before the next print.',
  cold: 'Warm room and resin to what its sheet asks for.',
  unmixed: 'Stir the vat, shake the bottle for a minute.',
  exposure: 'Print a bracket under Light.',
  supports: 'Thicker or more supports at that place, under Check.',
  island: 'Support where it begins, or turn the part, under Check.',
  suction: 'Drill a vent, or turn the part, under Check.',
  jump: 'Tilt the part, so that the area grows slowly.',
  debris: 'Strain the vat, or clear it with a full layer.',
  thin: 'Draw it thicker, or turn it.',
  axis: 'Clean and grease the screw; look for play.',
  ranDry: 'Pour in time: the plan of the next print says when.',
};

const EVIDENCE_WORDS: Readonly<Record<Evidence, readonly [yes: string, no: string]>> = {
  samePlaceOnPlate: [
    'failures come together at one place of the plate',
    'failures are not at one place of the plate',
  ],
  samePlaceOnPart: [
    'it fails at the same place of the part',
    'it fails at other places of the part each time',
  ],
  sameHeight: ['it fails at the same height', 'it fails at other heights each time'],
  firstLayers: ['it failed in the first layers', 'the first layers held'],
  everywhere: ['most pieces failed', 'most pieces are whole'],
  atEdge: ['failures lie at the edge of the plate', 'failures do not lie at the edge'],
  onSupports: ['it stands on supports', 'it stands on the plate itself'],
  checkedIsland: [
    'Check had found a region that begins in the air',
    'Check had found no region that begins in the air',
  ],
  checkedSuction: ['Check had found a cup', 'Check had found no cup'],
  checkedJump: ['Check had found a jump of the area', 'Check had found no jump of the area'],
  checkedThin: ['Check had found it thin there', 'Check had found nothing thin'],
  filmOld: ['the film has seen many layers', 'the film is young'],
  coldRoom: ['the room was colder than its sheet asks for', 'the room was warm enough'],
  longUnshaken: ['the resin was not shaken for more than a week', 'the resin was shaken'],
  lowVat: ['the vat was known to be short', 'there was enough in the vat'],
  exposureChanged: [
    'exposure, layer or lot changed since the last good print',
    'exposure, layer and lot are as in the last good print',
  ],
  plateWasOff: [
    'the plate was levelled or exchanged since the last good print',
    'the plate is as in the last good print',
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
    title: 'Print it again turned by a half',
    how: 'The same file at the same place, turned by 180° about the vertical.',
    outcomes: {
      goesWithPart: 'the failure went with the part',
      staysOnPlate: 'it stayed where it was on the plate',
    },
  },
  postField: {
    title: 'Print a field of small posts',
    how: 'Posts of 2 mm all over the plate, 3 mm high: half an hour.',
    outcomes: { patchMissing: 'a patch of them is missing or poor', allStand: 'all stand' },
  },
  imageCheck: {
    title: 'Light image on white paper',
    how: 'Vat off, white paper on the panel, all lit and then a grid: look from the side, never into the light.',
    outcomes: { uneven: 'a patch is dark or uneven', even: 'it is even' },
  },
  filmToLight: {
    title: 'Hold the film to the light',
    how: 'Vat emptied and wiped, gloves on: look through the film against a lamp.',
    outcomes: { dented: 'it is dented, cloudy or slack there', clear: 'it is clear and tight' },
  },
  levelByPaper: {
    title: 'Level by paper',
    how: 'A strip of paper under each corner of the plate: it is held alike by all four, or not.',
    outcomes: { uneven: 'the corners differ', even: 'all four alike' },
  },
  sameAgain: {
    title: 'The same print again',
    how: 'Nothing changed at all. It tells little for a whole print.',
    outcomes: { failsAlike: 'it fails alike', comesOut: 'it comes out well' },
  },
  otherFile: {
    title: 'Another file at that place',
    how: 'Something that has come out well before, at the place where this one failed.',
    outcomes: { failsThere: 'it fails there too', comesOut: 'it comes out well' },
  },
  warmer: {
    title: 'The same with warmer resin',
    how: 'Room and resin 5 °C warmer, all else as it was.',
    outcomes: { better: 'it is better', same: 'it fails alike' },
  },
  twinRegion: {
    title: 'Look at the twin of that region',
    how: 'A region of the part that is shaped and lies alike, elsewhere on the plate.',
    outcomes: { twinToo: 'it failed too', twinWhole: 'it is whole' },
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

/** What is wrong with places, which, and how to mend it; prints and places are counted from one. */
export function describePlaceIssue(issue: PlaceIssue): string {
  switch (issue.code) {
    case 'noSuchPlace':
      return `print ${issue.print + 1}: failed place ${issue.at} is none of its places; they are counted from 0.`;
    case 'twice':
      return `print ${issue.print + 1}: place ${issue.at} is named twice as failed.`;
    case 'badPlace':
      return `print ${issue.print + 1}, place ${issue.at}: two or three numbers in mm are needed.`;
    case 'tooFew':
      return `failures of ${issue.prints === 1 ? 'one print' : 'no print'} only: too few to tell. Note those of another print too.`;
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
      return `evidence ${issue.evidence}: the table has no such line.`;
    case 'impossible':
      return 'the evidence contradicts itself: by the zeros and ones of the table no cause is left. Put chances near them instead.';
  }
}
