import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fail, ok, type Result } from '@/core/kit';
import {
  DATABASE,
  FILE_FOLDERS,
  findDatabaseTrouble,
  GOING,
  listOriginals,
  type Original,
  pointTo,
  readMark,
  writeMark,
} from '@/store';
import type { OriginalIssue } from './words-originals';

const inRoot = (root: string, folder: string) => path.join(/* turbopackIgnore: true */ root, folder);

function find(root: string, folder: string): Result<Original, OriginalIssue> {
  const original = listOriginals(root).find((each) => each.folder === folder);
  return original === undefined ? fail({ code: 'gone' }) : ok(original);
}

/** Puts a replaced workshop in use again; the present one is kept instead. */
export function putOriginalBack(root: string, folder: string, at = new Date()): Result<void, OriginalIssue> {
  const original = find(root, folder);
  if (!original.ok) return original;
  const trouble = findDatabaseTrouble(path.join(inRoot(root, folder), DATABASE));
  if (trouble !== undefined) return fail({ code: 'unsound', trouble });
  pointTo(root, folder, { madeBy: 'person', at });
  return ok(undefined);
}

/** Deletes a replaced workshop permanently: it is moved away, then removed from the list, then deleted. */
export function deleteOriginal(root: string, folder: string): Result<void, OriginalIssue> {
  const original = find(root, folder);
  if (!original.ok) return original;
  const going = inRoot(root, `${GOING}${crypto.randomUUID()}`);
  mkdirSync(going);
  const names = [DATABASE, `${DATABASE}-wal`, `${DATABASE}-shm`, ...FILE_FOLDERS];
  for (const name of names.filter((each) => existsSync(path.join(inRoot(root, folder), each))))
    renameSync(path.join(inRoot(root, folder), name), path.join(going, name));
  const mark = readMark(root);
  if (mark.ok && mark.value !== undefined)
    writeMark(root, { ...mark.value, kept: mark.value.kept.filter((each) => each.folder !== folder) });
  rmSync(going, { recursive: true });
  if (folder !== '.') rmSync(inRoot(root, folder), { recursive: true, force: true });
  return ok(undefined);
}
