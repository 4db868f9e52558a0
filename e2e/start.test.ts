import { afterEach, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort, serveBench, startServer } from './bench-server';

const folders: string[] = [];
const newFolder = () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-start-'));
  folders.push(folder);
  return folder;
};
afterEach(() => folders.splice(0).forEach((folder) => rmSync(folder, { recursive: true, force: true })));

const environment = { ...process.env, NODE_OPTIONS: '' };

function startWith(script: string, ...words: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${script}.mjs`, ...words], {
    encoding: 'utf8',
    env: environment,
  });
  return { status, stdout, stderr };
}

describe('words of a start', () => {
  test.each([
    ['start', ['--prot', '4400'], '--prot is not an option.'],
    ['start', ['--port=99999'], 'a port is a whole number from 1 to 65535.'],
    ['start', ['--share', '127.0.0.1'], 'served already'],
    ['start', ['--fresh'], '--fresh is not an option.'],
    ['demo', ['--fresh', '--fresh'], '--fresh is given twice.'],
    ['demo', ['x'], '“x” is not understood.'],
    ['test', ['--only', 'x'], '--only is not an option.'],
  ])('npm run %s %j is refused, and nothing is made', (script, words, says) => {
    const folder = path.join(newFolder(), 'data');
    const data = script === 'test' ? [] : ['--data', folder];
    const { status, stderr } = startWith(script, ...data, ...words);
    expect(status).toBe(2);
    expect(stderr).toContain(says);
    expect(existsSync(folder)).toBe(false);
  });

  test.each(['start', 'demo', 'test'])('npm run %s -- --help says what it takes', (script) => {
    const { status, stdout } = startWith(script, '--help');
    expect(status).toBe(0);
    expect(stdout).toContain('--help');
  });

  test('a port in use is said before anything is made', async () => {
    const holder = createServer();
    const port = await freePort();
    await new Promise<void>((resolve) => holder.listen(port, '127.0.0.1', resolve));
    const folder = path.join(newFolder(), 'data');
    const { status, stderr } = startWith('start', '--port', String(port), '--data', folder);
    holder.close();
    expect([status, stderr]).toEqual([1, expect.stringContaining(`Port ${port} of 127.0.0.1 is in use.`)]);
    expect(existsSync(folder)).toBe(false);
  });
});

const answers = (port: number) =>
  fetch(`http://127.0.0.1:${port}/icon.svg`).then(
    ({ ok }) => ok,
    () => false,
  );

async function until(holds: () => Promise<boolean>): Promise<boolean> {
  for (let i = 0; i < 300; i++) {
    if (await holds()) return true;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return false;
}

test.each(['SIGHUP', 'SIGTERM', 'SIGINT'] as const)('%s to a start ends its server too', async (signal) => {
  const port = await freePort();
  const folder = newFolder();
  // --data counts before MELLOW_DATA.
  const started = spawn(process.execPath, ['scripts/start.mjs', '--port', String(port), `--data=${folder}`], {
    stdio: 'ignore',
    env: { ...environment, MELLOW_DATA: path.join(folder, 'other') },
  });
  expect(await until(() => answers(port))).toBe(true);
  expect(existsSync(path.join(folder, 'mellow.db'))).toBe(true);
  expect(existsSync(path.join(folder, 'other'))).toBe(false);
  started.kill(signal);
  await once(started, 'exit');
  expect(await until(async () => !(await answers(port)))).toBe(true);
});

describe('a list of devices that cannot be read', () => {
  test('shares nothing, says where it lies and what to do, and the bench is served', async () => {
    const folder = newFolder();
    const port = await freePort();
    writeFileSync(path.join(folder, 'devices.json'), '{"key": half of it');
    const server = await startServer(folder, port, ['--share', '127.0.0.2']);
    try {
      const house = await (await fetch(`http://127.0.0.1:${port}/house`)).text();
      expect(house).toContain('devices.json');
      expect(house).toContain('Move it away and pair the devices again');
      await expect(fetch(`http://127.0.0.2:${port}/pair`)).rejects.toThrow();
      expect(readFileSync(path.join(folder, 'devices.json'), 'utf8')).toBe('{"key": half of it');
    } finally {
      server.kill('SIGKILL');
      await once(server, 'exit');
    }
  });
});

test('HEAD leaves no backup behind, at any route', async () => {
  const server = await serveBench('demo');
  try {
    const before = readdirSync(server.folder);
    for (const route of ['backup', 'kernel', 'shelf', 'jobs/8/part', 'find', 'closed', 'brackets']) {
      const answer = await fetch(`${server.address}/api/${route}`, { method: 'HEAD' });
      expect([route, answer.status, await answer.text()]).toEqual([route, 200, '']);
    }
    expect(readdirSync(server.folder)).toEqual(before);
  } finally {
    await server.stop();
  }
});

test('posts to the page of pairing that are cut off end their own connection alone', async () => {
  const server = await serveBench('demo', ['--share', '127.0.0.2']);
  const port = Number(new URL(server.address).port);
  let said = '';
  server.process.stderr?.on('data', (chunk) => (said += String(chunk)));
  try {
    for (let i = 0; i < 20; i++) {
      const socket = connect({ host: '127.0.0.2', port, localAddress: '127.0.0.1' });
      await once(socket, 'connect');
      socket.write(
        `POST /pair HTTP/1.1\r\nHost: 127.0.0.2:${port}\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 500\r\n\r\ncode=AB`,
      );
      socket.destroy();
    }
    await new Promise((resolve) => setTimeout(resolve, 500));
    expect(server.process.exitCode).toBeNull();
    expect(said).not.toMatch(/unhandled|aborted|ECONNRESET/i);
    expect((await fetch(`${server.address}/icon.svg`)).status).toBe(200);
  } finally {
    await server.stop();
  }
});
