import { describeJsonIssue, GONE_WORDS } from '@/subjects/language/shared';
import type { DayIssue, ProgramIssue } from '@/core/run';
import type { RunFileIssue } from './input-run-json';

const FIELD_WORDS: Readonly<Record<string, string>> = {
  layerMm: 'the layer height',
  exposureS: 'the exposure',
  bottomExposureS: 'the bottom exposure',
  bottomLayers: 'the number of bottom layers',
  transitionLayers: 'the number of transition layers',
  restBeforeS: 'the rest before',
  restAfterS: 'the rest after',
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

/** What is wrong with a file of a run or of a day, where, and how to mend it. */
export function describeRunFileIssue(issue: RunFileIssue): string {
  switch (issue.code) {
    case 'notJson':
    case 'badField':
      return describeJsonIssue(issue);
    case 'notPositive':
    case 'negative':
      return describeProgramIssue(issue);
    case 'vatTooFull':
      return `vat.level_mL: ${issue.levelMl} ml in a vat that holds ${issue.capacityMl}. Read the level again.`;
    case 'belowFloor':
      return `vat.floor_mL: a vat of ${issue.levelMl} ml cannot print down to ${issue.floorMl}. Give a floor below its capacity.`;
  }
}

/** Why a day cannot be planned, and what would make it. */
export function describeDayIssue(issue: DayIssue): string {
  switch (issue.code) {
    case 'noSteps':
      return `${issue.job} has no steps. Give it at least one.`;
    case 'badMinutes':
      return `${issue.job}, ${issue.step}: minutes are whole, not negative, and nobody is needed longer than the step takes.`;
    case 'heldElsewhere':
      return `${issue.job}, ${issue.step}: a station that stays taken must be the station of the next step.`;
    case 'neverThere':
      return `${issue.job}, ${issue.step}: nobody is there long enough at once. Add time there, or a step that needs less of it.`;
  }
}

/** Why a step was not begun or ended. */
export type StepIssue = { readonly code: 'gone' } | { readonly code: 'cured' };

export function describeStepIssue({ code }: StepIssue): string {
  return code === 'gone'
    ? GONE_WORDS
    : 'this print is cured already: a wash after that only dulls it. Take the cure back if it was tapped by mistake.';
}
