import { SHEETS } from '@/core/sheets';
import type { FieldIssue, FormIssue } from './input-fields';
import { describeLengthIssue } from './words-lengths';

/** Fields of forms as they are labelled on the screen. */
const LABELS: Readonly<Record<string, string>> = {
  stance: 'How it stands',
  liftMm: 'Height of the supports',
  verdict: 'Decision',
  toleranceMm: 'Tolerance',
  layerSeconds: 'Seconds a layer takes',
  wallPixels: 'Least wall',
  leastGapMm: 'Least gap',
  selfSupportingDeg: 'Angle that holds itself',
  hangMm2: 'Area that may hang free',
  peelPercent: 'Share of the plate that peels at once',
  contactPercent: 'Share that the first layer needs',
  cupMm2: 'Area of a cup',
  name: 'Name',
  need: 'What it must do',
  acceptance: 'Acceptance test',
  profileId: 'Printer, resin and profile',
  sense: 'Sense',
  shape: 'Shape',
  axis: 'Axis',
  base: 'Base',
  angleDeg: 'Angle from X',
  targetMm: 'Target',
  lowerMm: 'Lower limit',
  upperMm: 'Upper limit',
  mateName: 'Mate',
  mateMm: 'Size of the mate',
  mateU_mm: 'Its uncertainty',
  drawnMm: 'Drawn size',
  reason: 'Reason',
  printerName: 'Printer',
  pixelMm: 'Pixel',
  resinName: 'Resin',
  shrinkPercent: 'Linear shrink',
  profileName: 'Profile',
  layerMm: 'Layer height',
  lot: 'Lot',
  mpeMm: 'Limit of error',
  resolutionMm: 'Resolution',
  jawFlatMm: 'Flats of the inside jaws',
  instrumentId: 'Instrument',
  zeroMm: 'Zero',
  partC: 'Part temperature',
  instrumentC: 'Caliper temperature',
  state: 'State',
  benchName: 'Name of the bench',
  quantity: 'How many',
  dueOn: 'By when',
  seenFaces: 'Faces that are seen',
  hottestC: 'Hottest moment',
  hottestWhen: 'What makes it hot',
  fitC: 'Fits must hold at',
  loadWords: 'Load',
  loadN: 'Load in newtons',
  answer: 'Answer',
  note: 'Note',
  wish: 'Wish',
  ruin: 'What would be worse',
  lowMm: 'Least clearance',
  highMm: 'Most clearance',
  isoFit: 'ISO letters',
  coatMm: 'Coat on each face',
  material: 'Material of the mate',
  origin: 'Where the mate comes from',
  kind: 'Kind',
  gapMm: 'Gap per side',
  heightGapMm: 'Gap through height',
  pinMm: 'Pin, ball, bar or rail',
  spanMm: 'Span or guided length',
  scalePercent: 'Scale',
  mostAngleDeg: 'Most wobble',
  mostLateralMm: 'Most sideways play',
  freed: 'Freed',
  rung: 'Rung',
  outcome: 'Outcome',
  choice: 'Gauge',
  fromMm: 'First rung',
  stepMm: 'Step',
  count: 'Rungs',
  measure: 'Size of the sheet',
  readingMm: 'Reading',
  readAs: 'Read as',
  modulusMPa: 'Modulus',
  strengthMPa: 'Strength',
  breakPercent: 'Elongation at break',
  property: 'Property',
  value: 'Value',
  unit: 'Unit',
  condition: 'Condition',
  standard: 'Standard',
  testMPa: 'Stress of the test',
  atC: 'Temperature of the test',
  on: 'Day',
  family: 'Family',
  light: 'Light, nm',
  rated: 'Rated for',
  batch: 'Batch',
  openedOn: 'Opened on',
  fullMl: 'Holds when full',
  leftMl: 'Left',
  weighedG: 'Weighed',
  emptyG: 'Empty bottle',
  serviceMax_C: 'Hottest in use',
  processMax_C: 'Hottest in making',
  margin_K: 'Margin',
  stress_MPa: 'Stress in the part',
  strainPercent: 'Elongation needed',
  stiffnessLeast: 'At least as stiff as',
  stiffnessMost: 'At most as stiff as',
  shoreA: 'Shore A hardness',
  room_C: 'Room temperature',
  roomC: 'Room temperature',
  smallestFeature_mm: 'Smallest feature',
  changeoverMl: 'Lost in changing a vat over',
  printerId: 'Printer',
  resinId: 'Resin',
  widthsMm: 'Widths',
  thicknessesMm: 'Thicknesses',
  widthMm: 'Width',
  thicknessMm: 'Thickness',
  deflectionsMm: 'Bent by',
  massG: 'Weight',
  bath: 'Heated in',
  thermometerK: 'Thermometer may be off by',
  wholeM: 'Whole after falls from',
  brokenM: 'Broken after falls from',
  accepted: 'Shade still accepted',
  under: 'What it bears meanwhile',
  firstMm: 'Reading now',
  weeks: 'Read again after',
  secondMm: 'Second reading',
  caliperMm: 'Caliper may be off by',
};

/** Fields that stand once for every option of a sheet or wish of the house. */
function labelOf(field: string): string {
  const known = LABELS[field];
  if (known !== undefined) return known;
  const room = /^(plate|wash|lamp)([012])$/.exec(field);
  if (room !== null) return `${['Length', 'Width', 'Height'][Number(room[2])]} of the ${room[1]}`;
  const [part, ...rest] = field.split('_');
  const id = rest.join('_');
  if (part === 'weight') return `Weight of ${id}`;
  if (part === 'percent') return `Share of part ${id}`;
  if (/^\d+$/.test(id)) return `${LABELS[part] ?? part}, row ${Number(id) + 1}`;
  if (part === 'option') {
    const option = Object.values(SHEETS)
      .flatMap(({ options }) => options)
      .find((each) => each.id === id);
    return option?.label ?? id;
  }
  return part === 'low' || part === 'least'
    ? `Least clearance of ${id}`
    : part === 'high' || part === 'most'
      ? `Most clearance of ${id}`
      : field;
}

function describeFieldIssue(issue: FieldIssue): string {
  switch (issue.code) {
    case 'needed':
      return 'nothing typed yet.';
    case 'tooLong':
      return `longer than ${issue.limit} characters. Say it shorter.`;
    case 'outOfRange':
      return `must lie between ${issue.low} and ${issue.high}.`;
    case 'notADay':
      return `“${issue.text}” is no day. Write year, month and day, such as 2026-12-01.`;
    case 'together':
      return `goes together with “${labelOf(issue.other)}”: give both, or leave both blank for the class.`;
    case 'notAChoice':
      return 'choose one of the list.';
    case 'notNumbers':
      return `“${issue.text}” is no list of numbers. Part them with spaces, such as 10.02 10.01 10.03.`;
    case 'worded':
      return issue.text;
    default:
      return describeLengthIssue(issue);
  }
}

/** Which field of a form, and how to mend it. */
export function describeFormIssue({ field, issue }: FormIssue): string {
  return `${labelOf(field)}: ${describeFieldIssue(issue)}`;
}
