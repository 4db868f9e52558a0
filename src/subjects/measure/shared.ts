export { readingInput, type ReadingInput, tryInput } from './input-reading';
export { parseReadingsCsv, type ReadingRow } from './input-readings-csv';
export { describeImportIssue } from './words-import';
