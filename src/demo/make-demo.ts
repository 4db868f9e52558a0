import { BLOCK_OF_24, BLOCK_OF_6, type BlockFeature } from '@/core/gauges';
import { expectOk } from '@/core/result';
import { anchorsOf, type SolidRecipe } from '@/core/solids';
import { eq } from 'drizzle-orm';
import { queries, tables, type Db } from '@/db';
import { notePrint, startAttempt } from '@/services/draw-next';
import { addFeature, createJob, type FeatureInput } from '@/services/edit-job';
import { createInstrument, createProfile } from '@/services/equipment';
import { writeHouseRules } from '@/services/house-rules';
import { closeJaws } from '@/services/stand-in';
import { recordReading, recordTry, startSession } from '@/services/take-readings';
import { viewJob } from '@/services/view-job';
import { noteLedger } from '@/services/ledger';

/** Sitting in which the demo's own readings were taken. */
const CONDITIONS = { zeroMm: 0, partC: 21, instrumentC: 21, state: 'cured', warm: false } as const;

function makeEquipment(db: Db) {
  const longBench = { printerName: 'Long Bench', pixelMm: 0.022, standIn: true, layerMm: 0.05 };
  const oldAmber = { printerName: 'Old Amber', pixelMm: 0.047, standIn: true, layerMm: 0.05 };
  const profile = (machine: typeof longBench, resinName: string, profileName: string, lot: string) =>
    expectOk(createProfile(db, { ...machine, resinName, profileName, lot }));
  return {
    otter: profile(longBench, 'Otter Tough', '0.05 mm, 2.4 s', 'lot 17'),
    slate: profile(longBench, 'Slate General', '0.05 mm, 2.1 s', 'lot 4'),
    kelp: profile(oldAmber, 'Kelp Flex', '0.05 mm, 9 s', 'lot 2'),
    caliper: expectOk(
      createInstrument(db, {
        name: 'Bench caliper',
        mpeMm: 0.02,
        resolutionMm: 0.01,
        jawFlatMm: 0.3,
        jawFlatUnknown: false,
        standIn: true,
      }),
    ),
  };
}

/** Reads every feature of a job's newest print with the simulated caliper, `times` times each. */
function readAll(db: Db, jobId: number, instrumentId: number, times: number): void {
  const sessionId = startSession(db, { jobId, instrumentId, ...CONDITIONS });
  const attempt = queries.listAttempts(db, jobId).at(-1)!;
  const printId = attempt.prints.at(-1)!.id;
  for (const feature of queries.listFeatures(db, jobId)) {
    for (let closing = 1; closing <= times; closing++) {
      const readingMm = expectOk(closeJaws(db, feature.id, printId, closing, instrumentId));
      expectOk(
        recordReading(db, {
          clientKey: `demo-${feature.id}-${printId}-${closing}`,
          sessionId,
          featureId: feature.id,
          printId,
          readingMm,
          confirmed: true,
        }),
      );
    }
  }
}

function makeBlock(
  db: Db,
  name: string,
  profileId: number,
  block: readonly BlockFeature[],
  instrumentId: number,
): void {
  const jobId = createJob(db, name, profileId, 'gauge');
  for (const { feature, kind, drawnMm } of block) {
    expectOk(addFeature(db, jobId, { name: feature, kind, targetMm: drawnMm, lowerMm: -0.1, upperMm: 0.1 }));
  }
  const drawn = new Map(queries.listFeatures(db, jobId).map((feature) => [feature.id, feature.targetMm]));
  const attemptId = expectOk(
    startAttempt(db, viewJob(db, jobId)!, { lever: 'drawn', reason: '', drawnMm: drawn }),
  );
  notePrint(db, attemptId, 1, jobId);
  readAll(db, jobId, instrumentId, 3);
}

function addFeatures(db: Db, jobId: number, inputs: readonly FeatureInput[]): number[] {
  return inputs.map((input) => expectOk(addFeature(db, jobId, input)));
}

/** Keeps how the part is built, and where on it its features are found. */
function keepSolid(db: Db, jobId: number, solid: SolidRecipe): void {
  const features = queries.listFeatures(db, jobId);
  const anchors = anchorsOf(solid, (id) => features.find((feature) => feature.id === id)!.targetMm);
  db.update(tables.jobs).set({ solid }).where(eq(tables.jobs.id, jobId)).run();
  for (const [featureId, anchor] of anchors) {
    db.update(tables.features)
      .set({ anchor: [...anchor] as [number, number, number] })
      .where(eq(tables.features.id, featureId))
      .run();
  }
}

