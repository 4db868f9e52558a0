import { existsSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fail, ok, type Result } from '@/core/kit';
import { ARRIVING, DATABASE, FILE_FOLDERS, GOING, markFile, readMark } from '@/store';

/** Why a data folder is not cleared: something in it was not made by the demo. */
export interface ClearIssue {
  readonly code: 'notTheDemos';
  readonly path: string;
  /** What is in it, some names of many. */
  readonly names: readonly string[];
}

const LOCK = /^bench\.lock/;

/** Files and folders of a workshop. */
function isOfBench(name: string): boolean {
  const known = [DATABASE, `${DATABASE}-wal`, `${DATABASE}-shm`, ...FILE_FOLDERS, 'benches'];
  return known.includes(name) || [ARRIVING, GOING].some((start) => name.startsWith(start));
}

/**
 * Clears a data folder for a fresh demo: only one whose `bench.json` says that the demo made it, and only files of a
 * workshop. Returns the names of what was left alone.
 */
export function clearDemo(root: string): Result<readonly string[], ClearIssue> {
  const names = (existsSync(root) ? readdirSync(root) : []).filter((name) => !LOCK.test(name));
  if (names.length === 0) return ok([]);
  const mark = readMark(root);
  if (!mark.ok || mark.value?.madeBy !== 'demo')
    return fail({ code: 'notTheDemos', path: root, names: names.slice(0, 5) });
  for (const name of names.filter(isOfBench)) rmSync(path.join(root, name), { recursive: true, force: true });
  // The mark goes last: cut short before it, the next fresh demo goes on here.
  rmSync(markFile(root));
  return ok(readdirSync(root).filter((name) => !LOCK.test(name)));
}

export function describeClearIssue({ path: root, names }: ClearIssue): string {
  return `${root} holds a workshop or files that the demo did not create (${names.join(', ')}), so nothing was deleted. Set MELLOW_DATA to another folder, or delete this one yourself.`;
}
