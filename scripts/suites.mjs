/** Runs test suites. A suite that fails runs once more, so that an unstable suite is not taken for a broken one. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** A runner that hangs is ended then. */
const LONGEST_MS = 75 * 60_000;
/** How many of the slowest suites are named. */
const MOST_NAMED = 10;
/** How many runs the record of unstable suites goes back. */
const RUNS_RECORDED = 10;
/** Record of unstable suites, in the folder of records. */
const UNSTABLE = 'unstable.json';

/**
 * @typedef {object} SuiteRun
 * @property {string} name What the run is called on screen.
 * @property {string} config Jest configuration.
 * @property {Record<string, string>} environment
 * @property {string} temporary Folder for reports and for what the tests leave.
 * @property {string} records Folder that stays, for the record of unstable suites and the traces of failures.
 * @property {number} [shards] Processes that share the suites; 1 where it is left out.
 */

/** Results of one process of the runner, suite by suite; undefined when it ended without a report. */
async function runOnce(run, part, words) {
  const { name, config, environment, temporary } = run;
  const file = path.join(temporary, `${name} ${part}.json`);
  rmSync(file, { force: true });
  const args = ['node_modules/jest/bin/jest.js', '--config', config, '--json', '--outputFile', file];
  const child = spawn(process.execPath, [...args, '--silent', ...words], {
    stdio: ['ignore', 'ignore', 'inherit'],
    timeout: LONGEST_MS,
    env: { ...process.env, ...environment, TMPDIR: temporary, MELLOW_TRACES: tracesOf(run) },
  });
  await once(child, 'exit');
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')).testResults : undefined;
}

/** Results of all suites, from as many processes as the run has shards; undefined when one of them gave none. */
async function runAll(run) {
  const { shards = 1 } = run;
  const parts = Array.from({ length: shards }, (_, i) => `${i + 1}/${shards}`);
  const results = await Promise.all(
    parts.map((part, i) => runOnce(run, i + 1, shards > 1 ? ['--shard', part] : [])),
  );
  return results.includes(undefined) ? undefined : results.flat();
}

const suiteOf = ({ name }) => path.relative('.', name);
const countOf = ({ assertionResults }, wanted) =>
  assertionResults.filter(({ status }) => status === wanted).length;

/** Tests that failed in a suite; a suite that could not even start counts as one. */
const countFailed = (result) =>
  result.status === 'failed' ? Math.max(1, countOf(result, 'failed')) : countOf(result, 'failed');

const sum = (counts) => counts.reduce((total, count) => total + count, 0);

/** The slowest suites of a report, slowest first, a line each. */
function slowest(results) {
  const seconds = results.map(({ name, startTime, endTime }) => [(endTime - startTime) / 1000, name]);
  return seconds
    .sort((a, b) => b[0] - a[0])
    .slice(0, MOST_NAMED)
    .map(([took, name]) => `     ${took.toFixed(0).padStart(5)} s  ${path.relative('.', name)}`);
}

/** Adds the unstable suites of a run to the record on this machine; returns how often each was, in its last ten runs. */
function record({ name, records }, unstable) {
  const file = path.join(records, UNSTABLE);
  const all = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
  const runs = [...(all[name] ?? []), { at: new Date().toISOString(), unstable }].slice(-RUNS_RECORDED);
  writeFileSync(file, JSON.stringify({ ...all, [name]: runs }, undefined, 2));
  return (suite) => `${runs.filter((run) => run.unstable.includes(suite)).length} of ${runs.length} runs`;
}

/** Folder in which the browser tests of a run leave a picture and the text of what failed. */
const tracesOf = ({ name, records }) => path.resolve(records, 'failed', name.replaceAll(' ', '-'));

/**
 * Runs the suites of a configuration, says what passed, and runs what failed once more.
 *
 * @param {SuiteRun} run
 * @returns {Promise<{ passed: number, failed: number, unstable: string[] }>}
 */
export async function runSuites(run) {
  const from = Date.now();
  const traces = tracesOf(run);
  rmSync(traces, { recursive: true, force: true });
  const first = await runAll(run);
  if (first === undefined) {
    console.log(`FAIL ${run.name}: the runner ended without a report`);
    return { passed: 0, failed: 1, unstable: [] };
  }
  const suspects = first.filter((result) => countFailed(result) > 0).map(suiteOf);
  if (suspects.length > 0) console.log(`Running again: ${suspects.join(', ')}`);
  const again =
    suspects.length > 0 ? ((await runOnce(run, 'again', ['--runTestsByPath', ...suspects])) ?? []) : [];
  const results = Object.values(
    Object.fromEntries([...first, ...again].map((result) => [result.name, result])),
  );
  const passed = sum(results.map((result) => countOf(result, 'passed')));
  const failed = sum(results.map(countFailed));
  const good = results.filter((result) => countFailed(result) === 0).map(suiteOf);
  const unstable = suspects.filter((suite) => good.includes(suite));
  const mark = failed > 0 ? 'FAIL' : unstable.length > 0 ? 'UNSTABLE' : 'ok  ';
  const seconds = Math.round((Date.now() - from) / 1000);
  console.log(`${mark} ${run.name}: ${passed} passed, ${failed} failed (${seconds} s); the slowest suites:`);
  for (const line of slowest(first)) console.log(line);
  const howOften = record(run, unstable);
  for (const suite of unstable)
    console.log(`UNSTABLE ${suite}: failed once, then passed; ${howOften(suite)} on this machine`);
  if (existsSync(traces)) console.log(`Pictures and texts of what failed: ${path.relative('.', traces)}/`);
  return { passed, failed, unstable };
}
