import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expectOk } from '@/core/kit';
import { describeBenchTrouble, isRepairedByRestore } from '@/subjects/workshop/settings/shared';
import {
  type BenchTrouble,
  DATABASE,
  databaseFile,
  type HeldBench,
  holdFolder,
  markFile,
  openBenchAt,
  openHeldBench,
  openDb,
  queries,
  readMark,
  tables,
} from '../index';

let root: string;
const held: HeldBench[] = [];

beforeEach(() => {
  root = mkdtempSync(path.join(tmpdir(), 'mellow-start-'));
});

function close(): void {
  for (const { opened, hold } of held.splice(0)) {
    if (opened.ok) opened.value.db.$client.close();
    hold.release();
  }
}

afterEach(() => {
  close();
  rmSync(root, { recursive: true, force: true });
});

/** Starts on the folder, as a server does. */
function start() {
  const opened = expectOk(openBenchAt(root));
  held.push(opened);
  return opened.opened;
}

/** A workshop that was used and closed. */
function used(): void {
  const { db } = expectOk(start());
  db.insert(tables.jobs).values({ name: 'kept', createdAt: new Date() }).run();
  close();
}

const jobs = () => queries.listJobs(expectOk(start()).db).map(({ job }) => job.name);

/** The trouble of a start, with the sentence that is said. */
function trouble(): BenchTrouble {
  const opened = start();
  if (opened.ok) throw new Error('it opened');
  expect(describeBenchTrouble(opened.issue)).toContain(opened.issue.path);
  expect(describeBenchTrouble(opened.issue)).toMatch(/\. .*\.$|[;,] .*\.$/);
  return opened.issue;
}

describe('a start', () => {
  test('makes a bench in an empty folder, marks it, and finds it again', () => {
    used();
    expect(expectOk(readMark(root))).toEqual({ kind: 'bench', madeBy: 'person', current: '.', kept: [] });
    expect(jobs()).toEqual(['kept']);
  });

  test('takes over a bench from before there were marks', () => {
    openDb(path.join(root, DATABASE)).$client.close();
    expect(start().ok).toBe(true);
    expect(existsSync(markFile(root))).toBe(true);
  });

  test('never makes a bench where a mark says that there is one', () => {
    used();
    rmSync(path.join(root, DATABASE));
    expect(trouble().code).toBe('missing');
    expect(existsSync(path.join(root, DATABASE))).toBe(false);
  });

  test('never makes a bench beside others whose mark was lost', () => {
    used();
    mkdirSync(path.join(root, 'benches'));
    mkdirSync(path.join(root, 'benches/once'));
    renameSync(path.join(root, DATABASE), path.join(root, 'benches/once', DATABASE));
    rmSync(markFile(root));
    expect(trouble().code).toBe('markUnreadable');
    expect(existsSync(path.join(root, DATABASE))).toBe(false);
  });

  test('leaves what is arriving alone when another bench is put in place while it is served', () => {
    used();
    const { root: folder } = expectOk(start());
    mkdirSync(path.join(folder, 'arriving-now'));
    const again = openHeldBench(folder);
    expectOk(again).db.$client.close();
    expect(existsSync(path.join(folder, 'arriving-now'))).toBe(true);
  });

  test('says that a mark cannot be read, and one that leads out of the folder is none', () => {
    used();
    for (const text of ['{', '{"kind":"bench","madeBy":"person","current":"../x","kept":[]}']) {
      writeFileSync(markFile(root), text);
      expect(trouble().code).toBe('markUnreadable');
      close();
    }
  });

  test('tells an empty file from a damaged one, and neither is overwritten', () => {
    used();
    const file = databaseFile(root);
    for (const [bytes, code] of [
      [Buffer.alloc(0), 'empty'],
      [Buffer.from('no database at all'.repeat(300)), 'damaged'],
    ] as const) {
      writeFileSync(file, bytes);
      expect(trouble().code).toBe(code);
      expect(readFileSync(file)).toEqual(bytes);
      close();
    }
  });

  test('finds a single page that was flipped, whichever it is', () => {
    used();
    const file = databaseFile(root);
    const whole = readFileSync(file);
    const pages = whole.length / 4096;
    let found = 0;
    for (let page = 0; page < pages; page++) {
      const flipped = Buffer.from(whole);
      for (let i = 4096 * page; i < 4096 * (page + 1); i++) flipped[i] ^= 0xff;
      writeFileSync(file, flipped);
      const opened = openBenchAt(root);
      held.push(expectOk(opened));
      if (!expectOk(opened).opened.ok) found++;
      close();
    }
    expect(found).toBe(pages);
  });

  test.each([
    ['newer', "insert into __drizzle_migrations (hash, created_at) values ('x', 9e15)"],
    ['older', "insert into __drizzle_migrations (hash, created_at) values ('x', 1)"],
    ['notOurs', 'drop table __drizzle_migrations'],
    [
      'notOurs',
      "insert into __drizzle_migrations (hash, created_at) select 'x', max(created_at) - 1 from __drizzle_migrations",
    ],
  ] as const)('knows a database that is %s', (code, statement) => {
    used();
    const db = new Database(databaseFile(root));
    db.exec(statement);
    db.close();
    const found = trouble();
    expect(found.code).toBe(code);
    expect(isRepairedByRestore(found)).toBe(true);
  });

  test('takes away what interrupted uploads and restores left, and nothing else', () => {
    used();
    for (const folder of ['meshes', 'arriving-1', 'going-2', 'restoring-3', 'notes', 'benches/half'])
      mkdirSync(path.join(root, folder), { recursive: true });
    writeFileSync(path.join(root, 'meshes', 'arriving-4'), 'half a part');
    writeFileSync(path.join(root, 'benches/half/.not-yet-in-place'), '');
    mkdirSync(path.join(root, 'benches/once'));
    cpSync(databaseFile(root), path.join(root, 'benches/once', DATABASE));
    expect(jobs()).toEqual(['kept']);
    expect(readdirSync(path.join(root, 'meshes'))).toEqual([]);
    expect(readdirSync(path.join(root, 'benches'))).toEqual(['once']);
    expect(readdirSync(root).filter((name) => /^(arriving|going|restoring)/.test(name))).toEqual([]);
    expect(existsSync(path.join(root, 'notes'))).toBe(true);
  });
});

