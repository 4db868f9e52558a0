import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import Database from 'better-sqlite3';
import { expectOk } from '@/core/kit';
import { DATABASE, databaseFile, listOriginals, type OpenBench, openBenchAt, queries } from '@/store';
import { deleteOriginal, putOriginalBack, restoreBackup } from '@/subjects/workshop/settings';
import { keepPartFile } from '@/subjects/job/jobs';
import { importReadings } from '@/subjects/measure/readings';
import { keepPicture } from '@/subjects/job/need';
import { pngOf } from '@/testing/pictures';
import { keepMesh } from '@/subjects/workshop/records';

/** Beside the data folder: the backup that is restored. */
export const backupBeside = (root: string) => `${root}.tar.gz`;

const PICTURE = pngOf(400, 250, { grey: 7 });

const HEADER = 'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm';
const ROWS = Array.from(
  { length: 40 },
  (_, i) => `hole ${i % 5},inside,round,XY,,,8,P${i % 3},cured,8.0${i % 10}`,
);

const jobOf = ({ db }: OpenBench) => queries.listJobs(db).at(-1)!.job.id;

/** The writes that a crash is let loose on, each as the server does it. */
export const WRITES: Readonly<Record<string, (bench: OpenBench) => Promise<void>>> = {
  restore: async ({ root }) => {
    expectOk(await restoreBackup(backupBeside(root), root, new Date(Date.UTC(2026, 10, 3))));
  },
  putBack: async ({ root }) => {
    expectOk(putOriginalBack(root, listOriginals(root)[0].folder, new Date(Date.UTC(2026, 10, 4))));
  },
  deleteOriginal: async ({ root }) => {
    expectOk(deleteOriginal(root, listOriginals(root)[0].folder));
  },
  upload: async (bench) => {
    const body = Readable.from([Buffer.alloc(70_000, 1), Buffer.alloc(70_000, 2)]);
    const hash = expectOk(await keepMesh(bench.db, bench.folder, { name: 'part.stl', body }));
    keepPartFile(bench.db, jobOf(bench), hash, 'part.stl');
  },
  photo: async (bench) => {
    const picture = { bytes: PICTURE, caption: 'the old part' };
    expectOk(await keepPicture(bench.db, bench.folder, jobOf(bench), picture));
  },
  import: async (bench) => {
    expectOk(importReadings(bench.db, jobOf(bench), [HEADER, ...ROWS, ''].join('\n')));
  },
};

/** Columns that differ from one run to the next though the same was written. */
const PASSING = /^(created_at|at|added_at|made_at|started_at|taken_at|evidence_key|replacedAt)$/;

function rowsOf(file: string): string[] {
  const db = new Database(file, { readonly: true });
  const tables = db
    .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name")
    .pluck()
    .all() as string[];
  const rows = tables.flatMap((table) =>
    (db.prepare(`select * from "${table}"`).all() as Record<string, unknown>[]).map((row) =>
      JSON.stringify([table, Object.entries(row).filter(([column]) => !PASSING.test(column))]),
    ),
  );
  db.close();
  return rows;
}

/** Written after what they follow from: files that nothing refers to yet, and what was learned: the history of signatures and the laws. */
const FOLLOWS = /^\["(meshes|signatures|laws)"/;

/** The content of a workshop, as one hash. */
export function rowsHash(folder: string): string {
  const said = rowsOf(path.join(folder, DATABASE)).filter((row) => !FOLLOWS.test(row));
  return createHash('sha256').update(JSON.stringify(said)).digest('hex');
}

/** The files of a workshop, as names of their kind and bytes. */
export function filesOf(folder: string): string[] {
  return ['meshes', 'pictures']
    .filter((kind) => existsSync(path.join(folder, kind)))
    .flatMap((kind) => readdirSync(path.join(folder, kind)).map((name) => path.join(kind, name)))
    .sort();
}

/** What a start after the crash finds: the workshop in use, and every other that is kept. */
export interface Found {
  readonly rows: string;
  readonly files: readonly string[];
  /** The rows of every other bench that is kept. */
  readonly originals: readonly string[];
  /** Files of the workshop whose content does not match their name. */
  readonly broken: readonly string[];
  readonly leftovers: readonly string[];
}

const isWhole = (file: string) =>
  createHash('sha256').update(readFileSync(file)).digest('hex') === path.basename(file).split('.')[0];

/** Opens the workshop of a data folder as the server does, and returns what is there. */
export function startAndLook(root: string): Found {
  const held = expectOk(openBenchAt(root));
  const { db, folder } = expectOk(held.opened);
  db.$client.close();
  held.hold.release();
  const files = filesOf(folder);
  const names = [...readdirSync(root), ...files.map((file) => path.basename(file))];
  return {
    rows: rowsHash(path.dirname(databaseFile(root))),
    files,
    originals: listOriginals(root).map((original) => rowsHash(path.join(root, original.folder))),
    broken: files.filter((file) => !isWhole(path.join(folder, file))),
    leftovers: names.filter((name) => /^(arriving|going|restoring)-/.test(name)),
  };
}
