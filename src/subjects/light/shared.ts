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
export { parseTrimJson } from './input-trim-json';
export {
  type DeriveIssue,
  describeDeriveIssue,
  describeBracketIssue,
  describeKeepIssue,
  describeStripIssue,
  describeTrimIssue,
  describeWallIssue,
  type KeepIssue,
} from './words-light';
