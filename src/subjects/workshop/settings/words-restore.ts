/** Why a backup did not replace the workshop. */
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

const UNCHANGED = 'The current workshop was not changed.';

/** A size of a file as people say it. */
export function describeBytes(bytes: number): string {
  if (bytes < 1e6) return `${Math.max(1, Math.round(bytes / 1e3))} kB`;
  return bytes < 1e9 ? `${Math.round(bytes / 1e6)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;
}

type ContentIssue = Exclude<
  RestoreIssue,
  { code: 'notABackup' | 'cutShort' | 'damaged' | 'newer' | 'older' | 'tooLarge' | 'noRoom' }
>;

function describeContent(issue: ContentIssue): string {
  switch (issue.code) {
    case 'strangeEntry':
      return `“${issue.name}” does not belong in a backup.`;
    case 'notAFile':
      return `“${issue.name}” is not a regular file.`;
    case 'twice':
      return `“${issue.name}” is in the backup twice.`;
    case 'otherBytes':
      return `“${issue.name}” has unexpected contents. The backup was changed or damaged.`;
    case 'strangeSchema':
      return `its database has a different structure (${issue.name}).`;
    case 'entryTooLarge':
      return `“${issue.name}” is ${describeBytes(issue.bytes)}; the limit is ${describeBytes(issue.limitBytes)}.`;
    case 'orphans':
      return `rows of “${issue.table}” refer to missing rows.`;
    case 'badCells':
      return `${issue.count} cell${issue.count === 1 ? '' : 's'} of “${issue.table}.${issue.column}” cannot be read.`;
  }
}

export function describeRestoreIssue(issue: RestoreIssue): string {
  switch (issue.code) {
    case 'notABackup':
      return 'this file is not a backup. Choose the file that “Back up workshop” saved.';
    case 'cutShort':
      return `the backup is incomplete. It was cut off while it was saved or copied. Copy it again. ${UNCHANGED}`;
    case 'damaged':
      return `the database in the backup is damaged. ${UNCHANGED} Try an earlier backup.`;
    case 'newer':
      return `a newer version of Mellow Caliper made this backup. ${UNCHANGED} Update the program first.`;
    case 'older':
      return `the backup is too old for this version. ${UNCHANGED}`;
    case 'tooLarge':
      return `the file is larger than ${describeBytes(issue.limitBytes)}. ${UNCHANGED}`;
    case 'noRoom':
      return `the unpacked backup needs ${describeBytes(issue.neededBytes)}, and the disk has ${describeBytes(issue.freeBytes)} free. Free some space. ${UNCHANGED}`;
    case 'twice':
    case 'strangeEntry':
    case 'notAFile':
    case 'otherBytes':
    case 'strangeSchema':
    case 'entryTooLarge':
    case 'orphans':
    case 'badCells':
      return `the backup was not restored: ${describeContent(issue)} ${UNCHANGED}`;
  }
}
