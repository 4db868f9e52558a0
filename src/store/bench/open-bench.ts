import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fail, ok, type Result } from '@/core/kit';
import { type Connection, openDb } from '../client';
import { setAsideImpossible } from '../set-aside-impossible';
import { ARRIVING, moveTo, syncPath } from './disk';
import { type DatabaseTrouble, findDatabaseTrouble } from './find-trouble';
import { type HoldIssue, type Hold, holdFolder } from './hold-folder';
import { NOT_YET_IN_PLACE, tidyLeftovers } from './leftovers';
import {
  type BenchMark,
  currentFolder,
  DATABASE,
  listOriginals,
  markFile,
  readMark,
  writeMark,
} from './mark';

/** Why a workshop cannot be opened. */
export type BenchTrouble =
  HoldIssue | DatabaseTrouble | { readonly code: 'markUnreadable'; readonly path: string };

export interface OpenBench {
  /** The data folder. */
  readonly root: string;
  /** Folder of the workshop: its database and its files. */
  readonly folder: string;
  readonly db: Connection;
}

/** A data folder that this process holds, and its bench, if it can be opened. */
export interface HeldBench {
  readonly root: string;
  readonly hold: Hold;
  readonly opened: Result<OpenBench, BenchTrouble>;
}

/** A new, empty database under its final name; a half-made one never bears it. */
function createDatabase(folder: string): void {
  const arriving = path.join(/* turbopackIgnore: true */ folder, `${ARRIVING}${DATABASE}`);
  openDb(arriving).$client.close();
  syncPath(arriving);
  moveTo(arriving, path.join(/* turbopackIgnore: true */ folder, DATABASE));
}

/** Opens the workshop of a held folder; creates a new one only if bench.json names none. */
export function openHeldBench(root: string): Result<OpenBench, BenchTrouble> {
  const mark = readMark(root);
  if (!mark.ok) return fail({ code: 'markUnreadable', path: markFile(root) });
  const folder = currentFolder(root, mark.value);
  const file = path.join(folder, DATABASE);
  if (mark.value === undefined && !existsSync(file)) {
    // If bench.json was lost, no new workshop may be created beside the existing ones.
    if (listOriginals(root).length > 0) return fail({ code: 'markUnreadable', path: markFile(root) });
    createDatabase(folder);
  }
  const trouble = findDatabaseTrouble(file);
  if (trouble !== undefined) return fail(trouble);
  const db = openDb(file);
  setAsideImpossible(db);
  if (mark.value === undefined) writeMark(root, { kind: 'bench', madeBy: 'person', current: '.', kept: [] });
  return ok({ root, folder, db });
}

/** Takes a data folder and opens its bench; of what fails the hold stays, so that a backup can be put in place. */
export function openBenchAt(root: string): Result<HeldBench, HoldIssue> {
  const hold = holdFolder(root);
  if (!hold.ok) return hold;
  // Only here: while the folder is served, what is arriving is no leftover.
  const mark = readMark(root);
  if (mark.ok) tidyLeftovers(root, mark.value);
  return ok({ root, hold: hold.value, opened: openHeldBench(root) });
}

/** A folder in the data folder for what is on its way into it. */
export function arrivingFolder(root: string): string {
  const folder = path.join(/* turbopackIgnore: true */ root, `${ARRIVING}${crypto.randomUUID()}`);
  mkdirSync(folder, { recursive: true });
  return folder;
}

/** Writes that another bench of the data folder is the one in use; the one before is kept. */
export function pointTo(
  root: string,
  folder: string,
  change: { madeBy: BenchMark['madeBy']; at: Date },
): void {
  const read = readMark(root);
  const mark = read.ok ? read.value : undefined;
  const before = mark?.current ?? '.';
  const hadBench = existsSync(path.join(/* turbopackIgnore: true */ root, before, DATABASE));
  const kept = (mark?.kept ?? []).filter((each) => each.folder !== folder && each.folder !== before);
  writeMark(root, {
    kind: 'bench',
    madeBy: change.madeBy,
    current: folder,
    kept: hadBench ? [{ folder: before, replacedAt: change.at.toISOString() }, ...kept] : kept,
  });
}

/**
 * Replaces the workshop in use by one that is complete in an arriving folder. The deciding step is the write of
 * bench.json: before it a start finds the old workshop, after it the new one.
 */
export function putInPlace(
  root: string,
  arrived: string,
  change: { readonly madeBy: BenchMark['madeBy']; readonly at: Date },
): string {
  writeFileSync(path.join(arrived, NOT_YET_IN_PLACE), '');
  const benches = path.join(/* turbopackIgnore: true */ root, 'benches');
  mkdirSync(benches, { recursive: true });
  const day = change.at.toISOString().slice(0, 19).replaceAll(':', '-');
  let name = day;
  for (let again = 2; existsSync(path.join(benches, name)); again++) name = `${day}-${again}`;
  moveTo(arrived, path.join(benches, name));
  pointTo(root, `benches/${name}`, change);
  rmSync(path.join(benches, name, NOT_YET_IN_PLACE));
  return `benches/${name}`;
}
