export {
  BECAME,
  bracketInput,
  cureInput,
  deriveForm,
  type Derived,
  gaugeForm,
  type GaugeSeen,
  type LightUnit,
  stripForm,
  type StripRead,
  UNITS,
} from './input-light';
export { parseStripsCsv } from './input-strips-csv';
export { parseExposureChangeJson } from './input-exposure-change-json';
export {
  type DeriveIssue,
  describeDeriveIssue,
  describeBracketIssue,
  describeKeepIssue,
  describeStripIssue,
  describeExposureChangeIssue,
  describeWallIssue,
  type KeepIssue,
} from './words-light';
