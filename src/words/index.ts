export { describeCsvIssue } from './csv-issues';
export { describeFormIssue } from './form-issues';
export {
  describeDoubt,
  describeKindIssue,
  describeLengthIssue,
  describeLengthNote,
  formatChance,
  formatMm,
  formatSigned,
} from './lengths';
export { describeMeasureIssue, describeMeshFaults, describeStlIssue } from './mesh-issues';
export {
  describeFitWord,
  describeKind,
  describeOutcome,
  describeRule,
  describeSettling,
  describeVerdict,
  parameterWords,
} from './verdicts';
