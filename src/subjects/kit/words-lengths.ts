import { formatMm, listOr, quoted } from '@/core/kit/wording';
import type { Doubt, FeatureKindIssue, LengthNote, Quantity, QuantityIssue } from '@/core/measure';

const QUANTITY_NAMES: Readonly<Record<Quantity, string>> = {
  length: 'a length',
  area: 'an area',
  volume: 'a volume',
  mass: 'a weight',
  force: 'a force',
  stress: 'a stress',
  temperature: 'a temperature',
  temperatureDifference: 'a temperature difference',
  speed: 'a speed',
  time: 'a time',
  angle: 'an angle',
  percent: 'a percentage',
  number: 'a plain number',
};

/** Why a typed number was not understood, and what to type. */
export function describeQuantityIssue(issue: QuantityIssue): string {
  switch (issue.code) {
    case 'blank':
      return 'the field is empty. Type a number, such as 12.34.';
    case 'notANumber':
      return `“${quoted(issue.text)}” is not a number. Type digits with one decimal point, such as 12.34.`;
    case 'ambiguousSeparators':
      return `“${quoted(issue.text)}” has more than one point or comma. Type 1234.5 without a thousands separator.`;
    case 'unknownUnit': {
      const { unit, quantity, known } = issue;
      return known.length === 0
        ? `“${quoted(unit)}” is not a unit for ${QUANTITY_NAMES[quantity]}. Leave the unit out.`
        : `“${quoted(unit)}” is not a unit of ${QUANTITY_NAMES[quantity]}. Use ${listOr(known)}, or leave it out for ${known[0]}.`;
    }
    case 'tooLarge':
      return `“${quoted(issue.text)}” is too large. Check the digits.`;
  }
}

export function describeLengthNote(note: LengthNote): string {
  switch (note) {
    case 'commaDecimal':
      return 'comma read as decimal point';
    case 'inches':
      return 'inches converted to mm';
    case 'centimetres':
      return 'centimetres converted to mm';
    case 'micrometres':
      return 'micrometres converted to mm';
  }
}

export function describeDoubt(doubt: Doubt, readingMm: number): string {
  const shown = formatMm(readingMm, 3).replace(/0$/, '');
  switch (doubt.code) {
    case 'notPositive':
      return `${shown} mm is not a valid size: a size must be above zero. Check the caliper’s zero and type it again.`;
    case 'looksLikeInches':
      return `${shown} is 25.4 times too small. Is it in inches? That would be ${formatMm(doubt.guessMm)} mm.`;
    case 'looksLikeMillimetresTwice':
      return `${shown} is 25.4 times too large. Was it converted to mm twice? That would be ${formatMm(doubt.guessMm)} mm.`;
    case 'decimalPoint':
      return `${shown} is off by a factor of ten. Is the decimal point misplaced? That would be ${formatMm(doubt.guessMm)} mm.`;
    case 'swappedDigits':
      return `${shown} is far off. Are two digits swapped? That would be ${formatMm(doubt.guessMm)} mm.`;
    case 'farOff':
      return `${shown} is ${formatMm(Math.abs(readingMm - doubt.expectedMm))} mm away from the expected ${formatMm(doubt.expectedMm)}.`;
  }
}

export function describeKindIssue(issue: FeatureKindIssue): string {
  switch (issue.code) {
    case 'baseMissing':
      return 'an outside size along Z needs its base, plate or supported';
    case 'angleMissing':
      return 'a flat size with axis XY needs its angle from X in degrees';
    case 'roundNeedsXY':
      return `a round size is measured across, so its axis is XY, not ${issue.axis}`;
  }
}
