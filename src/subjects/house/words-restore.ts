/** Why a backup was not put in the bench's place. */
export type RestoreIssue = { readonly code: 'notABackup' } | { readonly code: 'damaged' };

export function describeRestoreIssue(issue: RestoreIssue): string {
  switch (issue.code) {
    case 'notABackup':
      return 'this is not a backup of a bench. Choose the file that “Back the bench up” wrote.';
    case 'damaged':
      return 'the backup is damaged and was not put in place. Nothing on the bench has changed.';
  }
}
