export { findingForm, findingsInput, foundFeatureForm, stanceForm, turnInput } from './input-check';
export { CHANCE_WORDS, describeDecided, describeFinding, describeWhere, RISK_WORDS } from './words-findings';
export { describeTurnIssue, describeVerdictIssue } from './words-issues';
export { type CheckEntry, describeCheckEntry, describeTurn } from './words-ledger';
export { describeFits, describePose, describeStance, SOURCE_WORDS, STATION_WORDS } from './words-stance';
