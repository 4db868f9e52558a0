import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { create } from 'tar';
import { expectOk } from '@/core/kit';
import { DATABASE, databaseFile, listOriginals, openBenchAt, openDb, queries } from '@/store';
import { createJob } from '@/subjects/job/jobs';
import { recordReading } from '@/subjects/measure/readings';
import { keepPicture } from '@/subjects/job/need';
import { pngOf } from '@/testing/pictures';
import { benchOnDisk, standing } from '@/testing/bench';
import { writeBackup } from '../back-up-bench';
import { deleteOriginal, putOriginalBack } from '../keep-originals';
import { restoreBackup } from '../restore-bench';
import { describeRestoreIssue } from '../words-restore';

const PNG = pngOf();

let source: ReturnType<typeof benchOnDisk>;
let target: ReturnType<typeof benchOnDisk>;
beforeEach(() => {
  source = benchOnDisk();
  target = benchOnDisk();
});
afterEach(() => {
  source.end();
  target.end();
});

/** What a data folder's next start opens: the names of its jobs. */
function jobsAfterStart(root: string): string[] {
  const held = expectOk(openBenchAt(root));
  const { db } = expectOk(held.opened);
  const names = queries.listJobs(db).map(({ job }) => job.name);
  db.$client.close();
  held.hold.release();
  return names;
}

async function backupOfSource(): Promise<string> {
  recordReading(source.db, source.reading(source.bore, 9.43));
  expectOk(await keepPicture(source.db, source.folder, source.jobId, { bytes: PNG, caption: 'old' }));
  createJob(source.db, 'came with the backup');
  return expectOk(await writeBackup(source.opened));
}

describe('a backup put in place', () => {
  test('is the bench that the next start opens, and the one before is kept as it was', async () => {
    const archive = await backupOfSource();
    createJob(target.db, 'was here before');
    const { root } = target;
    expectOk(await restoreBackup(archive, root, new Date(Date.UTC(2026, 10, 3, 8, 0, 0))));
    target.db.$client.close();
    target.hold.release();
    expect(jobsAfterStart(root)).toContain('came with the backup');
    const restored = openDb(databaseFile(root));
    expect(standing(restored, source.printId)).toEqual([9.43]);
    restored.$client.close();
    const [original] = listOriginals(root);
    expect(original).toMatchObject({ folder: '.', replacedAt: new Date(Date.UTC(2026, 10, 3, 8, 0, 0)) });
    const before = openDb(path.join(root, original.folder, DATABASE));
    expect(queries.listJobs(before).map(({ job }) => job.name)).toContain('was here before');
    before.$client.close();
  });

  test('twice keeps both that were replaced; each can be put back or deleted by itself', async () => {
    const archive = await backupOfSource();
    const { root } = target;
    createJob(target.db, 'the first');
    expectOk(await restoreBackup(archive, root, new Date(Date.UTC(2026, 10, 3))));
    expectOk(await restoreBackup(archive, root, new Date(Date.UTC(2026, 10, 4))));
    expect(listOriginals(root).map(({ folder }) => folder)).toEqual(['benches/2026-11-03T00-00-00', '.']);
    target.db.$client.close();
    target.hold.release();
    expectOk(putOriginalBack(root, '.'));
    expect(jobsAfterStart(root)).toContain('the first');
    expect(listOriginals(root).map(({ folder }) => folder)).toEqual([
      'benches/2026-11-04T00-00-00',
      'benches/2026-11-03T00-00-00',
    ]);
    expectOk(deleteOriginal(root, 'benches/2026-11-03T00-00-00'));
    expect(deleteOriginal(root, 'benches/2026-11-03T00-00-00')).toEqual({
      ok: false,
      issue: { code: 'gone' },
    });
    expect(listOriginals(root)).toHaveLength(1);
    expect(existsSync(path.join(root, 'benches/2026-11-03T00-00-00'))).toBe(false);
  });

  test('the bench in use is none that can be deleted, nor is anything outside of the data folder', async () => {
    for (const folder of ['.', '..', '../..', 'benches/../..', '/etc', 'meshes'])
      expect(deleteOriginal(target.root, folder)).toEqual({ ok: false, issue: { code: 'gone' } });
    expect(existsSync(databaseFile(target.root))).toBe(true);
  });

  test('is found where an older version kept what a restore replaced', async () => {
    const { root } = target;
    mkdirSync(path.join(root, 'before-restore'));
    cpSync(databaseFile(source.root), path.join(root, 'before-restore', DATABASE));
    expect(listOriginals(root).map(({ folder }) => folder)).toEqual(['before-restore']);
  });
});

/** An archive of what a folder holds, made as anybody could make one. */
async function archiveOf(make: (folder: string) => void, names?: readonly string[]): Promise<string> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-forged-'));
  source.db.$client.pragma('wal_checkpoint(TRUNCATE)');
  cpSync(databaseFile(source.root), path.join(folder, DATABASE));
  make(folder);
  const file = path.join(target.root, 'forged.tar.gz');
  await create({ gzip: true, file, cwd: folder }, [...(names ?? readdirSync(folder))]);
  rmSync(folder, { recursive: true });
  return file;
}

/** Changes a copied database by hand. */
function edit(folder: string, ...statements: readonly string[]): void {
  const db = new Database(path.join(folder, DATABASE));
  db.pragma('foreign_keys = OFF');
  for (const statement of statements) db.exec(statement);
  db.close();
}

const stl = (folder: string, name: string, bytes: string | Buffer) => {
  mkdirSync(path.join(folder, 'meshes'), { recursive: true });
  writeFileSync(path.join(folder, 'meshes', name), bytes);
};

