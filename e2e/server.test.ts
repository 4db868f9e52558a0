import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { request, type RequestOptions } from 'node:http';
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

/** A request under another name, as a name that was made to point here sends it: Host and Origin agree. */
function askAs(host: string, pathname: string, more: RequestOptions & { body?: string | Buffer } = {}) {
  const { body, headers, ...options } = more;
  return new Promise<number>((resolve, reject) => {
    const { hostname, port } = new URL(server.address);
    const sent = request(
      {
        hostname,
        port,
        path: pathname,
        ...options,
        headers: { Host: host, Origin: `http://${host}`, ...headers },
      },
      (answer) => {
        answer.resume();
        answer.on('end', () => resolve(answer.statusCode ?? 0));
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });
}

describe('a name that was made to point here is refused', () => {
  const rebound = () => `bench.example:${new URL(server.address).port}`;
  const own = () => new URL(server.address).host;

  test('at a page', async () => {
    expect(await askAs(rebound(), '/jobs/8/need')).toBe(403);
    expect(await askAs(own(), '/jobs/8/need')).toBe(200);
  });

  test('at a server action', async () => {
    const action = {
      method: 'POST',
      headers: { 'Next-Action': '0'.repeat(42), 'Content-Type': 'text/plain;charset=UTF-8' },
      body: '[]',
    };
    expect(await askAs(rebound(), '/house', action)).toBe(403);
    // A request from the program's own page gets past the guard; there is no action with that name.
    expect(await askAs(own(), '/house', action)).not.toBe(403);
  });

  test('at a route handler', async () => {
    const word = { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: '{}' };
    expect(await askAs(rebound(), '/api/tries', word)).toBe(403);
    expect(await askAs(own(), '/api/tries', word)).toBe(400);
  });

  test('at an upload, and its own large upload arrives whole', async () => {
    const facets = 300_000;
    const part = Buffer.alloc(84 + 50 * facets);
    part.writeUInt32LE(facets, 80);
    const upload = { method: 'POST', body: part.subarray(0, 1000) };
    expect(await askAs(rebound(), '/api/jobs/8/part?attempt', upload)).toBe(403);
    const kept = await fetch(`${server.address}/api/jobs/8/part?attempt`, { method: 'POST', body: part });
    const { hash } = (await kept.json()) as { hash: string };
    const back = await fetch(`${server.address}/api/meshes/${hash}`);
    expect((await back.arrayBuffer()).byteLength).toBe(part.length);
  });
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
  const csv = await (await fetch(`${server.address}/api/jobs/5/readings`)).text();
  expect(csv.split('\n')[0]).toContain(
    'feature,sense,shape,axis,angle_deg,base,drawn_mm,print,state,reading_mm',
  );
  const bad = await fetch(`${server.address}/api/jobs/5/readings`, {
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
  expect((await fetch(`${server.address}/jobs/8/need`)).status).toBe(200);
});

test('the icon answers under the name that browsers ask for, too', async () => {
  const icon = await fetch(`${server.address}/favicon.ico`);
  expect(icon.status).toBe(200);
  expect(icon.headers.get('content-type')).toContain('image/svg+xml');
});

test('addresses that lead nowhere say so', async () => {
  expect((await fetch(`${server.address}/jobs/999/need`)).status).toBe(404);
  expect((await fetch(`${server.address}/jobs/abc/need`)).status).toBe(404);
  // What leads elsewhere than it says is refused before anything looks for it.
  expect((await fetch(`${server.address}/api/meshes/..%2f..%2fetc`)).status).toBe(403);
});

test('a part comes as STL and 3MF, its profile as DXF and SVG, and strange formats are refused', async () => {
  const get = (query: string) => fetch(`${server.address}/api/jobs/8/${query}`);
  const stl = await get('part?as=stl&drawn=next&save');
  expect(stl.headers.get('content-type')).toBe('model/stl');
  expect(stl.headers.get('content-disposition')).toContain('Float-wheel bushing A2.stl');
  const threeMf = new Uint8Array(await (await get('part?as=3mf')).arrayBuffer());
  expect(new TextDecoder().decode(threeMf.subarray(0, 2))).toBe('PK');
  expect((await get('part?as=step')).status).toBe(400);
  const svg = await (await get('profile?as=svg&drawn=next')).text();
  expect(svg).toMatch(/^<svg [^>]*width="[\d.]+mm"/);
  expect(await (await get('profile?as=dxf')).text()).toContain('LWPOLYLINE');
  expect((await fetch(`${server.address}/api/jobs/7/profile?as=svg`)).status).toBe(404);
  expect((await fetch(`${server.address}/api/jobs/7/part`)).status).toBe(404);
});

test('a gauge’s file is there before anything is printed, and the kernel’s code for the page', async () => {
  const gauge = await fetch(`${server.address}/api/jobs/3/part?as=stl&save`);
  expect(gauge.headers.get('content-disposition')).toContain('Gap test, hinge.stl');
  expect((await gauge.arrayBuffer()).byteLength).toBeGreaterThan(10_000);
  const kernel = await fetch(`${server.address}/api/kernel`);
  expect(kernel.headers.get('content-type')).toBe('application/wasm');
  expect(new Uint8Array(await kernel.arrayBuffer()).subarray(0, 4)).toEqual(
    new Uint8Array([0, 97, 115, 109]),
  );
  expect((await fetch(`${server.address}/api/pictures/999`)).status).toBe(404);
});

test('another page cannot fetch parts, profiles, pictures or the kernel', async () => {
  const foreign = { headers: { 'Sec-Fetch-Site': 'cross-site' } };
  for (const path of ['jobs/8/part', 'jobs/8/profile?as=svg', 'pictures/1', 'kernel'])
    expect((await fetch(`${server.address}/api/${path}`, foreign)).status).toBe(403);
});
