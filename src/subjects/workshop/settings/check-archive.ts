import { statfs } from 'node:fs/promises';
import path from 'node:path';
import { list } from 'tar';
import { LARGEST_FILE_BYTES } from '@/core/part/mesh';
import { LARGEST_PICTURE_BYTES } from '@/core/job/need';
import { fail, ok, type Result } from '@/core/kit';
import { DATABASE } from '@/store';
import type { RestoreIssue } from './words-restore';

/** Years of work in one database take some hundred megabytes. */
const LARGEST_DATABASE_BYTES = 8 * 1024 ** 3;

const KNOWN_FILES: readonly (readonly [RegExp, number])[] = [
  [/^mellow\.db$/, LARGEST_DATABASE_BYTES],
  [/^meshes\/[0-9a-f]{64}\.stl$/, LARGEST_FILE_BYTES],
  [/^pictures\/[0-9a-f]{64}\.(jpg|png|webp)$/, LARGEST_PICTURE_BYTES],
];

const KNOWN_FOLDER = /^(meshes|pictures)\/?$/;

/** A name as it is quoted to a person: one line, not longer than a line. */
const quoted = (name: string) => name.replace(/[^\x20-\x7e]+/g, '·').slice(0, 80);

function findEntryIssue(
  entry: { readonly path: string; readonly type: string; readonly size: number },
  seen: ReadonlySet<string>,
): RestoreIssue | undefined {
  const { path: name, type, size } = entry;
  if (type === 'Directory' && KNOWN_FOLDER.test(name)) return undefined;
  const known = KNOWN_FILES.find(([pattern]) => pattern.test(name));
  if (known === undefined) return { code: 'strangeEntry', name: quoted(name) };
  if (type !== 'File' && type !== 'OldFile') return { code: 'notAFile', name: quoted(name) };
  if (seen.has(name)) return { code: 'twice', name };
  return size > known[1] ? { code: 'entryTooLarge', name, bytes: size, limitBytes: known[1] } : undefined;
}

/** Free space of the disk that holds a folder, bytes. */
export async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/**
 * Reads through an archive without unpacking anything: known names, regular files, none twice, declared sizes within
 * bounds and all of them together within the free space of the disk. Gives the bytes that unpacking will take.
 */
export async function checkArchive(archive: string): Promise<Result<number, RestoreIssue>> {
  const seen = new Set<string>();
  let issue: RestoreIssue | undefined;
  let bytes = 0;
  try {
    await list({
      file: archive,
      strict: true,
      onReadEntry: (entry) => {
        issue ??= findEntryIssue(entry, seen);
        seen.add(entry.path);
        bytes += entry.size;
      },
    });
  } catch {
    return fail(seen.has(DATABASE) ? { code: 'cutShort' } : { code: 'notABackup' });
  }
  if (issue !== undefined) return fail(issue);
  if (!seen.has(DATABASE)) return fail({ code: 'notABackup' });
  const free = await freeBytes(path.dirname(archive));
  return bytes > free ? fail({ code: 'noRoom', neededBytes: bytes, freeBytes: free }) : ok(bytes);
}
