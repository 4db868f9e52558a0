import { momentOf } from '@/core/kit/wording';
import path from 'node:path';
import { DATABASE, dataFolder, findDatabaseTrouble, listOriginals, theBench } from '@/store';

/** The data folder with the replaced workshops, even if the one in use cannot be opened. */
export function viewOriginals() {
  const root = dataFolder();
  const originals = listOriginals(root).map(({ folder, replacedAt, bytes }) => ({
    folder,
    bytes,
    replacedOn: replacedAt && momentOf(replacedAt),
  }));
  return { root, originals };
}

/** Why the workshop cannot be opened; undefined if it can. */
export function benchTrouble() {
  const opened = theBench();
  return opened.ok ? undefined : opened.issue;
}

/** The same after reading its database through once more. */
export function examineBench() {
  const opened = theBench();
  if (!opened.ok) return opened.issue;
  return findDatabaseTrouble(path.join(opened.value.folder, DATABASE), { thorough: true });
}
