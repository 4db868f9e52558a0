/** Makes the demo bench once for all journeys; each is given a copy. Jest runs this before the first of them. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Folder of a fresh demo bench, made by the program's own demo command. */
export function makeDemoBench() {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-demo-'));
  const { status } = spawnSync(
    process.execPath,
    ['--conditions=react-server', '--import', 'tsx', 'src/demo/run.ts'],
    { stdio: 'inherit', env: { ...process.env, NODE_OPTIONS: '', MELLOW_DATA: folder } },
  );
  if (status !== 0) throw new Error(`The demo bench could not be made: ${status}`);
  return folder;
}

export default function setUp() {
  process.env.MELLOW_DEMO_BENCH = makeDemoBench();
}

/** Removes the workshop again once the last journey has ended. */
export function takeAway() {
  rmSync(process.env.MELLOW_DEMO_BENCH, { recursive: true, force: true });
}
