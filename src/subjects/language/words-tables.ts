import type { CellIssue, RowIssue } from './input-cells';
import type { CsvIssue } from './input-table';
import { describeKindIssue, describeQuantityIssue } from './words-lengths';
import { quoted } from './words-quoted';

function describeTableIssue(issue: CsvIssue): string {
  switch (issue.code) {
    case 'emptyTable':
      return 'the file holds no rows. The first line names the columns, each further line is one row.';
    case 'missingColumns':
      return `line 1: the column${issue.missing.length > 1 ? 's' : ''} ${issue.missing.join(', ')} missing (found: ${quoted(issue.found.join(', '))}). Add ${issue.missing.length > 1 ? 'them' : 'it'} to the header line.`;
    case 'raggedRow':
      return `line ${issue.line}: ${issue.cells} cells where the header has ${issue.wanted}. Check commas and quotes in that line.`;
    case 'tooManyRows':
      return `line ${issue.line}: more than ${issue.limit} rows. Split the file, or keep only the rows of this job.`;
  }
}

function describeCellIssue(issue: CellIssue): string {
  switch (issue.code) {
    case 'notAChoice':
      return `line ${issue.line}, ${issue.column}: ${issue.text === '' ? 'blank' : `“${quoted(issue.text)}”`} where one of ${issue.choices.join(', ')} is needed.`;
    case 'badNumber':
      return `line ${issue.line}, ${issue.column}: ${describeQuantityIssue(issue.issue)}`;
    case 'notPositive':
      return `line ${issue.line}, ${issue.column}: ${issue.value} cannot be a size; it must be above zero.`;
    case 'outOfRange':
      return `line ${issue.line}, ${issue.column}: ${issue.value} must lie between ${issue.bounds.low} and ${issue.bounds.high} ${issue.bounds.unit}. Check the digits.`;
    case 'tooLong':
      return `line ${issue.line}, ${issue.column}: longer than ${issue.limit} characters. Shorten it.`;
    case 'blankName':
      return `line ${issue.line}, ${issue.column}: blank. Give it a name.`;
    case 'halfAPlace':
      return `line ${issue.line}, ${issue.missing}: blank, but the other half of the place is given. Give both, or neither.`;
    case 'kind':
      return `line ${issue.line}: ${describeKindIssue(issue.issue)}.`;
  }
}

/** One sentence for anything wrong with readings.csv, targets.csv or a ladder's outcomes: the line and the mend. */
export function describeCsvIssue(issue: RowIssue | CellIssue | CsvIssue): string {
  switch (issue.code) {
    case 'otherKind':
      return `line ${issue.line}: “${quoted(issue.feature)}” has another sense, shape, axis or base than in line ${issue.firstLine}. Use another name, or correct one of the lines.`;
    case 'limitsCrossed':
      return `line ${issue.line}: tol_minus_mm of “${quoted(issue.feature)}” must be zero or negative and below tol_plus_mm.`;
    case 'twice':
      return `line ${issue.line}: “${quoted(issue.feature)}” is in the file twice. Keep one of the lines.`;
    case 'emptyTable':
    case 'missingColumns':
    case 'raggedRow':
    case 'tooManyRows':
      return describeTableIssue(issue);
    default:
      return describeCellIssue(issue);
  }
}
