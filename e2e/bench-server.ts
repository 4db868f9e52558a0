import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDb } from '@/store';
import { makeDemoBench } from './demo-bench.mjs';

/** The built application with a workshop of its own. */
export interface BenchServer {
  readonly address: string;
  readonly folder: string;
  readonly process: ChildProcess;
  stop(): Promise<void>;
}

/** Ports of the tests begin there, below those that the system hands out by itself. */
const FIRST_PORT = 20_000;
/** Each worker of the runner has so many ports of its own, so that two suites never meet. */
const PORTS_A_WORKER = 1000;
let nextPort = FIRST_PORT + Number(process.env.JEST_WORKER_ID ?? 0) * PORTS_A_WORKER + (process.pid % 500);

/** A port that nobody uses. */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = nextPort++;
    const probe = createServer();
    const isFree = await new Promise<boolean>((resolve) => {
      probe.once('error', () => resolve(false));
      probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
    });
    if (isFree) return port;
  }
}

/** What a server says that is started on a folder and ends by itself; undefined when it goes on serving. */
export async function refusalOf(folder: string): Promise<{ code: number | null; said: string }> {
  const child = spawnServer(folder, await freePort());
  const said = collect(child);
  const [code] = (await once(child, 'exit')) as [number | null];
  return { code, said: said() };
}

function spawnServer(folder: string, port: number, words: readonly string[] = []): ChildProcess {
  return spawn(process.execPath, ['scripts/server.mjs', '--port', String(port), ...words], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      MELLOW_DATA: folder,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
    },
  });
}

/** All that a server has said so far. */
function collect(child: ChildProcess): () => string {
  let said = '';
  child.stdout?.on('data', (chunk) => (said += String(chunk)));
  child.stderr?.on('data', (chunk) => (said += String(chunk)));
  return () => said;
}

/** Starts the server on a folder and waits until it answers. */
export async function startServer(
  folder: string,
  port: number,
  words: readonly string[] = [],
): Promise<ChildProcess> {
  const child = spawnServer(folder, port, words);
  const said = collect(child);
  for (let tries = 0; tries < 300; tries++) {
    if (child.exitCode !== null) throw new Error(`The server ended: ${said()}`);
    const answer = await fetch(`http://127.0.0.1:${port}/icon.svg`).catch(() => undefined);
    if (answer?.ok) return child;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`The server does not answer: ${said()}`);
}

/** A server on a fresh bench: a copy of the demo's, or an empty one. */
export async function serveBench(
  kind: 'demo' | 'empty',
  words: readonly string[] = [],
): Promise<BenchServer> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-bench-'));
  if (kind === 'demo')
    cpSync((process.env.MELLOW_DEMO_BENCH ??= makeDemoBench()), folder, { recursive: true });
  else openDb(path.join(folder, 'mellow.db')).$client.close();
  const port = await freePort();
  const child = await startServer(folder, port, words);
  return {
    address: `http://127.0.0.1:${port}`,
    folder,
    process: child,
    async stop() {
      const isRunning = child.exitCode === null && child.signalCode === null;
      const ended = new Promise((resolve) => child.once('exit', resolve));
      if (child.kill('SIGKILL') && isRunning) await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
