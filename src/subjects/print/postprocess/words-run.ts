import { describeJsonIssue, GONE_WORDS } from '@/subjects/kit/shared';
import type { DayIssue, ProgramIssue } from '@/core/print';
import type { RunFileIssue } from './input-run-json';

const FIELD_WORDS: Readonly<Record<string, string>> = {
  layerMm: 'the layer height',
  exposureS: 'the exposure',
  bottomExposureS: 'the bottom exposure',
  bottomLayers: 'the number of bottom layers',
  transitionLayers: 'the number of transition layers',
  restBeforeS: 'the wait before exposure',
  restAfterS: 'the wait after exposure',
  startupS: 'the start-up',
  'speed of a move': 'a speed',
  'way of a move': 'a lift',
};

/** What keeps a profile from being run. */
export function describeProgramIssue({ code, field }: ProgramIssue): string {
  const name = FIELD_WORDS[field] ?? field;
  return code === 'notPositive'
    ? `${name} must be above zero: seconds, mm and mm/s.`
    : `${name} cannot be negative.`;
}

/** What is wrong with a file of a print or of a day, where, and what to do. */
export function describeRunFileIssue(issue: RunFileIssue): string {
  switch (issue.code) {
    case 'notJson':
    case 'badField':
      return describeJsonIssue(issue);
    case 'notPositive':
    case 'negative':
      return describeProgramIssue(issue);
    case 'vatTooFull':
      return `vat.level_mL: ${issue.levelMl} ml in a vat that holds ${issue.capacityMl} ml. Read the level again.`;
    case 'belowFloor':
      return `vat.floor_mL: ${issue.floorMl} ml is not below the ${issue.levelMl} ml of the vat. Enter a smaller minimum level.`;
  }
}

/** Why a day cannot be planned, and what would make it. */
export function describeDayIssue(issue: DayIssue): string {
  switch (issue.code) {
    case 'noSteps':
      return `${issue.job} has no steps. Add at least one.`;
    case 'badMinutes':
      return `${issue.job}, ${issue.step}: enter whole, non-negative minutes, and no more work time than the step takes.`;
    case 'heldElsewhere':
      return `${issue.job}, ${issue.step}: a station that stays occupied must be the station of the next step.`;
    case 'neverThere':
      return `${issue.job}, ${issue.step}: no working time is long enough. Add working time, or use a shorter step.`;
  }
}

/** Why a step was not begun or ended. */
export type StepIssue = { readonly code: 'gone' } | { readonly code: 'cured' };

export function describeStepIssue({ code }: StepIssue): string {
  return code === 'gone'
    ? GONE_WORDS
    : 'this print is already cured. Washing it now only dulls it. If you tapped the cure by mistake, undo it.';
}
