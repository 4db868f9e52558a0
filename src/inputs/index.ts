export { formatTable, MOST_CSV_ROWS, parseTable, type CsvIssue, type CsvRow } from './csv-table';
export { formatReadingsCsv, parseReadingsCsv, type ReadingRow, type ReadingsCsvIssue } from './readings-csv';
export { formatTargetsCsv, parseTargetsCsv, type TargetsCsvIssue } from './targets-csv';
