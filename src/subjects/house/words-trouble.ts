/** Why a bench cannot be opened, as the store finds it. */
interface TroubleFacts {
  readonly code:
    | 'cannotWrite'
    | 'inUse'
    | 'markUnreadable'
    | 'missing'
    | 'empty'
    | 'damaged'
    | 'newer'
    | 'older'
    | 'notOurs';
  readonly path: string;
  readonly reason?: string;
}

/** What is wrong with the bench, where, and how to mend it. */
export function describeBenchTrouble({ code, path, reason }: TroubleFacts): string {
  switch (code) {
    case 'cannotWrite':
      return `The data folder ${path} cannot be written (${reason}). Make it writable, or name another folder in MELLOW_DATA.`;
    case 'inUse':
      return `The data folder ${path} is in use by another Mellow Caliper. Use that one, or stop it first.`;
    case 'markUnreadable':
      return `${path} cannot be read; it says which bench is in use. Restore a backup, or put one of the kept benches back.`;
    case 'missing':
      return `The database ${path} is missing, though bench.json says there is one. Put the file back, or restore a backup.`;
    case 'empty':
      return `The database ${path} is empty (0 bytes). Restore a backup; the file is kept.`;
    case 'damaged':
      return `The database ${path} is damaged. Restore a backup; the damaged file is kept.`;
    case 'newer':
      return `The database ${path} was written by a newer version of Mellow Caliper. Update the program, or restore a backup made with this version.`;
    case 'older':
      return `The database ${path} is older than any version this one can read. Open it once with a version in between, or restore a backup.`;
    case 'notOurs':
      return `${path} is not a database of Mellow Caliper. Name another folder in MELLOW_DATA, or restore a backup; the file is kept.`;
  }
}

/** Whether putting another bench in place mends it. */
export function isMendedByRestore({ code }: TroubleFacts): boolean {
  return code !== 'cannotWrite' && code !== 'inUse';
}
