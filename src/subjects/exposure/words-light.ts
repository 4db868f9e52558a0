import { describeSimulatedIssue, type SimulatedIssue } from '@/subjects/simulated/shared';
import { GONE_WORDS } from '@/subjects/kit/shared';
import { describeProfileIssue, type ProfileIssue } from '@/subjects/signature/shared';
import type { LightUnit } from './input-light';
import type { BracketIssue, StripIssue, ExposureChangeIssue, WallIssue } from '@/core/exposure';

/** Why a strip was not saved or deleted. */
export type KeepIssue = SimulatedIssue | { readonly code: 'otherUnit'; readonly kept: LightUnit };

export function describeKeepIssue(issue: KeepIssue): string {
  switch (issue.code) {
    case 'otherUnit':
      return `the strips here use ${issue.kept}. One curve needs one unit: enter this strip in ${issue.kept} too, or delete the other strips.`;
    case 'gone':
    case 'noSimulatedPrinter':
    case 'jawsDoNotEnter':
    case 'lost':
      return describeSimulatedIssue(issue);
  }
}

/** Why no profile was created for another printer. */
export type DeriveIssue = ProfileIssue | { readonly code: 'gone' | 'noExposure' | 'samePrinter' };

export function describeDeriveIssue(issue: DeriveIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'noExposure':
      return 'the layer exposure is unknown. Enter it in the print settings.';
    case 'samePrinter':
      return 'that is this printer. To test another exposure on it, print the bracket above.';
    case 'nameTaken':
      return describeProfileIssue(issue);
  }
}

/** What is wrong with strips, which one, and what to do; strips are counted from one. */
export function describeStripIssue(issue: StripIssue): string {
  switch (issue.code) {
    case 'tooFewStrips':
      return issue.exposures === 0
        ? 'no strip measured yet. Cure strips at two or more exposures, and measure each strip.'
        : 'all strips had the same exposure. A curve needs at least two: cure another strip at 1.5 times the exposure.';
    case 'badExposure':
      return `strip ${issue.strip + 1}: ${issue.exposure} is not a valid exposure. Enter a value above 0 and below 3600 s.`;
    case 'nothingCured':
      return `strip ${issue.strip + 1}, exposure ${issue.exposure}: no thickness, because nothing cured. Leave it out: it only shows that curing starts at a higher exposure.`;
    case 'badUncertainty':
      return `strip ${issue.strip + 1}: the uncertainty of a reading must be above 0.`;
    case 'curveFalls':
      return 'longer exposures gave thinner strips, which is physically impossible. Check which strip is which, and measure them again.';
  }
}

/** What is wrong with the data of an exposure change; observations are counted from one. */
export function describeExposureChangeIssue(issue: ExposureChangeIssue): string {
  switch (issue.code) {
    case 'badExposure':
      return `${issue.exposureS} s is not a valid exposure. Enter a value above 0 and below 3600 s. Enter minutes as seconds.`;
    case 'badSd':
      return issue.at < 0
        ? 'the standard deviation of the prior must be above 0.'
        : `observation ${issue.at + 1}: its standard deviation must be above 0.`;
    case 'badEdge':
      return `observation ${issue.at + 1}: its edge growth is not a number.`;
  }
}

export function describeWallIssue(issue: WallIssue): string {
  return issue.code === 'notPositive'
    ? 'the drawn and the measured wall must both be thicker than 0.'
    : `${issue.share > 0 ? 'so much thicker' : 'so much thinner'} than drawn, this is another size or not a wall. Check which one you measured.`;
}

export function describeBracketIssue(issue: BracketIssue): string {
  switch (issue.code) {
    case 'badExposure':
      return `${issue.exposureS} s is not a valid exposure. Enter a value above 0 and below 3600 s.`;
    case 'lowAboveHigh':
      return `the shortest exposure (${issue.lowS} s) is above the longest (${issue.highS} s). Swap them.`;
    case 'badSlot':
      return 'the slot of the gauge must be wider than 0.';
    case 'badSd':
      return `the gauge at ${issue.exposureS} s: the standard deviation of its edges must be above 0.`;
  }
}
