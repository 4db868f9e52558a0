import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { makeBench } from './crash/make-bench';
import { type Found, startAndLook } from './crash/writes';

const NODE = ['--conditions=react-server', '--import', 'tsx'];

const ENVIRONMENT = { ...process.env, NODE_OPTIONS: '' };

/**
 * A start after any crash finds the workshop from before or the one from after, complete, and everything stored is
 * still there.
 */
function expectOldOrNew(found: Found, before: Found, after: Found): void {
  expect([before.rows, after.rows]).toContain(found.rows);
  expect(found.broken).toEqual([]);
  expect(found.leftovers).toEqual([]);
  const isNew = found.rows === after.rows && found.rows !== before.rows;
  expect(found.files).toEqual(expect.arrayContaining([...(isNew ? after : before).files]));
}

describe('the disk as a crash before each single call would leave it', () => {
  test.each(['restore', 'putBack', 'deleteOriginal', 'upload', 'photo', 'import'])('%s', (write) => {
    const { stdout, stderr, status } = spawnSync(process.execPath, [...NODE, 'e2e/crash/images.ts', write], {
      encoding: 'utf8',
      env: ENVIRONMENT,
      maxBuffer: 1e8,
    });
    expect({ status, stderr: status === 0 ? '' : stderr }).toEqual({ status: 0, stderr: '' });
    const images = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Found & { name: string });
    const [before, after] = [images[0], images[images.length - 1]];
    if (write !== 'import') expect(images.length).toBeGreaterThan(8);
    for (const image of images) {
      expectOldOrNew(image, before, after);
      // What a restore replaces is kept from the moment on at which the new one is in use.
      if (write === 'restore' && image.rows !== before.rows)
        expect(image.originals).toEqual(expect.arrayContaining([before.rows, ...before.originals]));
      if (write !== 'deleteOriginal' && image.rows === before.rows)
        expect(image.originals).toEqual(expect.arrayContaining([...before.originals]));
    }
  });
});

/** Calls of the operating system that change the disk. What SQLite does is among them. */
const CALLS = ['rename', 'unlink', 'mkdir', 'rmdir', 'ftruncate', 'fsync', 'pwrite64'];

/** With MELLOW_EVERY_KILL (npm run kills) each call is a moment of death; else each but of the many writes every fifth. */
const stepOf = (call: string) => (call === 'pwrite64' && process.env.MELLOW_EVERY_KILL === undefined ? 5 : 1);

let root: string;
beforeAll(async () => {
  root = await makeBench();
});
afterAll(() => rmSync(path.dirname(root), { recursive: true, force: true }));

/** A copy of the workshop and everything beside it. */
function copy(): string {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-killed-'));
  cpSync(path.dirname(root), folder, { recursive: true });
  return path.join(folder, 'data');
}

/** Runs a write under the tracer, which holds the process before it begins; gives the signal that ended it. */
async function trace(write: string, data: string, how: readonly string[]): Promise<NodeJS.Signals | null> {
  const child = spawn(process.execPath, [...NODE, 'e2e/crash/one-write.ts', write, data], {
    env: ENVIRONMENT,
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  const gone = once(child, 'exit');
  await once(child.stdout, 'data');
  const tracer = spawn('strace', ['-f', '-e', 'signal=none', ...how, '-p', String(child.pid)], {
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  const traced = once(tracer, 'exit');
  // It says on which process it is; a start on which it may not be says why.
  const [said] = (await once(tracer.stderr, 'data')) as [Buffer];
  if (!String(said).includes('attached')) throw new Error(String(said));
  child.stdin.end('begin\n');
  const [, signal] = (await gone) as [number | null, NodeJS.Signals | null];
  await traced;
  return signal;
}

/** How often the main thread makes each call in the course of a write. */
async function countCalls(write: string): Promise<Map<string, number>> {
  const data = copy();
  const log = path.join(path.dirname(data), 'calls.txt');
  expect(await trace(write, data, ['-o', log, '-e', `trace=${CALLS.join(',')}`])).toBeNull();
  const lines = readFileSync(log, 'utf8').split('\n');
  const main = lines[0].split(/\s+/)[0];
  rmSync(path.dirname(data), { recursive: true, force: true });
  const counts = CALLS.map((call): [string, number] => [
    call,
    lines.filter((line) => line.startsWith(main) && line.includes(` ${call}(`)).length,
  ]);
  return new Map(counts);
}

async function killedAt(write: string, call: string, at: number): Promise<{ died: boolean; found: Found }> {
  const data = copy();
  const how = ['-o', '/dev/null', '-e', `trace=${call}`, '-e', `inject=${call}:signal=KILL:when=${at}`];
  const signal = await trace(write, data, how);
  const found = startAndLook(data);
  rmSync(path.dirname(data), { recursive: true, force: true });
  return { died: signal === 'SIGKILL', found };
}

describe('killed by the operating system at each call that changes the disk', () => {
  test.each(['import', 'photo', 'upload', 'restore'])(
    '%s: a start finds the old bench or the new one, whole',
    async (write) => {
      const before = startAndLook(copy());
      const whole = copy();
      await trace(write, whole, ['-o', '/dev/null', '-e', 'trace=none']);
      const after = startAndLook(whole);
      expect(after.rows).not.toBe(before.rows);
      const moments = [...(await countCalls(write))].flatMap(([call, count]) =>
        Array.from(
          { length: Math.ceil(count / stepOf(call)) },
          (_, i) => [call, 1 + i * stepOf(call)] as const,
        ),
      );
      expect(moments.length).toBeGreaterThan(10);
      let deaths = 0;
      // Two at a time: this computer has two cores.
      const run = async () => {
        for (let moment = moments.pop(); moment !== undefined; moment = moments.pop()) {
          const { died, found } = await killedAt(write, ...moment);
          if (died) deaths++;
          expectOldOrNew(found, before, after);
        }
      };
      const total = moments.length;
      await Promise.all([run(), run()]);
      console.log(`${write}: killed at ${deaths} of ${total} moments`);
      expect(deaths).toBeGreaterThan(0.9 * total);
    },
    900_000,
  );
});
