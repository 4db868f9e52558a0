export {
  findingForm,
  findingsInput,
  foundFeatureForm,
  printForm,
  printSetupForm,
  turnInput,
} from './input-check';
export { describeDecided, describeWhere } from './words-findings';
export { describePrintIssue, describeTurnIssue, describeVerdictIssue } from './words-issues';
export { type CheckEntry, describeCheckEntry, describeTurn } from './words-decisions';
export { describeFits, describeOrientation, describePrintSetup, SOURCE_WORDS } from './words-print-setup';
