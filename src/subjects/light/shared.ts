export { parseStripsCsv } from './input-strips-csv';
export { parseTrimJson } from './input-trim-json';
export { describeBracketIssue, describeStripIssue, describeTrimIssue } from './words-light';
