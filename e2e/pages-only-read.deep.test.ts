import { afterAll, beforeAll, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { databaseFile } from '@/store';
import { serveBench, type BenchServer } from './bench-server';

let server: BenchServer;
beforeAll(async () => {
  server = await serveBench('demo');
});
afterAll(async () => server.stop());

/** Every row of every table. */
function rows(): Record<string, unknown[]> {
  const db = new Database(databaseFile(server.folder), { readonly: true });
  const names = db.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[];
  const all = Object.fromEntries(names.map((name) => [name, db.prepare(`select * from "${name}"`).all()]));
  db.close();
  return all;
}

function idsOf(table: 'jobs' | 'printers' | 'profiles' | 'resins' | 'runs'): number[] {
  return (rows()[table] as { id: number }[]).map(({ id }) => id);
}

const STEPS = [
  '',
  '/need',
  '/need/sheet',
  '/resin',
  '/fit',
  '/check',
  '/run',
  '/measure',
  '/correct',
  '/story',
];

/** The address of every view, for every job, profile and resin of the demo. */
function listViews(): string[] {
  return [
    '/',
    '/printers',
    '/shelf',
    '/shelf/blend',
    '/gauges',
    '/gauges?choice=hinge',
    '/house',
    '/house/causes',
    '/strips',
    '/api/find?words=bore',
    ...idsOf('printers').flatMap((id) => [`/printers/machine/${id}`, `/printers/machine/${id}/log`]),
    ...idsOf('runs').map((id) => `/runs/${id}`),
    ...idsOf('profiles').map((id) => `/printers/${id}`),
    ...idsOf('resins').map((id) => `/shelf/${id}`),
    ...idsOf('jobs').flatMap((id) => STEPS.map((step) => `/jobs/${id}${step}`)),
  ];
}

async function open(view: string): Promise<void> {
  const answer = await fetch(`${server.address}${view}`);
  await answer.arrayBuffer();
  expect({ view, status: answer.status }).toEqual({ view, status: 200 });
}

test('opening any page ten times changes no row of the database', async () => {
  const views = listViews();
  expect(views.length).toBeGreaterThan(80);
  const before = rows();
  for (const view of views) {
    await open(view);
    await Promise.all(Array.from({ length: 9 }, () => open(view)));
  }
  expect(rows()).toEqual(before);
}, 480_000);
