import { quoted } from '@/core/kit/wording';
import type { CellIssue, RowIssue } from './input-cells';
import type { CsvIssue } from './input-table';
import { describeKindIssue, describeQuantityIssue } from './words-lengths';

function describeTableIssue(issue: CsvIssue): string {
  switch (issue.code) {
    case 'emptyTable':
      return 'the file has no rows. Put column names in the first line and one row in each further line.';
    case 'missingColumns':
      return `line 1: the column${issue.missing.length > 1 ? 's' : ''} ${issue.missing.join(', ')} missing (found: ${quoted(issue.found.join(', '))}). Add ${issue.missing.length > 1 ? 'them' : 'it'} to the header line.`;
    case 'raggedRow':
      return `line ${issue.line}: ${issue.cells} cells, but the header has ${issue.wanted}. Check commas and quotes in that line.`;
    case 'tooManyRows':
      return `line ${issue.line}: more than ${issue.limit} rows. Split the file, or keep only the rows of this job.`;
  }
}

function describeCellIssue(issue: CellIssue): string {
  switch (issue.code) {
    case 'notAChoice':
      return `line ${issue.line}, ${issue.column}: ${issue.text === '' ? 'blank' : `“${quoted(issue.text)}”`} is not valid. Use one of ${issue.choices.join(', ')}.`;
    case 'badNumber':
      return `line ${issue.line}, ${issue.column}: ${describeQuantityIssue(issue.issue)}`;
    case 'notPositive':
      return `line ${issue.line}, ${issue.column}: ${issue.value} is not a valid size. A size must be above zero.`;
    case 'outOfRange':
      return `line ${issue.line}, ${issue.column}: ${issue.value} is outside ${issue.bounds.low} to ${issue.bounds.high} ${issue.bounds.unit}. Check the digits.`;
    case 'tooLong':
      return `line ${issue.line}, ${issue.column}: longer than ${issue.limit} characters. Shorten it.`;
    case 'blankName':
      return `line ${issue.line}, ${issue.column}: empty. Enter a name.`;
    case 'halfAPlace':
      return `line ${issue.line}, ${issue.missing}: empty, but the other coordinate is given. Enter both, or neither.`;
    case 'kind':
      return `line ${issue.line}: ${describeKindIssue(issue.issue)}.`;
  }
}

/**
 * One sentence for anything wrong with readings.csv, targets.csv or the outcomes of a gap test: the line and what to
 * do.
 */
export function describeCsvIssue(issue: RowIssue | CellIssue | CsvIssue): string {
  switch (issue.code) {
    case 'otherKind':
      return `line ${issue.line}: “${quoted(issue.feature)}” has a different sense, shape, axis or base than in line ${issue.firstLine}. Use another name, or correct one of the lines.`;
    case 'limitsCrossed':
      return `line ${issue.line}: tol_minus_mm of “${quoted(issue.feature)}” must be zero or negative and below tol_plus_mm.`;
    case 'twice':
      return `line ${issue.line}: “${quoted(issue.feature)}” is in the file twice. Keep one line.`;
    case 'emptyTable':
    case 'missingColumns':
    case 'raggedRow':
    case 'tooManyRows':
      return describeTableIssue(issue);
    case 'tooLong':
    case 'outOfRange':
    case 'notAChoice':
    case 'badNumber':
    case 'notPositive':
    case 'blankName':
    case 'halfAPlace':
    case 'kind':
      return describeCellIssue(issue);
  }
}
