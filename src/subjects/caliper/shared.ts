export { instrumentForm, sessionForm } from './input-caliper';
export { describeInstrumentIssue } from './words-issues';
