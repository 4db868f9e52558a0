import { describeCsvIssue, quoted } from '@/subjects/language/shared';
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

/** Why a readings.csv was not taken into a job; the line and the mend. */
export function describeImportIssue(issue: ImportIssue): string {
  switch (issue.code) {
    case 'gone':
      return 'this job no longer exists. Load the page again.';
    case 'noProfile':
      return 'choose the printer, resin and profile under Need first.';
    case 'noInstrument':
      return issue.name === ''
        ? 'there is no instrument on this bench yet. Make one under Measure, then import the file again.'
        : `line ${issue.line}: the instrument “${quoted(issue.name)}” is not on this bench. Make it under Measure, or leave the cell blank.`;
    case 'otherDrawn':
      return `line ${issue.line}: “${quoted(issue.feature)}” is drawn ${issue.haveMm} mm here and ${issue.fileMm} mm in the file. Correct one of them.`;
    case 'otherReading':
      return `line ${issue.line}: this reading of “${quoted(issue.feature)}” is here as ${issue.haveMm} mm, and the file says ${issue.fileMm} mm. Take it back under Measure and clear its reading_id in the file, or correct the file.`;
    default:
      return describeCsvIssue(issue);
  }
}
