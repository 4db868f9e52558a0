export { readingInput, type ReadingInput, tryInput, type TryInput } from './input-reading';
export { formatReadingsCsv, parseReadingsCsv, type ReadingRow } from './input-readings-csv';
export { describeImportIssue } from './words-import';
export { describeReadingIssue, describeTakeBackIssue, type ReadingIssue } from './words-issues';
export { describeMeasureEntry, type MeasureEntry } from './words-decisions';
