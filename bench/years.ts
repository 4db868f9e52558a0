/**
 * A workshop with years of data beside one with ten jobs, made through the use cases and served, in the same run: the
 * cost of pages, a reading and a start. Then the core alone: 160 prints of one profile beside 20. 500 jobs over six
 * profiles; each job has four features, 1.5 prints, three readings per feature and one hand fit, and a plate of two
 * before; every fifth plate failed and its vat was cleared, and every tenth job has a gap test beside it. Last, one job
 * printed 50 and 5 000 times. `npm run bench:years [-- JOBS | -- one-job]`, on a built application.
 */
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededRandom } from '@/core/kit/numerics';
import { estimateSignature, type KeptGroups, type SignatureReading } from '@/core/signature';
import { freePort, startServer } from '../e2e/bench-server';
import { KINDS } from './kinds';
import { makeOneJobBench } from './one-job-bench';
import { makeBench, type Newest, shown, sizeOf } from './years-bench';

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** Until the first byte of the answer, ms. */
async function firstByte(address: string, init?: RequestInit): Promise<number> {
  const from = performance.now();
  const answer = await fetch(address, init);
  const ms = performance.now() - from;
  if (!answer.ok) throw new Error(`${address}: ${answer.status} ${await answer.text()}`);
  await answer.arrayBuffer();
  return ms;
}

const UNDER_WAY = 'being brought up to date';

/**
 * One reading: from its request until the page of its job shows its verdict, and until the signature includes it, ms.
 */
async function oneReading(
  address: string,
  newest: Newest,
): Promise<{ readonly verdict: number; readonly learned: number }> {
  const { jobId, printId, featureId, sessionId } = newest;
  const from = performance.now();
  await firstByte(`${address}/api/readings`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: address },
    body: JSON.stringify({
      clientKey: crypto.randomUUID(),
      sessionId,
      printId,
      featureId,
      readingMm: newest.readingMm,
      confirmed: true,
    }),
  });
  let verdict: number | undefined;
  for (;;) {
    const page = await (await fetch(`${address}/jobs/${jobId}/measure`)).text();
    verdict ??= performance.now() - from;
    if (!page.includes(UNDER_WAY)) return { verdict, learned: performance.now() - from };
    await new Promise((done) => setTimeout(done, 20));
  }
}

const PAGES = ['need', 'resin', 'fit', 'check', 'run', 'measure', 'correct', 'story'];

async function measure(jobs: number): Promise<Map<string, number>> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-years-'));
  const newest = makeBench(folder, jobs);
  const port = await freePort();
  const server = await startServer(folder, port);
  const address = `http://127.0.0.1:${port}`;
  const found = new Map<string, number>();
  // Pages are compiled by the first request of each; the job before the newest belongs to another profile.
  for (const page of PAGES) await firstByte(`${address}/jobs/${newest.jobId - 1}/${page}`);
  found.set('first estimate after a restart', await firstByte(`${address}/jobs/${newest.jobId}/correct`));
  const times = async (run: () => Promise<number>, count = 7) => {
    const all: number[] = [];
    for (let i = 0; i < count; i++) all.push(await run());
    return median(all);
  };
  for (const page of PAGES)
    found.set(`job, ${page}`, await times(() => firstByte(`${address}/jobs/${newest.jobId}/${page}`)));
  for (const [name, where] of [
    ['Today', '/'],
    ['printers', '/printers'],
    ['signature', '/printers/6'],
    ['light', '/printers/6/light'],
    ['log', '/printers/machine/2/log'],
    ['gauges', '/gauges'],
    ['shelf', '/shelf'],
    ['house', '/house'],
    ['Find', '/api/find?words=job%203'],
  ])
    found.set(name, await times(() => firstByte(address + where)));
  found.set(
    'one reading, to its verdict',
    await times(async () => (await oneReading(address, newest)).verdict, 5),
  );
  found.set(
    'one reading, to the newest signature',
    await times(async () => (await oneReading(address, newest)).learned, 5),
  );
  found.set(
    'Today after a reading',
    await times(async () => {
      await oneReading(address, newest);
      return firstByte(`${address}/`);
    }, 3),
  );
  server.kill();
  found.set('size of the file, MB', statSync(path.join(folder, 'mellow.db')).size / 1e6);
  rmSync(folder, { recursive: true, force: true });
  return found;
}

