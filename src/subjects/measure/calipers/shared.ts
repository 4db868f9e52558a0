export { parseChecksCsv } from './input-checks-csv';
export { checkPieceForm, instrumentForm, sessionForm } from './input-caliper';
export { describeCheckPieceIssue, describeInstrumentIssue, describeSessionIssue } from './words-issues';
