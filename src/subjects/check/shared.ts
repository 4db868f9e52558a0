export {
  findingForm,
  findingsInput,
  foundFeatureForm,
  printForm,
  stanceForm,
  turnInput,
} from './input-check';
export { CHANCE_WORDS, describeDecided, describeFinding, describeWhere, RISK_WORDS } from './words-findings';
export { describePrintIssue, describeTurnIssue, describeVerdictIssue } from './words-issues';
export { type CheckEntry, describeCheckEntry, describeTurn } from './words-ledger';
export { describeFits, describePose, describeStance, SOURCE_WORDS, STATION_WORDS } from './words-stance';
