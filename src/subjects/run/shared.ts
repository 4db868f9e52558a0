export { parseDayJson, parseRunJson, type RunFile, type RunFileIssue } from './input-run-json';
export { describeDayIssue, describeProgramIssue, describeRunFileIssue } from './words-run';