/** The pages of a printer that printed one job so many times, ms: the first look after a change, and the next ones. */
async function measureOneJob(plates: number): Promise<Map<string, number>> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-one-job-'));
  const printerId = makeOneJobBench(folder, plates);
  const port = await freePort();
  const server = await startServer(folder, port);
  const address = `http://127.0.0.1:${port}`;
  await firstByte(`${address}/printers/machine/${printerId}`);
  const found = new Map<string, number>();
  for (const [name, where] of [
    ['log', `/printers/machine/${printerId}/log`],
    ['Today', '/'],
    ['job, run', '/jobs/1/run'],
    ['job, measure', '/jobs/1/measure'],
  ]) {
    found.set(`${name}, first look`, await firstByte(address + where));
    const times: number[] = [];
    for (let i = 0; i < 7; i++) times.push(await firstByte(address + where));
    found.set(name, median(times));
  }
  server.kill();
  rmSync(folder, { recursive: true, force: true });
  return found;
}

/** Readings of this many prints of one profile, as the workshops have them. */
function readingsOf(prints: number): SignatureReading[] {
  const random = seededRandom(prints);
  return Array.from({ length: prints }, (_, p) =>
    [0, 1, 2, 3].flatMap((f) => {
      const kind = KINDS[(p + f) % KINDS.length];
      const drawnMm = shown(3 + 30 * random.uniform());
      const sizeMm = sizeOf(kind, drawnMm, random);
      const feature = `${Math.floor(p / 1.5)}/${f}`;
      return [0, 1, 2].map(() => ({
        ...kind,
        feature,
        print: `P${p}`,
        drawnMm,
        readingMm: shown(sizeMm + 0.007 * random.normal()),
        warmth: { sitting: `P${p}`, u: 2e-4 },
      }));
    }),
  ).flat();
}

function coreMs(prints: number): {
  readonly nothing: number;
  readonly oneMore: number;
  readonly keptMB: number;
} {
  const readings = readingsOf(prints);
  const options = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
  const timed = (kept: KeptGroups, given: readonly SignatureReading[]) => {
    const from = performance.now();
    estimateSignature(given, { ...options, kept });
    return performance.now() - from;
  };
  const nothing = median(Array.from({ length: 5 }, () => timed(new Map(), readings)));
  const kept: KeptGroups = new Map();
  timed(kept, readings);
  const oneMore = median(
    Array.from({ length: 9 }, (_, i) => {
      const again = readings.slice(0, 3 * (i + 1)).at(-1)!;
      return timed(kept, [...readings, again]);
    }),
  );
  let bytes = 0;
  for (const { left } of kept.values())
    for (const { information } of left.values()) bytes += information.byteLength;
  return { nothing, oneMore, keptMB: bytes / 1e6 };
}

/** One job, printed 50 and 5 000 times. */
async function tellOneJob(): Promise<void> {
  const [some, thousands] = [await measureOneJob(50), await measureOneJob(5000)];
  console.log('\n| one job | 50 plates | 5 000 plates | ratio |\n|---|---|---|---|');
  for (const [name, value] of thousands) {
    const before = some.get(name)!;
    console.log(
      `| ${name} | ${before.toFixed(0)} ms | ${value.toFixed(0)} ms | ${(value / before).toFixed(2)} |`,
    );
  }
}

if (process.argv[2] === 'one-job') {
  await tellOneJob();
  process.exit(0);
}
const many = Number(process.argv[2] ?? 500);
const [few, years] = [await measure(10), await measure(many)];
console.log(`| | 10 jobs | ${many} jobs | ratio |`);
console.log('|---|---|---|---|');
for (const [name, value] of years) {
  const before = few.get(name)!;
  const unit = name.includes('MB') ? '' : ' ms';
  const digits = name.includes('MB') ? 1 : 0;
  console.log(
    `| ${name} | ${before.toFixed(digits)}${unit} | ${value.toFixed(digits)}${unit} | ${(value / before).toFixed(2)} |`,
  );
}
coreMs(20);
const [small, large] = [coreMs(20), coreMs(160)];
console.log(
  `\nOne profile, 20 prints: ${small.nothing.toFixed(0)} ms from nothing; 160 prints: ${large.nothing.toFixed(0)} ms ` +
    `(${(large.nothing / small.nothing).toFixed(1)} times), one more reading ${large.oneMore.toFixed(0)} ms, ${large.keptMB.toFixed(1)} MB kept`,
);
await tellOneJob();
process.exit(0);
