export { parseChecksCsv } from './input-checks-csv';
export { instrumentForm, sessionForm } from './input-caliper';
export { describeInstrumentIssue } from './words-issues';