describe('a folder is held by one process', () => {
  test('a second one is refused, and the folder is free when the first ends, however it ends', () => {
    const script = `
      import Database from 'better-sqlite3';
      const lock = new Database(${JSON.stringify(path.join(root, 'bench.lock'))}, { timeout: 0 });
      lock.exec('BEGIN EXCLUSIVE');
      process.kill(process.pid, 'SIGKILL');`;
    const { signal } = spawnSync(process.execPath, ['--input-type=module', '-e', script], {
      cwd: process.cwd(),
    });
    expect(signal).toBe('SIGKILL');
    const first = expectOk(holdFolder(root));
    expect(holdFolder(root)).toEqual({ ok: false, issue: { code: 'inUse', path: root } });
    first.release();
    expectOk(holdFolder(root)).release();
  });

  test('a folder that cannot be made is said with its path', () => {
    const file = path.join(root, 'a file');
    writeFileSync(file, '');
    const answer = holdFolder(path.join(file, 'data'));
    expect(answer).toMatchObject({ ok: false, issue: { code: 'cannotWrite' } });
    expect(answer.ok || describeBenchTrouble(answer.issue)).toContain('MELLOW_DATA');
  });
});

describe('a bench of every earlier version opens with its rows', () => {
  const folder = path.resolve('src/store/migrations');
  const journal = JSON.parse(readFileSync(path.join(folder, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  test.each(journal.entries.map(({ tag }, i) => [tag, i + 1] as const))('from %s', (_tag, count) => {
    const old = new Database(path.join(root, DATABASE));
    old.exec('create table __drizzle_migrations (id integer primary key, hash text, created_at numeric)');
    for (const { tag, when } of journal.entries.slice(0, count)) {
      for (const statement of readFileSync(path.join(folder, `${tag}.sql`), 'utf8').split(
        '--> statement-breakpoint',
      ))
        old.exec(statement);
      old.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(tag, when);
    }
    old.prepare("insert into jobs (name, created_at) values ('from before', 1)").run();
    old.close();
    expect(jobs()).toEqual(['from before']);
  });
});
