/** Why a backup was not put in the bench's place. */
export type RestoreIssue =
  | { readonly code: 'notABackup' | 'cutShort' | 'damaged' | 'newer' | 'older' }
  | {
      readonly code: 'strangeEntry' | 'notAFile' | 'twice' | 'otherBytes' | 'strangeSchema';
      readonly name: string;
    }
  | {
      readonly code: 'entryTooLarge';
      readonly name: string;
      readonly bytes: number;
      readonly limitBytes: number;
    }
  | { readonly code: 'tooLarge'; readonly limitBytes: number }
  | { readonly code: 'noRoom'; readonly neededBytes: number; readonly freeBytes: number }
  | { readonly code: 'orphans'; readonly table: string }
  | { readonly code: 'badCells'; readonly table: string; readonly column: string; readonly count: number };

const UNCHANGED = 'Nothing on the bench has changed.';

/** A size of a file as people say it. */
export function describeBytes(bytes: number): string {
  if (bytes < 1e6) return `${Math.max(1, Math.round(bytes / 1e3))} kB`;
  return bytes < 1e9 ? `${Math.round(bytes / 1e6)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;
}

function describeContent(issue: RestoreIssue): string {
  switch (issue.code) {
    case 'strangeEntry':
      return `“${issue.name}” does not belong in a backup.`;
    case 'notAFile':
      return `“${issue.name}” is not a regular file.`;
    case 'twice':
      return `“${issue.name}” is in it twice.`;
    case 'otherBytes':
      return `“${issue.name}” does not hold what its name says; the backup was changed or damaged.`;
    case 'strangeSchema':
      return `its database is not laid out as ours (${issue.name}).`;
    case 'entryTooLarge':
      return `“${issue.name}” is ${describeBytes(issue.bytes)}; ${describeBytes(issue.limitBytes)} is the most it can be.`;
    case 'orphans':
      return `rows of “${issue.table}” belong to rows that are not there.`;
    case 'badCells':
      return `${issue.count} cell${issue.count === 1 ? '' : 's'} of “${issue.table}.${issue.column}” cannot be read.`;
    default:
      return '';
  }
}

export function describeRestoreIssue(issue: RestoreIssue): string {
  switch (issue.code) {
    case 'notABackup':
      return 'this is not a backup of a bench. Choose the file that “Back up the bench” saved.';
    case 'cutShort':
      return `the backup ends too early; it was cut off while it was saved or copied. Copy it again. ${UNCHANGED}`;
    case 'damaged':
      return `the backup’s database is damaged. ${UNCHANGED} Try an earlier backup.`;
    case 'newer':
      return `the backup was made by a newer version of Mellow Caliper. ${UNCHANGED} Update the program first.`;
    case 'older':
      return `the backup is older than any version this one can read. ${UNCHANGED}`;
    case 'tooLarge':
      return `the file is larger than ${describeBytes(issue.limitBytes)}. ${UNCHANGED}`;
    case 'noRoom':
      return `unpacking it takes ${describeBytes(issue.neededBytes)}, and the disk has ${describeBytes(issue.freeBytes)} left. Free some space. ${UNCHANGED}`;
    default:
      return `the backup was not put in place: ${describeContent(issue)} ${UNCHANGED}`;
  }
}
