import type { FieldIssue, FormIssue } from '@/inputs';
import { describeLengthIssue } from './lengths';

/** Fields of forms as they are labelled on the screen. */
const LABELS: Readonly<Record<string, string>> = {
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
};

function describeFieldIssue(issue: FieldIssue): string {
  switch (issue.code) {
    case 'needed':
      return 'nothing typed yet.';
    case 'tooLong':
      return `longer than ${issue.limit} characters. Say it shorter.`;
    case 'outOfRange':
      return `must lie between ${issue.low} and ${issue.high}.`;
    case 'notAChoice':
      return 'choose one of the list.';
    default:
      return describeLengthIssue(issue);
  }
}

/** Which field of a form, and how to mend it. */
export function describeFormIssue({ field, issue }: FormIssue): string {
  return `${LABELS[field] ?? field}: ${describeFieldIssue(issue)}`;
}
