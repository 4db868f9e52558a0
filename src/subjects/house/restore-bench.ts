import Database from 'better-sqlite3';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { extract, list } from 'tar';
import { fail, ok, type Result } from '@/core/result';
import { closeBenchDb, databaseFile, openDb } from '@/store';
import { FOLDERS } from './back-up-bench';
import type { RestoreIssue } from './words-restore';

const KNOWN_ENTRY =
  /^(mellow\.db|meshes\/?|meshes\/[0-9a-f]{64}\.stl|pictures\/?|pictures\/[0-9a-f]{64}\.(jpg|png|webp))$/;

async function holdsDatabase(archive: string): Promise<boolean> {
  let found = false;
  let strange = false;
  try {
    await list({
      file: archive,
      strict: true,
      onReadEntry: (entry) => {
        strange ||= !KNOWN_ENTRY.test(entry.path);
        found ||= entry.path === 'mellow.db';
      },
    });
  } catch {
    return false;
  }
  return found && !strange;
}

/** Is it a database of ours, whole, and can it be brought to the current schema? */
function checkDatabase(file: string): RestoreIssue | undefined {
  try {
    const probe = new Database(file, { readonly: true });
    const sound = probe.pragma('integrity_check', { simple: true }) === 'ok';
    const ours = probe
      .prepare("select count(*) n from sqlite_master where name in ('jobs','readings')")
      .get() as { n: number };
    probe.close();
    if (!sound) return { code: 'damaged' };
    if (ours.n !== 2) return { code: 'notABackup' };
    openDb(file).$client.close();
    return undefined;
  } catch {
    return { code: 'damaged' };
  }
}

/**
 * Puts a backup in the place of the bench. It is checked whole beside the bench first; what was there is kept in
 * `before-restore` in the data folder, so that nothing is lost by a wrong file.
 */
export async function restoreBackup(archive: string, folder: string): Promise<Result<void, RestoreIssue>> {
  if (!(await holdsDatabase(archive))) return fail({ code: 'notABackup' });
  const staging = path.join(/* turbopackIgnore: true */ folder, `restoring-${Date.now()}`);
  mkdirSync(staging, { recursive: true });
  try {
    await extract({ file: archive, cwd: staging, strict: true });
    const issue = checkDatabase(path.join(staging, 'mellow.db'));
    if (issue !== undefined) return fail(issue);
    swapIn(staging, folder);
    return ok(undefined);
  } finally {
    rmSync(staging, { recursive: true, force: true });
  }
}

function swapIn(staging: string, folder: string): void {
  closeBenchDb();
  const aside = path.join(/* turbopackIgnore: true */ folder, 'before-restore');
  rmSync(aside, { recursive: true, force: true });
  mkdirSync(aside);
  const live = databaseFile(folder);
  for (const name of ['mellow.db', 'mellow.db-wal', 'mellow.db-shm', ...FOLDERS]) {
    const from = path.join(/* turbopackIgnore: true */ folder, name);
    if (existsSync(from)) renameSync(from, path.join(aside, name));
  }
  renameSync(path.join(staging, 'mellow.db'), live);
  for (const name of FOLDERS) {
    const kept = path.join(staging, name);
    if (existsSync(kept)) renameSync(kept, path.join(/* turbopackIgnore: true */ folder, name));
  }
}
