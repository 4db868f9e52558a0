import Database from 'better-sqlite3';
import { accessSync, constants, mkdirSync } from 'node:fs';
import path from 'node:path';
import { fail, ok, type Result } from '@/core/kit';

/** Keeps a data folder to one process. */
export interface Hold {
  release(): void;
}

export type HoldIssue =
  | { readonly code: 'cannotWrite'; readonly path: string; readonly reason: string }
  | { readonly code: 'inUse'; readonly path: string };

/**
 * Takes the data folder for this process, made if it is not there. The lock is the operating system's own on a file, by
 * way of an empty database that is never written: it ends with the process, however that ends, and never grows stale.
 */
export function holdFolder(root: string): Result<Hold, HoldIssue> {
  const file = path.join(/* turbopackIgnore: true */ root, 'bench.lock');
  let lock: Database.Database | undefined;
  try {
    mkdirSync(root, { recursive: true });
    accessSync(root, constants.R_OK | constants.W_OK | constants.X_OK);
    lock = new Database(file, { timeout: 0 });
    lock.pragma('journal_mode = MEMORY');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock?.close();
    const { code = '', message } = error as NodeJS.ErrnoException;
    return code.startsWith('SQLITE_BUSY')
      ? fail({ code: 'inUse', path: root })
      : fail({ code: 'cannotWrite', path: root, reason: message });
  }
  const held = lock;
  return ok({ release: () => held.close() });
}
