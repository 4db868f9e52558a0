import { copyFile, link, mkdir, readdir, rm } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { create } from 'tar';
import { fail, ok, type Result } from '@/core/kit';
import {
  arrivingFolder,
  type BenchTrouble,
  DATABASE,
  FILE_FOLDERS,
  findDatabaseTrouble,
  type OpenBench,
} from '@/store';

const KEPT_FILE = /^[0-9a-f]{64}\.(stl|jpg|png|webp)$/;

/** The same bytes under a second name, or a copy where the disk knows no second names. */
async function alsoAs(from: string, to: string): Promise<void> {
  await link(from, to).catch(() => copyFile(from, to));
}

/**
 * Writes the whole bench, database, parts and pictures, into one compressed archive; gives its path in an arriving folder
 * of its own, which the caller takes away. A damaged bench is not backed up: the copy would take a good one's place.
 */
export async function writeBackup({ root, folder, db }: OpenBench): Promise<Result<string, BenchTrouble>> {
  const trouble = findDatabaseTrouble(path.join(folder, DATABASE), { thorough: true });
  if (trouble !== undefined) return fail(trouble);
  const staging = arrivingFolder(root);
  try {
    return ok(await pack({ folder, db }, staging));
  } catch (error) {
    await rm(staging, { recursive: true, force: true });
    throw error;
  }
}

async function pack({ folder, db }: Pick<OpenBench, 'folder' | 'db'>, staging: string): Promise<string> {
  await db.$client.backup(path.join(staging, DATABASE));
  const kept = FILE_FOLDERS.filter((name) => existsSync(path.join(folder, name)));
  for (const name of kept) {
    await mkdir(path.join(staging, name));
    const files = (await readdir(path.join(folder, name))).filter((file) => KEPT_FILE.test(file));
    for (const file of files) await alsoAs(path.join(folder, name, file), path.join(staging, name, file));
  }
  const file = path.join(staging, 'backup.tar.gz');
  await create({ gzip: true, file, cwd: staging, portable: true }, [DATABASE, ...kept]);
  return file;
}