/** Draws the first attempt at its targets, inside sizes scaled, and prints it. */
function printAsWanted(db: Db, jobId: number, insideScale = 1): number {
  const features = queries.listFeatures(db, jobId);
  const drawnMm = new Map(
    features.map(({ id, targetMm, sense }) => [id, sense === 'inside' ? targetMm * insideScale : targetMm]),
  );
  const attemptId = expectOk(startAttempt(db, viewJob(db, jobId)!, { lever: 'drawn', reason: '', drawnMm }));
  return notePrint(db, attemptId, 1, jobId);
}

function makeBushing(db: Db, profileId: number): void {
  const jobId = createJob(db, 'Float-wheel bushing', profileId);
  db.update(tables.jobs)
    .set({
      need: 'Centres the old float wheel on its steel sleeve. The wheel is brittle and nobody makes it any more.',
      acceptance: 'Slides on the sleeve by hand, pushes into the wheel without a tool, the wheel turns true.',
    })
    .where(eq(tables.jobs.id, jobId))
    .run();
  const limits = { lowerMm: -0.08, upperMm: 0.08 };
  const [outer, bore, height] = addFeatures(db, jobId, [
    {
      name: 'Collar outside',
      kind: { sense: 'outside', shape: 'round', axis: 'XY' },
      targetMm: 15.88,
      ...limits,
      mateName: 'Wheel bore',
      mateMm: 15.91,
      mateU_mm: 0.01,
    },
    {
      name: 'Sleeve bore',
      kind: { sense: 'inside', shape: 'round', axis: 'XY' },
      targetMm: 9.56,
      ...limits,
      mateName: 'Steel sleeve',
      mateMm: 9.47,
      mateU_mm: 0.008,
    },
    {
      name: 'Height',
      kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
      targetMm: 6.2,
      lowerMm: -0.1,
      upperMm: 0.1,
    },
  ]);
  keepSolid(db, jobId, { kind: 'ring', outer, bore, height });
  noteLedger(db, jobId, 'need', 'Mate: wheel bore 15.91 ± 0.02', 'measured, five readings');
  noteLedger(db, jobId, 'need', 'Mate: steel sleeve 9.47 ± 0.02', 'measured, three readings');
  printAsWanted(db, jobId);
}

function makeComb(db: Db, profileId: number, instrumentId: number): void {
  const jobId = createJob(db, 'Logger terminal comb', profileId);
  db.update(tables.jobs)
    .set({
      need: 'Holds six bought terminals in a row. The first one had all pockets scaled up by 3.5 %: the small ones stayed tight, the large ones came loose.',
      acceptance: 'Every terminal pushes in by thumb and stays when the comb is shaken upside down.',
    })
    .where(eq(tables.jobs.id, jobId))
    .run();
  const pocket = (targetMm: number): FeatureInput => ({
    name: `Pocket ${targetMm.toFixed(1)}`,
    kind: { sense: 'inside', shape: 'flat', axis: 'X' },
    targetMm,
    lowerMm: -0.06,
    upperMm: 0.06,
    mateName: `Terminal ${targetMm.toFixed(1)}`,
    mateMm: targetMm - 0.03,
    mateU_mm: 0.01,
  });
  const pockets = addFeatures(db, jobId, [1.6, 2.4, 3.2, 4.8, 6.4, 8].map(pocket));
  const [length, height] = addFeatures(db, jobId, [
    {
      name: 'Length',
      kind: { sense: 'outside', shape: 'flat', axis: 'X' },
      targetMm: 40,
      lowerMm: -0.12,
      upperMm: 0.12,
    },
    {
      name: 'Height',
      kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
      targetMm: 8,
      lowerMm: -0.1,
      upperMm: 0.1,
    },
  ]);
  keepSolid(db, jobId, { kind: 'comb', length, height, pockets, wallMm: 1.6, depthMm: 16 });
  const printId = printAsWanted(db, jobId, 1.035);
  readAll(db, jobId, instrumentId, 2);
  recordTry(db, {
    clientKey: 'demo-try-small',
    featureId: pockets[0],
    printId,
    word: 'needsForce',
    state: 'cured',
  });
  recordTry(db, {
    clientKey: 'demo-try-large',
    featureId: pockets[5],
    printId,
    word: 'slides',
    state: 'cured',
  });
}

/** Fills an empty bench with the tide station's: two printers, three resins, two blocks measured, two jobs under way. */
export function makeDemo(db: Db): void {
  writeHouseRules(db, { benchName: 'Tern Rock bench', letterKeys: true });
  const { otter, slate, caliper } = makeEquipment(db);
  makeBlock(db, 'Signature block, 24 sizes', otter, BLOCK_OF_24, caliper);
  makeBlock(db, 'Signature block, six sizes', slate, BLOCK_OF_6, caliper);
  makeComb(db, slate, caliper);
  makeBushing(db, otter);
}
