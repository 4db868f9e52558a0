/**
 * A bench of years beside one of ten jobs, made through the verbs and served as it is used, in the same run: what pages,
 * a reading and a start cost. Then the core alone: 160 prints of one profile beside 20.
 * 500 jobs over six profiles; each job has four features, 1.5 prints, three readings a feature and a word on a mate; every
 * tenth job a ladder of joints beside it. `npm run bench:years [-- JOBS]`, on a built application.
 */
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { FeatureKind } from '@/core/metrology';
import { seededRandom, type SeededRandom } from '@/core/numerics';
import { expectOk } from '@/core/result';
import { estimateSignature, type KeptGroups, type SignatureReading } from '@/core/signature';
import { type Db, openDb } from '@/store';
import { createInstrument, startSession } from '@/subjects/caliper';
import { createGauge, recordRung } from '@/subjects/gauge';
import { addFeature, createJob, notePrint, startAttempt, viewJobUnlearned } from '@/subjects/job';
import { recordReadings, recordTry } from '@/subjects/measure';
import { createProfile, type LearnedSignature, newestSignature } from '@/subjects/printing';
import { freePort, startServer } from '../e2e/bench-server';
import { KINDS } from './kinds';

const LATER = () => undefined;

/** What a printer of the bench makes of a drawn size, mm. */
function printed(kind: FeatureKind, drawnMm: number, random: SeededRandom): number {
  const edge = kind.axis === 'Z' ? 0 : kind.sense === 'inside' ? -0.1 : 0.08;
  return drawnMm * 0.996 + edge + 0.02 * random.normal();
}

const shown = (mm: number) => Math.round(mm * 100) / 100;

/** The last print of a bench, where one more reading is taken. */
interface Newest {
  readonly jobId: number;
  readonly printId: number;
  readonly featureId: number;
  readonly sessionId: number;
  readonly readingMm: number;
}

function makeProfiles(db: Db): number[] {
  return Array.from({ length: 6 }, (_, i) =>
    expectOk(
      createProfile(db, {
        printerName: `Bench ${i % 2}`,
        simulated: true,
        resinName: `Resin ${i % 3}`,
        profileName: `profile ${i}`,
        layerMm: 0.05,
        lot: '',
      }),
    ),
  );
}

function fillJob(
  db: Db,
  i: number,
  by: { profileId: number; instrumentId: number; random: SeededRandom; learned: LearnedSignature },
): Newest {
  const { profileId, instrumentId, random, learned } = by;
  const jobId = createJob(db, `Job ${i}`, profileId);
  const features = Array.from({ length: 4 }, (_, f) => {
    const kind = KINDS[(i + f) % KINDS.length];
    const targetMm = shown(3 + 30 * random.uniform());
    const limits = { lowerDeviationMm: -0.08, upperDeviationMm: 0.08 };
    const mate = f === 0 ? { mateName: 'mate', mateMm: targetMm, mateU_mm: 0.01 } : {};
    return {
      kind,
      targetMm,
      id: expectOk(addFeature(db, jobId, { name: `size ${f}`, kind, targetMm, ...limits, ...mate })),
    };
  });
  let newest: Newest | undefined;
  for (let attempt = 0; attempt < 1 + (i % 2); attempt++) {
    const drawnMm = new Map(features.map(({ id, targetMm }) => [id, targetMm]));
    const view = { ...viewJobUnlearned(db, jobId)!, learned };
    const printId = notePrint(
      db,
      expectOk(startAttempt(db, view, { lever: 'drawn', reason: attempt === 0 ? '' : 'again', drawnMm })),
    );
    const sessionId = startSession(db, { jobId, instrumentId, zeroMm: 0, state: 'cured', warm: false });
    const readings = features.flatMap(({ id, kind, targetMm }) => {
      const sizeMm = printed(kind, targetMm, random);
      return [0, 1, 2].map(() => ({
        clientKey: crypto.randomUUID(),
        sessionId,
        printId,
        featureId: id,
        readingMm: shown(sizeMm + 0.007 * random.normal()),
        confirmed: true,
      }));
    });
    expectOk(recordReadings(db, readings, LATER));
    const word = { featureId: features[0].id, printId, word: 'right', state: 'cured' } as const;
    expectOk(recordTry(db, { ...word, clientKey: crypto.randomUUID() }, LATER));
    newest = { jobId, printId, sessionId, featureId: features[1].id, readingMm: readings[3].readingMm };
  }
  return newest!;
}

function addLadder(db: Db, i: number, profileId: number): void {
  const stepsMm = [0.1, 0.15, 0.2, 0.25, 0.3, 0.35];
  const spec = { kind: 'joint', joint: 'hinge', direction: 'plane', pinMm: 4, stepsMm } as const;
  const jobId = expectOk(createGauge(db, { name: `Ladder ${i}`, profileId, spec }));
  const printId = notePrint(db, viewJobUnlearned(db, jobId)!.attempts[0].id);
  stepsMm.forEach((gap, rung) =>
    expectOk(
      recordRung(db, {
        clientKey: crypto.randomUUID(),
        printId,
        rung: rung + 1,
        outcome: gap > 0.2 ? 'free' : 'fused',
        state: 'green',
      }),
    ),
  );
}

function makeBench(folder: string, jobs: number): Newest {
  const db = openDb(path.join(folder, 'mellow.db'));
  const random = seededRandom(jobs);
  const profiles = makeProfiles(db);
  // What is drawn is expected by what was known at the start: learning 750 times is not what is measured here.
  const learned = new Map(profiles.map((id) => [id, newestSignature(db, id)]));
  const instrumentId = expectOk(
    createInstrument(db, {
      name: 'bench',
      mpeMm: 0.02,
      resolutionMm: 0.01,
      jawFlatMm: 0.3,
      jawFlatUnknown: false,
      simulated: true,
    }),
  );
  let newest: Newest | undefined;
  for (let i = 0; i < jobs; i++) {
    const profileId = profiles[i % profiles.length];
    if (i % 10 === 0) addLadder(db, i, profileId);
    newest = fillJob(db, i, { profileId, instrumentId, random, learned: learned.get(profileId)! });
  }
  db.$client.close();
  return newest!;
}

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
 * One reading: from its request until the page of its job shows its verdict, and until what the signature says of the job
 * knows of it too, ms.
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

/** Readings of so many prints of one profile, as the benches have them. */
function readingsOf(prints: number): SignatureReading[] {
  const random = seededRandom(prints);
  return Array.from({ length: prints }, (_, p) =>
    [0, 1, 2, 3].flatMap((f) => {
      const kind = KINDS[(p + f) % KINDS.length];
      const drawnMm = shown(3 + 30 * random.uniform());
      const sizeMm = printed(kind, drawnMm, random);
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
process.exit(0);
