/**
 * npm test: what must hold after every change, in minutes and as an ordinary user. npm run test:deep: what takes longer or
 * wants root. Both install what is missing, and end with “N passed, N failed”.
 */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { installPackages, installTestTools } from './install.mjs';
import { runSuites } from './suites.mjs';
import { wordsOf } from './words.mjs';

const { deep: isDeep = false } = wordsOf({
  command: 'npm test',
  does: 'Checks formatting, lint, types, unit tests, build and browser tests; npm run test:deep runs the rest.',
  options: {
    deep: { text: 'instead: kills, small disks, attacks and the walk over every page; takes root' },
  },
});

/** Plain tests run under the loader that reads TypeScript, the others in the runner's sandbox. */
const UNIT = {
  NODE_OPTIONS: '--experimental-vm-modules --import tsx --no-warnings',
  TSX_TSCONFIG_PATH: 'tsconfig.test.json',
};
const BROWSER = { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' };

/** What a run leaves: caches, the record of unstable suites, traces of failures. */
const RECORDS = '.tmp';

const total = { passed: 0, failed: 0, unstable: 0 };

/** Runs commands one after another until one fails, and says how they went when they are through. */
async function check(name, ...commands) {
  const from = Date.now();
  const said = [];
  let isGood = true;
  for (const [command, ...args] of commands) {
    if (!isGood) break;
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => said.push(text));
    isGood = (await once(child, 'close'))[0] === 0;
  }
  if (!isGood) process.stderr.write(Buffer.concat(said));
  console.log(`${isGood ? 'ok  ' : 'FAIL'} ${name} (${Math.round((Date.now() - from) / 1000)} s)`);
  if (isGood) total.passed++;
  else total.failed++;
}

async function suites(run) {
  const { passed, failed, unstable } = await runSuites(run);
  total.passed += passed;
  total.failed += failed;
  total.unstable += unstable.length;
}

const npx = (...args) => ['npx', '--no-install', ...args];
const BUILD = [
  process.execPath,
  '--input-type=module',
  '-e',
  "await (await import('./scripts/build.mjs')).buildIfNeeded()",
];

/** Formatting and lint beside types and build: two processors, two lanes. */
async function checkStill() {
  const kept = (tool) => ['--cache', '--cache-location', `${RECORDS}/${tool}-cache`];
  const lanes = [
    async () => {
      await check('formatting', npx('prettier', '--check', '--log-level', 'warn', ...kept('prettier'), '.'));
      await check(
        'lint, with the import arrows',
        npx('eslint', '--max-warnings', '0', ...kept('eslint'), '.'),
        [process.execPath, 'lint/circles.mjs'],
      );
    },
    async () => {
      await check('types', npx('next', 'typegen'), npx('tsc', '--noEmit'));
      await check('build', BUILD);
    },
  ];
  await Promise.all(lanes.map((lane) => lane()));
}

installTestTools({ isDeep });
installPackages();
mkdirSync(RECORDS, { recursive: true });
const temporary = mkdtempSync(path.resolve(RECORDS, 'test-'));
const folders = { temporary, records: RECORDS };
try {
  if (isDeep) {
    await check('build', BUILD);
    await suites({ name: 'deep tests', config: 'jest.deep.config.mjs', environment: BROWSER, ...folders });
  } else {
    await checkStill();
    await suites({
      name: 'unit tests',
      config: 'jest.config.mjs',
      environment: UNIT,
      shards: 2,
      ...folders,
    });
    await suites({
      name: 'browser tests',
      config: 'jest.e2e.config.mjs',
      environment: BROWSER,
      ...folders,
    });
  }
} finally {
  rmSync(temporary, { recursive: true, force: true });
}
const { passed, failed, unstable } = total;
console.log(`${passed} passed, ${failed} failed${unstable > 0 ? `, ${unstable} unstable` : ''}`);
process.exit(failed === 0 ? 0 : 1);
