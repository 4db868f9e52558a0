/** Why a workshop cannot be opened, as the store finds it. */
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

/** What is wrong with the workshop, where, and what to do. */
export function describeBenchTrouble({ code, path, reason }: TroubleFacts): string {
  switch (code) {
    case 'cannotWrite':
      return `The data folder ${path} is not writable (${reason}). Make it writable, or set MELLOW_DATA to another folder.`;
    case 'inUse':
      return `Another Mellow Caliper uses the data folder ${path}. Use that one, or stop it first.`;
    case 'markUnreadable':
      return `${path} cannot be read. It defines the workshop in use. Restore a backup or one of the kept workshops.`;
    case 'missing':
      return `The database ${path} is missing, but bench.json refers to it. Restore the file or a backup.`;
    case 'empty':
      return `The database ${path} is empty (0 bytes). Restore a backup. The file is kept.`;
    case 'damaged':
      return `The database ${path} is damaged. Restore a backup. The damaged file is kept.`;
    case 'newer':
      return `A newer version of Mellow Caliper wrote the database ${path}. Update the program, or restore a backup made with this version.`;
    case 'older':
      return `The database ${path} is too old for this version. Open it once with a version in between, or restore a backup.`;
    case 'notOurs':
      return `${path} is not a Mellow Caliper database. Set MELLOW_DATA to another folder, or restore a backup. The file is kept.`;
  }
}

/** Returns whether restoring another workshop helps. */
export function isRepairedByRestore({ code }: TroubleFacts): boolean {
  return code !== 'cannotWrite' && code !== 'inUse';
}
