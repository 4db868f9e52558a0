import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { serveBench, type BenchServer } from './bench-server';

let server: BenchServer;
beforeAll(async () => {
  server = await serveBench('demo');
});
afterAll(async () => server.stop());

const post = (headers: Record<string, string>) =>
  fetch(`${server.address}/api/tries`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', ...headers },
    body: '{}',
  });

test('it listens on the loopback address alone', () => {
  const port = new URL(server.address).port;
  const { stdout } = spawnSync('sh', ['-c', 'cat /proc/net/tcp /proc/net/tcp6'], { encoding: 'utf8' });
  const hex = Number(port).toString(16).toUpperCase().padStart(4, '0');
  const listening = stdout
    .split('\n')
    .map((line) => line.trim().split(/\s+/))
    .filter((cells) => cells[3] === '0A' && cells[1]?.endsWith(`:${hex}`));
  expect(listening.map((cells) => cells[1])).toEqual([`0100007F:${hex}`]);
});

test('a page of another origin is refused, one’s own is not', async () => {
  expect((await post({ Origin: 'http://elsewhere.example' })).status).toBe(403);
  expect((await post({ Origin: server.address })).status).toBe(400);
});

test('pages carry a strict policy with a nonce of their own', async () => {
  const policies = await Promise.all(
    [1, 2].map(async () => (await fetch(server.address)).headers.get('content-security-policy') ?? ''),
  );
  for (const policy of policies) {
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain("'unsafe-eval'");
    expect(policy).not.toMatch(/script-src[^;]*'unsafe-inline'/);
  }
  expect(policies[0]).not.toBe(policies[1]);
});

test('readings.csv goes out and comes in through the same door, all or nothing', async () => {
  const csv = await (await fetch(`${server.address}/api/jobs/3/readings`)).text();
  expect(csv.split('\n')[0]).toContain(
    'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm',
  );
  const bad = await fetch(`${server.address}/api/jobs/3/readings`, {
    method: 'POST',
    body: csv.replace('inside', 'within'),
  });
  expect(bad.status).toBe(400);
  expect(((await bad.json()) as { message: string }).message).toContain('line 2, sense');
});

test('a backup is a file of its own, and rubbish is not put in its place', async () => {
  const backup = await fetch(`${server.address}/api/backup`);
  const bytes = await backup.arrayBuffer();
  expect(backup.headers.get('content-disposition')).toContain('bench-backup.tar.gz');
  expect(bytes.byteLength).toBeGreaterThan(1000);
  const rubbish = await fetch(`${server.address}/api/backup`, { method: 'POST', body: 'rubbish' });
  expect(rubbish.status).toBe(400);
  const restored = await fetch(`${server.address}/api/backup`, { method: 'POST', body: bytes });
  expect(restored.status).toBe(200);
  expect((await fetch(`${server.address}/jobs/4/need`)).status).toBe(200);
});

test('addresses that lead nowhere say so', async () => {
  expect((await fetch(`${server.address}/jobs/999/need`)).status).toBe(404);
  expect((await fetch(`${server.address}/jobs/abc/need`)).status).toBe(404);
  expect((await fetch(`${server.address}/api/meshes/..%2f..%2fetc`)).status).toBe(404);
});
