import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { fail, ok, type Result } from '@/core/kit';
import { replaceFile } from './disk';

/** Folders of files beside the database. */
export const FILE_FOLDERS = ['meshes', 'pictures'] as const;

export const DATABASE = 'mellow.db';

const MARK = 'bench.json';

/**
 * A workshop in the data folder: the folder itself, one of `benches/`, or where older versions kept what a restore
 * replaced.
 */
const place = z.string().regex(/^(\.|benches\/[\w-]+|before-restore)$/);

/**
 * Content of bench.json: the folder of the workshop in use, and the ones that it replaced. Switching to another
 * workshop means writing this file, and nothing else.
 */
const markShape = z.object({
  kind: z.literal('bench'),
  /** Only what the demo made may a fresh demo delete. */
  madeBy: z.enum(['demo', 'person']),
  current: place,
  /** Benches that were replaced, with the moment, newest first. */
  kept: z.array(z.object({ folder: place, replacedAt: z.iso.datetime() })),
});

export type BenchMark = Readonly<z.infer<typeof markShape>>;

export function markFile(root: string): string {
  return path.join(/* turbopackIgnore: true */ root, MARK);
}

/** The mark of a data folder; undefined where there is none. */
export function readMark(root: string): Result<BenchMark | undefined, { readonly code: 'markUnreadable' }> {
  const file = markFile(root);
  if (!existsSync(file)) return ok(undefined);
  try {
    return ok(markShape.parse(JSON.parse(readFileSync(file, 'utf8'))));
  } catch {
    return fail({ code: 'markUnreadable' });
  }
}

export function writeMark(root: string, mark: BenchMark): void {
  replaceFile(markFile(root), `${JSON.stringify(mark, null, 2)}\n`);
}

/** Returns the folder of the workshop in use, by bench.json. */
export function currentFolder(root: string, mark: BenchMark | undefined): string {
  return path.join(/* turbopackIgnore: true */ root, mark?.current ?? '.');
}

/** Returns the database of the workshop in a data folder. */
export function databaseFile(root: string): string {
  const mark = readMark(root);
  return path.join(currentFolder(root, mark.ok ? mark.value : undefined), DATABASE);
}

/** A replaced workshop, kept until somebody deletes it. */
export interface Original {
  readonly folder: string;
  /** When it was replaced; undefined if unknown. */
  readonly replacedAt?: Date;
  readonly bytes: number;
}

function sizeOf(folder: string): number {
  const size = (name: string) => statSync(path.join(folder, name), { throwIfNoEntry: false })?.size ?? 0;
  const files = FILE_FOLDERS.filter((name) => existsSync(path.join(folder, name))).flatMap((name) =>
    readdirSync(path.join(folder, name)).map((file) => path.join(name, file)),
  );
  return [DATABASE, `${DATABASE}-wal`, ...files].reduce((sum, name) => sum + size(name), 0);
}

/** Returns the workshops in a data folder that are not in use, newest first. */
export function listOriginals(root: string): Original[] {
  const read = readMark(root);
  const mark = read.ok ? read.value : undefined;
  const benches = path.join(/* turbopackIgnore: true */ root, 'benches');
  const found = [
    '.',
    'before-restore',
    ...(existsSync(benches) ? readdirSync(benches).map((name) => `benches/${name}`) : []),
  ];
  return found
    .filter((folder) => folder !== (mark?.current ?? '.') && place.safeParse(folder).success)
    .filter((folder) => existsSync(path.join(/* turbopackIgnore: true */ root, folder, DATABASE)))
    .map((folder) => {
      const noted = mark?.kept.find((each) => each.folder === folder)?.replacedAt;
      return {
        folder,
        replacedAt: noted === undefined ? undefined : new Date(noted),
        bytes: sizeOf(path.join(/* turbopackIgnore: true */ root, folder)),
      };
    })
    .sort((a, b) => Number(b.replacedAt ?? 0) - Number(a.replacedAt ?? 0));
}
