import { afterAll, expect, jest, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { runSuites } from '../suites.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-suites-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A suite that fails as often as `failures` says and then passes; it counts its runs in a file. */
const suite = (name: string, failures: number) => `
const fs = require('node:fs');
const file = ${JSON.stringify(path.join(folder, `${name}.runs`))};
test('${name}', () => {
  const runs = fs.existsSync(file) ? Number(fs.readFileSync(file, 'utf8')) : 0;
  fs.writeFileSync(file, String(runs + 1));
  expect(runs).toBeGreaterThanOrEqual(${failures});
});
test('beside it', () => {});
`;

const run = (shards: number) =>
  runSuites({
    name: 'trial',
    config: path.join(folder, 'jest.config.json'),
    environment: { NODE_OPTIONS: '' },
    temporary: folder,
    records: path.join(folder, 'records'),
    shards,
  });

test('a suite that fails once is unstable, one that fails twice is broken, and both are told', async () => {
  mkdirSync(path.join(folder, 'records'));
  writeFileSync(
    path.join(folder, 'jest.config.json'),
    JSON.stringify({ rootDir: folder, testEnvironment: 'node', reporters: [] }),
  );
  writeFileSync(path.join(folder, 'sound.test.js'), suite('sound', 0));
  writeFileSync(path.join(folder, 'shaky.test.js'), suite('shaky', 1));
  writeFileSync(path.join(folder, 'broken.test.js'), suite('broken', 99));
  const said: string[] = [];
  jest.spyOn(console, 'log').mockImplementation((line: string) => void said.push(line));
  const { passed, failed, unstable } = await run(2);
  expect({ passed, failed, unstable: unstable.map((each: string) => path.basename(each)) }).toEqual({
    passed: 5,
    failed: 1,
    unstable: ['shaky.test.js'],
  });
  expect(said.find((line) => line.startsWith('UNSTABLE'))).toContain(
    'shaky.test.js: failed once, then passed; 1 of 1 runs',
  );
  expect(said.some((line) => line.startsWith('FAIL trial: 5 passed, 1 failed'))).toBe(true);
  // Next time it passes at once; the record still tells.
  await run(1);
  const record = JSON.parse(readFileSync(path.join(folder, 'records/unstable.json'), 'utf8')) as {
    trial: { unstable: string[] }[];
  };
  expect(record.trial.map((each) => each.unstable.length)).toEqual([1, 0]);
});
