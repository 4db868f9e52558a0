export { houseForm, instrumentForm, profileForm, sessionForm } from './bench-forms';
export { formatTable, MOST_CSV_ROWS, parseTable, type CsvIssue, type CsvRow } from './csv-table';
export { parseForm, type FieldIssue, type FormIssue } from './form-fields';
export { attemptForm, featureForm, needForm, newJobForm } from './job-forms';
export { readingInput, tryInput, type ReadingInput, type TryInput } from './reading-input';
export { formatReadingsCsv, parseReadingsCsv, type ReadingRow, type ReadingsCsvIssue } from './readings-csv';
export { formatTargetsCsv, parseTargetsCsv, type TargetsCsvIssue } from './targets-csv';
