import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { databaseFile } from '@/store';
import { benchOnDisk } from '@/testing/bench';
import { SHIPPED_SHELF } from '@/core/resin';
import { formatShelfJson } from '@/subjects/resin/shelf/shared';
import { freePort, refusalOf, startServer } from './bench-server';
import { type Browser, click, find, openBrowser, typeOver, waitForText } from './browser';
import { mountSmallDisk, type SmallDisk } from './small-disk';

let disk: SmallDisk;
let server: ChildProcess;
let address: string;
let ids: Pick<ReturnType<typeof benchOnDisk>, 'jobId' | 'bore' | 'printId' | 'sessionId'>;
let backup: Buffer;

beforeAll(async () => {
  disk = mountSmallDisk(12);
  const made = benchOnDisk();
  ids = made;
  made.db.$client.pragma('wal_checkpoint(TRUNCATE)');
  cpSync(made.root, path.join(disk.folder, 'data'), { recursive: true });
  made.end();
  const port = await freePort();
  address = `http://127.0.0.1:${port}`;
  server = await startServer(path.join(disk.folder, 'data'), port);
  backup = Buffer.from(await (await fetch(`${address}/api/backup`)).arrayBuffer());
});

afterAll(async () => {
  const gone = once(server, 'exit');
  server.kill('SIGKILL');
  await gone;
  disk.end();
});

let count = 0;

const send = (place: string, body: BodyInit, headers: Record<string, string> = {}) =>
  fetch(`${address}${place}`, { method: 'POST', body, headers });

const sendReading = () =>
  send(
    '/api/readings',
    JSON.stringify({
      clientKey: `reading-${++count}`,
      sessionId: ids.sessionId,
      featureId: ids.bore,
      printId: ids.printId,
      readingMm: 9.4 + (count % 9) / 100,
      confirmed: true,
    }),
    { 'Content-Type': 'application/json' },
  );

const sendWord = () =>
  send(
    '/api/tries',
    JSON.stringify({
      clientKey: `the-word-${++count}`,
      featureId: ids.bore,
      printId: ids.printId,
      word: 'right',
      state: 'cured',
    }),
    { 'Content-Type': 'application/json' },
  );

const readingsCsv = () =>
  [
    'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm',
    ...Array.from(
      { length: 3000 },
      (_, i) => `hole ${count++} ${i},inside,round,XY,,,8,P,cured,8.0${i % 10}`,
    ),
    '',
  ].join('\n');

/** Each kind of write through the door that it comes in by. */
const WRITES: Readonly<Record<string, () => Promise<Response>>> = {
  'a reading': sendReading,
  'a word of fit': sendWord,
  'a file of readings': () => send(`/api/jobs/${ids.jobId}/readings`, readingsCsv()),
  'a part': () => send(`/api/jobs/${ids.jobId}/part?name=part.stl`, Buffer.alloc(2_000_000, 1)),
  'a shelf': () => send('/api/shelf', formatShelfJson(SHIPPED_SHELF)),
  'a restore': () => send('/api/backup', new Uint8Array(backup)),
  'a backup': () => fetch(`${address}/api/backup`),
};

/** Keys of the readings that are in the database. */
const rows = () => {
  const db = new Database(databaseFile(path.join(disk.folder, 'data')), { readonly: true });
  const keys = db.prepare('select client_key from readings').pluck().all() as string[];
  db.close();
  return keys;
};

describe('a disk that is full', () => {
  test('every kind of write ends in a sentence, nothing of it is there, and pages go on reading', async () => {
    disk.fill();
    for (const [what, write] of Object.entries(WRITES)) {
      const answer = await write();
      const { message } = (await answer.json()) as { message: string };
      expect({ what, status: answer.status, message }).toEqual({
        what,
        status: 507,
        message: expect.stringContaining(
          'the disk is full, so nothing was saved. Free some space, then send it again.',
        ),
      });
    }
    for (const page of ['/', '/shelf', '/house', `/jobs/${ids.jobId}/measure`, `/jobs/${ids.jobId}/correct`])
      expect({ page, status: (await fetch(`${address}${page}`)).status }).toEqual({ page, status: 200 });
    expect(rows()).toEqual([]);
    const data = path.join(disk.folder, 'data');
    expect(readdirSync(data, { recursive: true }).filter((name) => /arriving/.test(String(name)))).toEqual(
      [],
    );
  });

  test('a form keeps what was typed, says that the disk is full, and takes it once there is space', async () => {
    const browser: Browser = await openBrowser();
    try {
      const { driver } = browser;
      await driver.get(`${address}/jobs/${ids.jobId}/need`);
      const text = `carries the float ${'to and fro '.repeat(150)}`.trim();
      await typeOver(driver, '[name="need"]', text);
      disk.fill();
      await click(driver, 'Save requirements');
      await waitForText(
        driver,
        'the disk is full, so nothing was saved. Free some space, then send it again.',
      );
      expect(await (await find(driver, '[name="need"]')).getAttribute('value')).toBe(text);
      disk.free();
      await click(driver, 'Save requirements');
      await waitForText(driver, 'Saved');
    } finally {
      await browser.quit();
    }
  });

  test('with space again, every write goes through', async () => {
    disk.free();
    for (const [what, write] of Object.entries(WRITES)) {
      const answer = await write();
      expect({ what, ok: answer.ok, said: answer.ok ? '' : await answer.text() }).toEqual({
        what,
        ok: true,
        said: '',
      });
    }
  });
});

