import { chmodSync, existsSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { extract } from 'tar';
import { fail, ok, type Result } from '@/core/kit';
import { arrivingFolder, DATABASE, FILE_FOLDERS, putInPlace, syncPath } from '@/store';
import { checkArchive } from './check-archive';
import { checkBroughtBench } from './check-brought-bench';
import type { RestoreIssue } from './words-restore';

/** Makes an unpacked bench last: its files, then the folders that name them. */
function syncBench(folder: string): void {
  const files = FILE_FOLDERS.filter((name) => existsSync(path.join(folder, name)));
  for (const name of files) {
    for (const file of readdirSync(path.join(folder, name))) syncPath(path.join(folder, name, file));
    syncPath(path.join(folder, name));
  }
  chmodSync(path.join(folder, DATABASE), 0o644);
  syncPath(path.join(folder, DATABASE));
  syncPath(folder);
}

/**
 * Replaces the workshop by a backup. The backup is unpacked and checked completely beside it first; then one write of
 * bench.json puts it in use. The old workshop stays unchanged until somebody deletes it.
 */
export async function restoreBackup(
  archive: string,
  root: string,
  at = new Date(),
): Promise<Result<void, RestoreIssue>> {
  const listed = await checkArchive(archive);
  if (!listed.ok) return listed;
  const arriving = arrivingFolder(root);
  try {
    await extract({ file: archive, cwd: arriving, strict: true });
    const issue = await checkBroughtBench(arriving);
    if (issue !== undefined) return fail(issue);
    syncBench(arriving);
    putInPlace(root, arriving, { madeBy: 'person', at });
    return ok(undefined);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code?.startsWith('TAR_')) return fail({ code: 'cutShort' });
    throw error;
  } finally {
    rmSync(arriving, { recursive: true, force: true });
  }
}
