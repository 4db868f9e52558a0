export { stationOfStep } from './station-of-step';
export { stepInput } from './input-step';
export { parseDayJson, parseRunJson, type RunFile, type RunFileIssue } from './input-run-json';
export {
  describeDayIssue,
  describeProgramIssue,
  describeRunFileIssue,
  describeStepIssue,
  type StepIssue,
} from './words-run';
