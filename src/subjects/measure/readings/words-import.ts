import { quoted } from '@/core/kit/wording';
import { describeCsvIssue } from '@/subjects/kit/shared';
import type { ReadingsCsvIssue } from './input-readings-csv';

export type ImportIssue =
  | ReadingsCsvIssue
  | { readonly code: 'gone' }
  | { readonly code: 'noProfile' }
  | { readonly code: 'noInstrument'; readonly line: number; readonly name: string }
  | {
      readonly code: 'otherDrawn' | 'otherReading';
      readonly line: number;
      readonly feature: string;
      readonly haveMm: number;
      readonly fileMm: number;
    };

/** Why a readings.csv was not imported; the line and what to do. */
export function describeImportIssue(issue: ImportIssue): string {
  switch (issue.code) {
    case 'gone':
      return 'this job no longer exists. Load the page again.';
    case 'noProfile':
      return 'choose the printer, resin and profile in Need first.';
    case 'noInstrument':
      return issue.name === ''
        ? 'there is no caliper yet. Add one in Measure, then import the file again.'
        : `line ${issue.line}: there is no caliper named “${quoted(issue.name)}”. Add it in Measure, or leave the cell blank.`;
    case 'otherDrawn':
      return `line ${issue.line}: the drawn size of “${quoted(issue.feature)}” is ${issue.haveMm} mm here and ${issue.fileMm} mm in the file. Correct one of them.`;
    case 'otherReading':
      return `line ${issue.line}: this reading of “${quoted(issue.feature)}” is ${issue.haveMm} mm here and ${issue.fileMm} mm in the file. Delete it in Measure and clear its reading_id in the file, or correct the file.`;
    case 'tooLong':
    case 'outOfRange':
    case 'notAChoice':
    case 'otherKind':
    case 'badNumber':
    case 'notPositive':
    case 'blankName':
    case 'halfAPlace':
    case 'kind':
    case 'emptyTable':
    case 'missingColumns':
    case 'raggedRow':
    case 'tooManyRows':
      return describeCsvIssue(issue);
  }
}
