export { describeCsvIssue } from './csv-issues';
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
