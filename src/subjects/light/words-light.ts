import { describeSimulatedIssue, type SimulatedIssue } from '@/subjects/simulated/shared';
import { GONE_WORDS } from '@/subjects/language/shared';
import { describeProfileIssue, type ProfileIssue } from '@/subjects/printing/shared';
import type { LightUnit } from './input-light';
import type { BracketIssue, StripIssue, TrimIssue, WallIssue } from '@/core/light';

/** Why a strip was not kept or taken back. */
export type KeepIssue = SimulatedIssue | { readonly code: 'otherUnit'; readonly kept: LightUnit };

export function describeKeepIssue(issue: KeepIssue): string {
  switch (issue.code) {
    case 'otherUnit':
      return `the strips here are in ${issue.kept}: one curve, one unit. Give this one in ${issue.kept} too, or take the others back.`;
    default:
      return describeSimulatedIssue(issue);
  }
}

/** Why no profile was made for another machine. */
export type DeriveIssue = ProfileIssue | { readonly code: 'gone' | 'noExposure' | 'samePrinter' };

export function describeDeriveIssue(issue: DeriveIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'noExposure':
      return 'nobody said what a layer is exposed here. Say it under what it is printed under.';
    case 'samePrinter':
      return 'that is this printer. For another exposure on it, print the bracket above.';
    case 'nameTaken':
      return describeProfileIssue(issue);
  }
}

/** What is wrong with strips, which one, and how to mend it; strips are counted from one. */
export function describeStripIssue(issue: StripIssue): string {
  switch (issue.code) {
    case 'tooFewStrips':
      return issue.exposures === 0
        ? 'no strip was read yet. Cure strips at two exposures or more, and read each.'
        : 'all strips had the same exposure: one point makes no curve. Cure another at half as much again.';
    case 'badExposure':
      return `strip ${issue.strip + 1}: an exposure of ${issue.exposure} cannot be; it lies above 0 and below 3600. Check the digits.`;
    case 'nothingCured':
      return `strip ${issue.strip + 1}, exposure ${issue.exposure}: nothing stayed, so it has no thickness. Leave it out: it only says that the curve begins above it.`;
    case 'badUncertainty':
      return `strip ${issue.strip + 1}: the uncertainty of a reading lies above 0.`;
    case 'curveFalls':
      return 'longer exposures came out thinner: the curve falls, which light cannot do. Check which strip is which, and read them again.';
  }
}

/** What is wrong with what a trim is reckoned from; observations are counted from one. */
export function describeTrimIssue(issue: TrimIssue): string {
  switch (issue.code) {
    case 'badExposure':
      return `an exposure of ${issue.exposureS} s cannot be; it lies above 0 and below 3600 s. A layer that takes minutes is given in seconds.`;
    case 'badSd':
      return issue.at < 0
        ? 'the sd of the prior lies above 0.'
        : `observation ${issue.at + 1}: its sd lies above 0.`;
    case 'badEdge':
      return `observation ${issue.at + 1}: its edge growth is not a number.`;
  }
}

export function describeWallIssue(issue: WallIssue): string {
  return issue.code === 'notPositive'
    ? 'a wall is thicker than 0, as drawn and as read.'
    : `${issue.share > 0 ? 'so much thicker' : 'so much thinner'} than drawn it is another size, or no wall. Check which one was read.`;
}

export function describeBracketIssue(issue: BracketIssue): string {
  switch (issue.code) {
    case 'badExposure':
      return `an exposure of ${issue.exposureS} s cannot be; it lies above 0 and below 3600 s.`;
    case 'lowAboveHigh':
      return `the shortest exposure (${issue.lowS} s) is above the longest (${issue.highS} s). Exchange them.`;
    case 'badSlot':
      return 'the slot of the gauge is wider than 0.';
    case 'badSd':
      return `the gauge at ${issue.exposureS} s: the sd of its edges lies above 0.`;
  }
}
