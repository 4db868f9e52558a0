import { BenchClosed } from './bench';
import type { StorageTrouble } from './words-storage';

const ERRORS: readonly (readonly [RegExp, StorageTrouble['code']])[] = [
  [/^(SQLITE_FULL|ENOSPC|EDQUOT)/, 'diskFull'],
  [/^SQLITE_(BUSY|LOCKED)/, 'locked'],
  [/^(SQLITE_(READONLY|CANTOPEN|PERM)|EROFS|EACCES|EPERM)/, 'readOnly'],
  [/^SQLITE_(CORRUPT|NOTADB)/, 'damaged'],
  [/^(SQLITE_IOERR|EIO)/, 'diskFails'],
];

/** What kept a write or a read from the disk; undefined when the error is of another kind. */
export function storageTroubleOf(error: unknown): StorageTrouble | undefined {
  if (!(error instanceof Error)) return undefined;
  if (error instanceof BenchClosed) return { code: 'closed' };
  if (/connection is not open/.test(error.message)) return { code: 'replaced' };
  const code = String((error as NodeJS.ErrnoException).code ?? '');
  const known = ERRORS.find(([pattern]) => pattern.test(code));
  return known === undefined ? storageTroubleOf(error.cause) : { code: known[1] };
}