const hashOf = (bytes: string) => createHash('sha256').update(bytes).digest('hex');

describe('an archive that is not what a backup is', () => {
  const forged: readonly (readonly [string, (folder: string) => void, object])[] = [
    [
      'a strange file',
      (folder) => writeFileSync(path.join(folder, 'run.sh'), 'x'),
      { code: 'strangeEntry', name: 'run.sh' },
    ],
    [
      'a link in place of the database',
      (folder) => {
        rmSync(path.join(folder, DATABASE));
        symlinkSync('/etc/passwd', path.join(folder, DATABASE));
      },
      { code: 'notAFile', name: DATABASE },
    ],
    [
      'a part that is not what its name says',
      (folder) => stl(folder, `${'a'.repeat(64)}.stl`, 'solid'),
      { code: 'otherBytes' },
    ],
    [
      'a picture larger than any',
      (folder) => {
        mkdirSync(path.join(folder, 'pictures'));
        writeFileSync(path.join(folder, 'pictures', `${'b'.repeat(64)}.png`), Buffer.alloc(16e6));
      },
      { code: 'entryTooLarge' },
    ],
    [
      'a trigger in its database',
      (folder) => edit(folder, 'create trigger t after insert on jobs begin delete from readings; end'),
      { code: 'strangeSchema', name: 't' },
    ],
    [
      'a view in place of a table',
      (folder) =>
        edit(folder, 'alter table pictures rename to kept', 'create view pictures as select * from kept'),
      { code: 'strangeSchema', name: 'pictures' },
    ],
    [
      'a table of its own',
      (folder) => edit(folder, 'create table more (x)'),
      { code: 'strangeSchema', name: 'table more' },
    ],
    ['a table missing', (folder) => edit(folder, 'drop table pictures'), { code: 'strangeSchema' }],
    [
      'rows that belong to nothing',
      (folder) => edit(folder, 'update features set job_id = 999'),
      { code: 'orphans', table: 'features' },
    ],
    [
      'cells of JSON that are none',
      (folder) => edit(folder, "update resins set sheet = '{'"),
      { code: 'badCells', table: 'resins', column: 'sheet' },
    ],
    [
      'cells that lack what every one has',
      (folder) => edit(folder, "update resins set sheet = '{}'"),
      { code: 'badCells', table: 'resins', column: 'sheet' },
    ],
    [
      'a database that is none',
      (folder) => writeFileSync(path.join(folder, DATABASE), 'no database at all'.repeat(100)),
      { code: 'damaged' },
    ],
    [
      'a database of a later version',
      (folder) => edit(folder, "insert into __drizzle_migrations (hash, created_at) values ('x', 9e15)"),
      { code: 'newer' },
    ],
  ];

  test.each(forged)('%s is refused by name, and nothing changes', async (_name, make, issue) => {
    createJob(target.db, 'was here before');
    const archive = await archiveOf(make);
    const before = readdirSync(target.root);
    const answer = await restoreBackup(archive, target.root);
    expect(answer).toMatchObject({ ok: false, issue });
    expect(answer.ok ? '' : describeRestoreIssue(answer.issue)).toMatch(/\.$/);
    expect(readdirSync(target.root)).toEqual(before);
    expect(queries.listJobs(target.db).map(({ job }) => job.name)).toContain('was here before');
  });

  test('a name that stands twice is refused', async () => {
    const archive = await archiveOf(() => undefined, [DATABASE, DATABASE]);
    expect(await restoreBackup(archive, target.root)).toMatchObject({ issue: { code: 'twice' } });
  });

  test('one that ends too early is refused', async () => {
    const archive = await archiveOf((folder) => stl(folder, `${hashOf('s')}.stl`, 's'));
    const { readFileSync } = await import('node:fs');
    const whole = readFileSync(archive);
    writeFileSync(archive, whole.subarray(0, whole.length - 600));
    expect(await restoreBackup(archive, target.root)).toMatchObject({
      ok: false,
      issue: { code: expect.stringMatching(/cutShort|notABackup/) },
    });
  });

  test('a part that is what its name says is taken', async () => {
    const archive = await archiveOf((folder) => stl(folder, `${hashOf('solid')}.stl`, 'solid'));
    expectOk(await restoreBackup(archive, target.root));
  });

  test('what is no archive is refused', async () => {
    const file = path.join(target.root, 'x.tar.gz');
    writeFileSync(file, 'no archive at all');
    expect(await restoreBackup(file, target.root)).toEqual({ ok: false, issue: { code: 'notABackup' } });
  });

  test('an impossible number in it is set aside when it is opened, not shown', async () => {
    recordReading(source.db, source.reading(source.bore, 9.43));
    const archive = await archiveOf((folder) => edit(folder, 'update readings set reading_mm = 1e300'));
    const { root } = target;
    expectOk(await restoreBackup(archive, root));
    target.db.$client.close();
    target.hold.release();
    jobsAfterStart(root);
    const restored = openDb(databaseFile(root));
    expect(standing(restored, source.printId)).toEqual([]);
    restored.$client.close();
  });
});

test('a damaged bench is not backed up: the copy would take the place of a good one', async () => {
  const { folder } = source.opened;
  source.db.$client.pragma('wal_checkpoint(TRUNCATE)');
  const file = path.join(folder, DATABASE);
  const { readFileSync } = await import('node:fs');
  const bytes = readFileSync(file);
  bytes.fill(0xaa, 4096 * 5, 4096 * 6);
  writeFileSync(file, bytes);
  expect(await writeBackup(source.opened)).toMatchObject({ ok: false, issue: { code: 'damaged' } });
});