test('a database that another program holds: pages are read, a write says so, and goes through afterwards', async () => {
  const other = new Database(databaseFile(path.join(disk.folder, 'data')));
  other.exec('BEGIN IMMEDIATE');
  const refused = await sendReading();
  expect(refused.status).toBe(503);
  expect(await refused.text()).toContain(
    'another program has locked the database, so nothing was saved. Close that program, then send it again.',
  );
  expect((await fetch(`${address}/jobs/${ids.jobId}/measure`)).status).toBe(200);
  other.exec('ROLLBACK');
  other.close();
  expect((await sendReading()).status).toBe(200);
});

test('a second server on the same folder says whose it is, and ends', async () => {
  const { code, said } = await refusalOf(path.join(disk.folder, 'data'));
  expect(code).toBe(1);
  expect(said).toContain(`Another Mellow Caliper uses the data folder ${path.join(disk.folder, 'data')}`);
});

test('a folder that cannot be written is said, and nothing is served', async () => {
  const locked = mountSmallDisk(16);
  try {
    cpSync(path.join(disk.folder, 'data'), path.join(locked.folder, 'data'), { recursive: true });
    locked.makeReadOnly();
    const { code, said } = await refusalOf(path.join(locked.folder, 'data'));
    expect(code).toBe(1);
    expect(said).toMatch(/The data folder .* is not writable .*set MELLOW_DATA to another folder/);
  } finally {
    locked.end();
  }
});

describe('a bench that cannot be opened', () => {
  /** The workshop in a folder of its own, its database changed by hand. */
  function broken(change: (file: string) => void): string {
    const copy = benchOnDisk();
    copy.db.$client.pragma('wal_checkpoint(TRUNCATE)');
    copy.opened.db.$client.close();
    copy.hold.release();
    change(databaseFile(copy.root));
    return copy.root;
  }

  test.each([
    ['is empty (0 bytes)', (file: string) => writeFileSync(file, '')],
    [
      'is damaged',
      (file: string) => {
        const bytes = readFileSync(file);
        bytes.fill(0xaa, 4096 * 3, 4096 * 4);
        writeFileSync(file, bytes);
      },
    ],
    [
      '. Update the program, or restore a backup made with this version.',
      (file: string) => {
        const db = new Database(file);
        db.exec("insert into __drizzle_migrations (hash, created_at) values ('x', 9e15)");
        db.close();
      },
    ],
  ])('%s: says so, serves the way back alone, and a restore mends it', async (words, change) => {
    const folder = broken(change);
    const port = await freePort();
    const child = await startServer(folder, port);
    const at = `http://127.0.0.1:${port}`;
    try {
      expect(await (await fetch(`${at}/jobs/1/need`)).text()).toContain('The workshop cannot be opened');
      const refused = await fetch(`${at}/api/find?words=bore`);
      expect(refused.status).toBe(503);
      expect(((await refused.json()) as { message: string }).message).toContain(words);
      const noBackup = await fetch(`${at}/api/backup`);
      expect(noBackup.status).toBe(409);
      const restored = await fetch(`${at}/api/backup`, { method: 'POST', body: new Uint8Array(backup) });
      expect({ status: restored.status, said: await restored.text() }).toMatchObject({ status: 200 });
      expect(await (await fetch(`${at}/jobs/1/need`)).text()).not.toContain('The workshop cannot be opened');
    } finally {
      const gone = once(child, 'exit');
      child.kill('SIGKILL');
      await gone;
    }
  });
});
