import type { BlendIssue, ProofIssue, ResinSheetIssue, UnitIssue } from '@/core/resins';
import { describeTakenName, GONE_WORDS, percent, round, quoted } from '@/subjects/language/shared';
import { describeProofIssue } from './words-proofs';
import { describeProperty, formatProperty } from './words-resin';

export function describeUnitIssue(issue: UnitIssue): string {
  switch (issue.code) {
    case 'unitUnknown':
      return `the unit “${quoted(issue.unit)}” does not go with it. Understood are ${issue.known.join(', ')}.`;
    case 'zeroDensity':
      return 'a density of zero weighs nothing. Leave it blank while it is unknown.';
    case 'negativeModulus':
      return `${describeProperty(issue.property)} is negative: it would push back. Check the sign.`;
    case 'valueOutOfRange':
      return `${describeProperty(issue.property)}: ${formatProperty(issue.property, issue.value)} is no resin’s; between ${formatProperty(issue.property, issue.low)} and ${formatProperty(issue.property, issue.high)} it could be. Check the number and its unit.`;
  }
}

export function describeResinSheetIssue(issue: ResinSheetIssue): string {
  switch (issue.code) {
    case 'deflectionCrossed':
      return `the deflection temperature at the upper load, ${round(issue.highC)} °C, lies above that at the lower, ${round(issue.lowC)} °C: more load cannot bear more heat. They may have been exchanged.`;
    case 'stressesCrossed':
      return `the lower deflection test is stated at ${issue.lowMPa} MPa, the upper at ${issue.highMPa} MPa. Exchange them.`;
    case 'cureCrossed':
      return `the cure must last at least ${round(issue.floorMin)} and at most ${round(issue.ceilingMin)} minutes: no time fits. Check both.`;
    case 'unitsMixed':
      return `a modulus of ${round(issue.modulusMPa, 2)} MPa beside a strength of ${round(issue.strengthMPa, 1)} MPa: one of them is in another unit. Is the modulus in GPa?`;
    case 'viscosityWithoutTemperature':
      return `a viscosity of ${round(issue.value)} mPa·s without its temperature says nothing. Add the temperature.`;
    case 'saidTwice':
      return `${describeProperty(issue.property)} is stated twice for the same state and day. Keep one.`;
  }
}

export function describeBlendIssue(issue: BlendIssue): string {
  switch (issue.code) {
    case 'partCount':
      return `a blend has two or three parts, ${issue.given} ${issue.given === 1 ? 'is' : 'are'} given.`;
    case 'fractionsSum':
      return `the parts add up to ${percent(issue.sum)}, not 100 %.`;
    case 'fractionNotPositive':
      return `${issue.resin} has a share of ${percent(issue.fraction)}: it must lie between 0 and 100 %.`;
    case 'resinTwice':
      return `${issue.resin} stands in it twice. Add its shares together.`;
    case 'zeroDensity':
      return `${issue.resin} has a density of zero on its sheet. Mend that first.`;
    case 'overAdditiveLimit':
      return `${percent(issue.fraction)} of ${issue.resin} is more than the ${percent(issue.most)} its sheet allows as an additive.`;
  }
}

/** Why the shelf was not changed. */
export type ShelfChangeIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'resinSheet'; readonly issue: ResinSheetIssue }
  | { readonly code: 'moreThanFull'; readonly fullMl: number }
  | { readonly code: 'noDensity' }
  | { readonly code: 'proof'; readonly issue: ProofIssue }
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
      return 'a weight tells millilitres only with a density. Type it on the sheet, or read the level.';
    case 'proof':
      return describeProofIssue(issue.issue);
    case 'blend':
      return describeBlendIssue(issue.issue);
  }
}
