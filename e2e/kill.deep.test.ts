import { expect, test } from '@jest/globals';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededRandom } from '@/core/kit/numerics';
import { makeDemo } from '@/demo/make-demo';
import { expectOk } from '@/core/kit';
import { databaseFile, openDb, queries, tables } from '@/store';
import { startSession } from '@/subjects/measure/calipers';
import { notePrint } from '@/subjects/job/jobs';
import { beginStep, listTimers } from '@/subjects/print/postprocess';
import { freePort, startServer } from './bench-server';

const READINGS = 500;

const KILLS = 50;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Ends a process in the middle of whatever it does and waits until it is gone. */
async function killHard(child: ChildProcess): Promise<void> {
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  await gone;
}

test('50 kills while a client posts 500 readings: every acknowledged one is there exactly once', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-kill-'));
  const file = path.join(folder, 'mellow.db');
  const db = openDb(file);
  makeDemo(db);
  const job = queries.listJobs(db).find(({ job: { name } }) => name === 'Float-wheel bushing')!.job;
  const [feature] = queries.listFeatures(db, job.id);
  const printId = queries.listAttempts(db, job.id)[0].prints[0].id;
  const sessionId = startSession(db, {
    jobId: job.id,
    instrumentId: 1,
    zeroMm: 0,
    state: 'cured',
    warm: false,
  });
  db.$client.close();

  const port = await freePort();
  const random = seededRandom(2024);
  let server = await startServer(folder, port);
  let finished = false;
  const acknowledged: string[] = [];

  const post = async (clientKey: string, readingMm: number): Promise<void> => {
    for (;;) {
      const answer = await fetch(`http://127.0.0.1:${port}/api/readings`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          clientKey,
          sessionId,
          featureId: feature.id,
          printId,
          readingMm,
          confirmed: false,
        }),
      })
        .then((response) => (response.ok ? (response.json() as Promise<{ ok: boolean }>) : undefined))
        .catch(() => undefined);
      if (answer?.ok) {
        acknowledged.push(clientKey);
        return;
      }
      await pause(20);
    }
  };
  const client = (async () => {
    for (let i = 0; i < READINGS; i++) {
      await post(`reading-${i}`, 15.9 + (i % 10) / 100);
      await pause(10 + 20 * random.uniform());
    }
    finished = true;
  })();
  let kills = 0;
  for (; kills < KILLS || !finished; kills++) {
    await pause(20 + 400 * random.uniform());
    if (kills >= KILLS) continue;
    await killHard(server);
    server = await startServer(folder, port);
  }
  await client;
  await killHard(server);

  const after = openDb(file);
  const stored = after
    .select()
    .from(tables.readings)
    .all()
    .filter(({ clientKey }) => clientKey.startsWith('reading-'));
  after.$client.close();
  rmSync(folder, { recursive: true, force: true });
  expect(acknowledged).toHaveLength(READINGS);
  expect(stored.map(({ clientKey }) => clientKey).sort()).toEqual([...acknowledged].sort());
}, 600_000);

test('killed while 50 timers run: all are there when it starts again, none twice, all on time', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-timers-'));
  const db = openDb(path.join(folder, 'mellow.db'));
  makeDemo(db);
  const job = queries.listJobs(db).find(({ job: { name } }) => name === 'Float-wheel bushing')!.job;
  const [attempt] = queries.listAttempts(db, job.id);
  const first = notePrint(db, attempt.id, job.id, { copies: 50 });
  for (let i = 0; i < 50; i++) {
    const step = {
      clientKey: `timer ${i}`,
      printId: first + i,
      step: 'cure' as const,
      plannedS: 600 + 60 * i,
    };
    expectOk(beginStep(db, job.id, step));
  }
  const before = listTimers(db).map(({ id, endsAt }) => [id, endsAt?.getTime()]);
  db.$client.close();

  const port = await freePort();
  const shown = async (): Promise<number> => {
    const page = await (await fetch(`http://127.0.0.1:${port}/`)).text();
    return page.split('role="timer"').length - 1;
  };
  let server = await startServer(folder, port);
  for (let kill = 0; kill < 3; kill++) {
    expect(await shown()).toBe(50);
    await killHard(server);
    server = await startServer(folder, port);
  }
  expect(await shown()).toBe(50);
  await killHard(server);
  const again = openDb(databaseFile(folder));
  expect(listTimers(again).map(({ id, endsAt }) => [id, endsAt?.getTime()])).toEqual(before);
  again.$client.close();
  rmSync(folder, { recursive: true, force: true });
});
