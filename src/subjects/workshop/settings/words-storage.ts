/** Why something could not be written or read just now. */
export interface StorageTrouble {
  readonly code: 'diskFull' | 'locked' | 'readOnly' | 'damaged' | 'replaced' | 'diskFails' | 'closed';
}

export function describeStorageTrouble({ code }: StorageTrouble): string {
  switch (code) {
    case 'diskFull':
      return 'the disk is full, so nothing was saved. Free some space, then send it again.';
    case 'locked':
      return 'another program has locked the database, so nothing was saved. Close that program, then send it again.';
    case 'readOnly':
      return 'the data folder cannot be written, so nothing was saved. Make it writable, then send it again.';
    case 'damaged':
      return 'the database is damaged. Restore a backup at /rescue. The current files are kept.';
    case 'replaced':
      return 'another workshop was restored in the meantime, so nothing was saved. Reload the page.';
    case 'diskFails':
      return 'the disk reports an error, so nothing was saved. Check the disk, then send it again.';
    case 'closed':
      return 'the workshop cannot be opened. Reload the page to see why.';
  }
}
