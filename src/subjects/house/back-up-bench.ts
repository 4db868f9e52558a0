import { cpSync, existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { create } from 'tar';
import type { Connection } from '@/store';

/** Folders of files beside the database. */
export const FOLDERS = ['meshes', 'pictures'] as const;

/** Writes the whole bench, database, parts and pictures, into one compressed archive; gives its path in a folder of its own. */
export async function writeBackup(db: Connection, folder: string): Promise<string> {
  const staging = mkdtempSync(path.join(tmpdir(), 'mellow-backup-'));
  await db.$client.backup(path.join(staging, 'mellow.db'));
  const kept = FOLDERS.filter((name) => existsSync(path.join(/* turbopackIgnore: true */ folder, name)));
  for (const name of kept) {
    const from = path.join(/* turbopackIgnore: true */ folder, name);
    cpSync(from, path.join(staging, name), { recursive: true });
  }
  const file = path.join(staging, 'backup.tar.gz');
  const entries = ['mellow.db', ...kept];
  await create({ gzip: true, file, cwd: staging, portable: true }, entries);
  return file;
}
