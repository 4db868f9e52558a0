import { GONE_WORDS } from '@/subjects/kit/shared';

/** Why a failure, a test or a cause was not noted. */
export type LogIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'notEnded' }
  | { readonly code: 'noSuchLayer'; readonly layer: number; readonly layers: number }
  | { readonly code: 'otherPlate' }
  | { readonly code: 'noFailure' }
  | { readonly code: 'noSuchOutcome' }
  | { readonly code: 'noFollow' };

export function describeLogIssue(issue: LogIssue): string {
  switch (issue.code) {
    case 'gone':
      return GONE_WORDS;
    case 'notEnded':
      return 'this print has not ended. First record that it finished or was stopped.';
    case 'noSuchLayer':
      return `this plate has ${issue.layers} layers, so layer ${issue.layer} does not exist. Enter a layer from 1 to ${issue.layers}, or leave it blank.`;
    case 'otherPlate':
      return 'that part was on another plate. Reload the page.';
    case 'noFailure':
      return 'no failure is recorded for this print. Record the failure first.';
    case 'noSuchOutcome':
      return 'that is not a result of this test. Reload the page.';
    case 'noFollow':
      return 'something was wrong. Enter in one line what was wrong and what you did.';
  }
}

/** What the film is likely to spoil of the next print, against a new one. */
export function describeFilmRisk({
  risk,
  nextCost,
  filmCost,
}: {
  readonly risk: number;
  readonly nextCost?: number;
  readonly filmCost: number;
}): string {
  const often = risk < 0.01 ? 'less than 1' : `about ${Math.round(100 * risk)}`;
  const chance = `The film makes the next print fail in ${often} of 100 cases`;
  return nextCost === undefined
    ? `${chance}.`
    : `${chance}. Expected loss: ${risk * nextCost < 0.1 ? 'less than 0.1' : (risk * nextCost).toFixed(1)} (the print costs ${nextCost.toFixed(0)}). A new film costs ${filmCost.toFixed(0)}.`;
}
