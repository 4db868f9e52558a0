import { LARGEST_FILE_BYTES } from '@/core/mesh';
import type { ReadingsCsvIssue } from '@/inputs';
import { describeCsvIssue } from './csv-issues';
import { describeChangeIssue } from './job-issues';
import { describeMeshIssue } from './mesh-issues';

type ImportIssue =
  | ReadingsCsvIssue
  | { readonly code: 'gone' }
  | { readonly code: 'noProfile' }
  | { readonly code: 'noInstrument'; readonly line: number; readonly name: string }
  | {
      readonly code: 'otherDrawn';
      readonly line: number;
      readonly feature: string;
      readonly haveMm: number;
      readonly fileMm: number;
    };

/** Why a readings.csv was not taken into a job; the line and the mend. */
export function describeImportIssue(issue: ImportIssue): string {
  switch (issue.code) {
    case 'gone':
    case 'noProfile':
      return describeChangeIssue(issue);
    case 'noInstrument':
      return issue.name === ''
        ? 'there is no instrument on this bench yet. Make one under Measure, then bring the file in again.'
        : `line ${issue.line}: the instrument “${issue.name}” is not on this bench. Make it under Measure, or leave the cell blank.`;
    case 'otherDrawn':
      return `line ${issue.line}: “${issue.feature}” is drawn ${issue.haveMm} mm here and ${issue.fileMm} mm in the file. Mend one of them.`;
    default:
      return describeCsvIssue(issue);
  }
}

type KeepIssue =
  | { readonly code: 'emptyFile' }
  | { readonly code: 'tooLarge'; readonly bytes: number; readonly limitBytes: number }
  | { readonly code: 'cutInTransfer'; readonly arrived: number; readonly announced: number };

/** Why a file was not kept. */
export function describeKeepIssue(issue: KeepIssue): string {
  switch (issue.code) {
    case 'cutInTransfer':
      return `Only ${issue.arrived} of ${issue.announced} bytes arrived. Drop the file again.`;
    case 'tooLarge':
      return describeMeshIssue({ ...issue, limitBytes: LARGEST_FILE_BYTES });
    case 'emptyFile':
      return describeMeshIssue(issue);
  }
}
