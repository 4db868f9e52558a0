/** Why something could not be written or read just now. */
export interface StorageTrouble {
  readonly code: 'diskFull' | 'locked' | 'readOnly' | 'damaged' | 'replaced' | 'diskFails' | 'closed';
}

export function describeStorageTrouble({ code }: StorageTrouble): string {
  switch (code) {
    case 'diskFull':
      return 'the disk is full, and nothing was saved. Free some space, then send it again.';
    case 'locked':
      return 'another program is holding the database, and nothing was saved. Close it there, then send it again.';
    case 'readOnly':
      return 'the data folder cannot be written, and nothing was saved. Make it writable, then send it again.';
    case 'damaged':
      return 'the database is damaged. Restore a backup under /rescue; what is there now is kept.';
    case 'replaced':
      return 'another bench was put in place meanwhile, and nothing was saved. Load the page again.';
    case 'diskFails':
      return 'the disk does not answer as it should, and nothing was saved. Check the disk, then send it again.';
    case 'closed':
      return 'the bench cannot be opened. Load the page again to see why.';
  }
}
