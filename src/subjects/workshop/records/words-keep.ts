import { describeMeshIssue } from './words-mesh';

export type KeepIssue =
  | { readonly code: 'emptyFile' }
  | { readonly code: 'tooLarge'; readonly bytes: number; readonly limitBytes: number }
  | { readonly code: 'cutInTransfer'; readonly arrived: number; readonly announced: number };

/** Why a file was not stored. */
export function describeKeepIssue(issue: KeepIssue): string {
  switch (issue.code) {
    case 'cutInTransfer':
      return issue.announced > 0
        ? `Only ${issue.arrived} of ${issue.announced} bytes arrived. Drop the file again.`
        : `The connection ended after ${issue.arrived} bytes. Drop the file again.`;
    case 'tooLarge':
      return describeMeshIssue(issue);
    case 'emptyFile':
      return describeMeshIssue(issue);
  }
}
