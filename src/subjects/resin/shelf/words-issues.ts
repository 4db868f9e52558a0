import { percent, quoted, round } from '@/core/kit/wording';
import type { BlendIssue, ResinTestIssue, ResinSheetIssue, UnitIssue } from '@/core/resin';
import { describeTakenName, GONE_WORDS } from '@/subjects/kit/shared';
import { describeResinTestIssue } from './words-resin-tests';
import { describeProperty, formatProperty } from './words-resin';

export function describeUnitIssue(issue: UnitIssue): string {
  switch (issue.code) {
    case 'unitUnknown':
      return `the unit “${quoted(issue.unit)}” is not valid here. Use ${issue.known.join(', ')}.`;
    case 'zeroDensity':
      return 'a density must be above zero. Leave it blank if it is unknown.';
    case 'negativeModulus':
      return `${describeProperty(issue.property)} is negative. Check the sign.`;
    case 'valueOutOfRange':
      return `${describeProperty(issue.property)}: ${formatProperty(issue.property, issue.value)} is not plausible for a resin (range ${formatProperty(issue.property, issue.low)} to ${formatProperty(issue.property, issue.high)}). Check the number and its unit.`;
  }
}

export function describeResinSheetIssue(issue: ResinSheetIssue): string {
  switch (issue.code) {
    case 'deflectionCrossed':
      return `the deflection temperature at the upper load, ${round(issue.highC)} °C, is above the one at the lower load, ${round(issue.lowC)} °C. A higher load gives a lower temperature. Check whether the two are swapped.`;
    case 'stressesCrossed':
      return `the lower-load deflection test is stated at ${issue.lowMPa} MPa, the upper at ${issue.highMPa} MPa. Swap them.`;
    case 'cureCrossed':
      return `the cure must last at least ${round(issue.floorMin)} and at most ${round(issue.ceilingMin)} minutes. No time meets both. Check both values.`;
    case 'unitsMixed':
      return `a modulus of ${round(issue.modulusMPa, 2)} MPa with a strength of ${round(issue.strengthMPa, 1)} MPa: one has the wrong unit. Is the modulus in GPa?`;
    case 'viscosityWithoutTemperature':
      return `a viscosity of ${round(issue.value)} mPa·s needs a temperature. Add the temperature.`;
    case 'saidTwice':
      return `${describeProperty(issue.property)} is entered twice for the same state and date. Keep one.`;
  }
}

export function describeBlendIssue(issue: BlendIssue): string {
  switch (issue.code) {
    case 'partCount':
      return `a blend has two or three parts; ${issue.given} ${issue.given === 1 ? 'is' : 'are'} given.`;
    case 'fractionsSum':
      return `the parts add up to ${percent(issue.sum)}, not 100 %.`;
    case 'fractionNotPositive':
      return `${issue.resin} has a share of ${percent(issue.fraction)}. The share must be between 0 and 100 %.`;
    case 'resinTwice':
      return `${issue.resin} is listed twice. Add its shares together.`;
    case 'zeroDensity':
      return `${issue.resin} has a density of zero on its datasheet. Correct that first.`;
    case 'overAdditiveLimit':
      return `${percent(issue.fraction)} of ${issue.resin} is more than the ${percent(issue.most)} that its datasheet allows as an additive.`;
  }
}

/** Why the resins were not changed. */
export type ShelfChangeIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'resinSheet'; readonly issue: ResinSheetIssue }
  | { readonly code: 'moreThanFull'; readonly fullMl: number }
  | { readonly code: 'noDensity' }
  | { readonly code: 'proof'; readonly issue: ResinTestIssue }
  | { readonly code: 'blend'; readonly issue: BlendIssue };

export function describeShelfChangeIssue(issue: ShelfChangeIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'nameTaken':
      return describeTakenName(issue.name);
    case 'resinSheet':
      return describeResinSheetIssue(issue.issue);
    case 'moreThanFull':
      return `more than the ${issue.fullMl} ml that the bottle holds. Check both numbers.`;
    case 'noDensity':
      return 'a weight converts to millilitres only with a density. Add the density to the datasheet, or read the level.';
    case 'proof':
      return describeResinTestIssue(issue.issue);
    case 'blend':
      return describeBlendIssue(issue.issue);
  }
}
