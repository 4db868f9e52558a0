/**
 * npm test: what must hold after every change, in minutes and as an ordinary user. npm run test:deep: what takes longer or
 * wants root. Both install what is missing, and end with “N passed, N failed”.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildIfNeeded } from './build.mjs';
import { installPackages, installTestTools } from './install.mjs';
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

/** A runner that hangs is ended then. */
const LONGEST_MS = 75 * 60_000;
/** So many of the slowest suites are named. */
const MOST_NAMED = 10;

let passed = 0;
let failed = 0;

const secondsSince = (from) => Math.round((Date.now() - from) / 1000);

async function check(name, work) {
  const from = Date.now();
  let good = false;
  try {
    good = (await work()) !== false;
  } catch (error) {
    console.error(error.message);
  }
  console.log(`${good ? 'ok  ' : 'FAIL'} ${name} (${secondsSince(from)} s)`);
  if (good) passed++;
  else failed++;
}

const npx = (...args) => spawnSync('npx', ['--no-install', ...args], { stdio: 'inherit' }).status === 0;

/** Names the slowest suites of a report, slowest first. */
function tellSlowest({ testResults }) {
  const seconds = testResults.map(({ name, startTime, endTime }) => [(endTime - startTime) / 1000, name]);
  for (const [took, name] of seconds.sort((a, b) => b[0] - a[0]).slice(0, MOST_NAMED))
    console.log(`     ${took.toFixed(0).padStart(5)} s  ${path.relative('.', name)}`);
}

/** Runs a jest configuration and adds its counts; a run that ends without a report is one failure. */
function jest(name, { config, environment, temporary }) {
  const from = Date.now();
  const report = path.join(temporary, `${name}.json`);
  const args = [
    'node_modules/jest/bin/jest.js',
    '--config',
    config,
    '--json',
    '--outputFile',
    report,
    '--silent',
  ];
  spawnSync(process.execPath, args, {
    stdio: ['ignore', 'ignore', 'inherit'],
    timeout: LONGEST_MS,
    env: { ...process.env, ...environment, TMPDIR: temporary },
  });
  if (!existsSync(report)) {
    console.log(`FAIL ${name}: no report`);
    failed++;
    return;
  }
  const told = JSON.parse(readFileSync(report, 'utf8'));
  const broken = told.numFailedTests + told.numRuntimeErrorTestSuites;
  console.log(
    `${broken === 0 ? 'ok  ' : 'FAIL'} ${name}: ${told.numPassedTests} passed, ${broken} failed (${secondsSince(from)} s); the slowest:`,
  );
  tellSlowest(told);
  passed += told.numPassedTests;
  failed += broken;
}

installPackages();
installTestTools({ isDeep });
mkdirSync('.tmp', { recursive: true });
const temporary = mkdtempSync(path.resolve('.tmp/test-'));
try {
  if (!isDeep) {
    await check('formatting', () => npx('prettier', '--check', '--log-level', 'warn', '.'));
    await check('lint, with the import arrows', () => npx('eslint', '--max-warnings', '0', '.'));
    await check('types', () => npx('next', 'typegen') && npx('tsc', '--noEmit'));
    jest('unit tests', { config: 'jest.config.mjs', environment: UNIT, temporary });
  }
  await check('build', buildIfNeeded);
  const config = isDeep ? 'jest.deep.config.mjs' : 'jest.e2e.config.mjs';
  jest(isDeep ? 'deep tests' : 'browser tests', { config, environment: BROWSER, temporary });
} finally {
  rmSync(temporary, { recursive: true, force: true });
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
