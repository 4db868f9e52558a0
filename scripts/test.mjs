/** npm test: everything that must hold, on a fresh machine too. Ends with “N passed, N failed”. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildIfNeeded } from './build.mjs';
import { installTestTools, installPackages } from './install.mjs';
import { wordsOf } from './words.mjs';

wordsOf({
  command: 'npm test',
  does: 'Checks everything: formatting, lint, types, unit tests, build and browser tests.',
  options: {},
});

const ESM = '--experimental-vm-modules --no-warnings';
let passed = 0;
let failed = 0;

function check(name, work) {
  const from = Date.now();
  let good = false;
  try {
    good = work() !== false;
  } catch (error) {
    console.error(error.message);
  }
  console.log(`${good ? 'ok  ' : 'FAIL'} ${name} (${Math.round((Date.now() - from) / 1000)} s)`);
  if (good) passed++;
  else failed++;
}

const npx = (...args) => spawnSync('npx', ['--no-install', ...args], { stdio: 'inherit' }).status === 0;

/** Runs a jest project and adds its counts; a run that ends without a report is one failure. */
function jest(name, config, temporary) {
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
    env: { ...process.env, NODE_OPTIONS: ESM, TMPDIR: temporary },
  });
  if (!existsSync(report)) {
    console.log(`FAIL ${name}: no report`);
    failed++;
    return;
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  console.log(`     ${name}: ${numPassedTests} passed, ${numFailedTests + numRuntimeErrorTestSuites} failed`);
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
}

installPackages();
installTestTools();
mkdirSync('.tmp', { recursive: true });
const temporary = mkdtempSync(path.resolve('.tmp/test-'));
try {
  check('formatting', () => npx('prettier', '--check', '--log-level', 'warn', '.'));
  check('lint, with the import arrows', () => npx('eslint', '--max-warnings', '0', '.'));
  check('types', () => npx('next', 'typegen') && npx('tsc', '--noEmit'));
  jest('unit tests', 'jest.config.mjs', temporary);
  check('build', buildIfNeeded);
  jest('browser tests', 'jest.e2e.config.mjs', temporary);
} finally {
  rmSync(temporary, { recursive: true, force: true });
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
