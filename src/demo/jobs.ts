import { eq } from 'drizzle-orm';
import type { GapDirection } from '@/core/fits';
import { stepsFrom } from '@/core/gauges';
import type { ReadAs } from '@/core/metrology';
import { expectOk } from '@/core/result';
import { anchorsOf, type SolidRecipe } from '@/core/solids';
import { type Db, queries, tables } from '@/store';
import { planDraw } from '@/subjects/correct';
import { saveJoint, wishFor, type WishInput } from '@/subjects/fit';
import { createGauge, recordRung } from '@/subjects/gauge';
import { addFeature, createJob, type FeatureInput, notePrint, viewJob } from '@/subjects/job';
import { answerAcceptance } from '@/subjects/need';
import { chooseSheet, recordBody, takeOverSheet } from '@/subjects/sheet';
import { touchSimulatedRung } from '@/subjects/simulated';
import { printNext, readAll, tryAll } from './hands';

type JobText = Partial<typeof tables.jobs.$inferInsert>;

function describeJob(db: Db, jobId: number, text: JobText): void {
  db.update(tables.jobs).set(text).where(eq(tables.jobs.id, jobId)).run();
}

/** Keeps how a part is built, and where on it its features are found. */
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

type BodyRow = readonly [measure: string, level: number, turn: number, mm: number, readAs?: ReadAs];

/** Wheel, sleeve and seat as somebody read them: twice around, near the mouth and at the far end. */
const BUSHING_BODIES: readonly BodyRow[] = [
  ['bore', 0, 0, 15.91],
  ['bore', 0, 1, 15.92],
  ['bore', 1, 0, 15.91],
  ['bore', 1, 1, 15.91],
  ['shaft', 0, 0, 9.47],
  ['shaft', 0, 1, 9.47],
  ['shaft', 1, 0, 9.46],
  ['shaft', 1, 1, 9.47],
  ['depth', 0, 0, 6.2],
  ['depth', 0, 1, 6.19],
];

/** The bushing between an old brittle wheel and a steel sleeve: measured by a sheet, drawn at its targets, printed once. */
export function makeBushing(db: Db, profileId: number, instrumentId: number): void {
  const jobId = createJob(db, 'Float-wheel bushing', profileId);
  describeJob(db, jobId, {
    need: 'Centres the old float wheel on its steel sleeve. The wheel is brittle and nobody makes it any more.',
    acceptance: 'Slides on the sleeve by hand, pushes into the wheel without a tool, the wheel turns true.',
    hottestC: 38,
    hottestWhen: 'a summer day in the gauge house',
    loadWords: 'the float’s pull, a few newtons, day and night',
    loadN: 6,
  });
  chooseSheet(db, jobId, {
    kind: 'ring',
    options: {},
    wishes: {
      housing: { wish: 'push', ruin: 'tightCosts', clearance: { lowMm: -0.05, highMm: 0.11 } },
      shaft: { wish: 'slide', clearance: { lowMm: 0.01, highMm: 0.17 } },
    },
  });
  BUSHING_BODIES.forEach(([measure, level, turn, readingMm, readAs = 'diameter'], i) =>
    expectOk(
      recordBody(db, {
        clientKey: `demo-body-${i}`,
        jobId,
        measure,
        level,
        turn,
        readingMm,
        readAs,
        instrumentId,
        confirmed: true,
      }),
    ),
  );
  expectOk(takeOverSheet(db, jobId));
  const names = { outside: 'Collar outside', bore: 'Sleeve bore' } as const;
  for (const [sheetFeature, name] of Object.entries(names))
    db.update(tables.features).set({ name }).where(eq(tables.features.sheetFeature, sheetFeature)).run();
  const mates = { bore: 'Wheel bore', shaft: 'Steel sleeve' } as const;
  for (const [measure, name] of Object.entries(mates))
    db.update(tables.mates)
      .set(
        measure === 'bore'
          ? { name, material: 'hardPlastic', origin: 'old', irreplaceable: true }
          : { name, material: 'steel', origin: 'old' },
      )
      .where(eq(tables.mates.measure, measure))
      .run();
  printNext(db, jobId);
}

const TERMINALS_MM = [1.6, 2.4, 3.2, 4.8, 6.4, 8] as const;

function pocket(targetMm: number): FeatureInput {
  return {
    name: `Pocket ${targetMm.toFixed(1)}`,
    kind: { sense: 'inside', shape: 'flat', axis: 'X' },
    targetMm,
    lowerDeviationMm: -0.06,
    upperDeviationMm: 0.06,
    mateName: `Terminal ${targetMm.toFixed(1)}`,
    mateMm: targetMm - 0.03,
    mateU_mm: 0.01,
  };
}

function wishOfTerminal(targetMm: number): WishInput {
  return {
    wish: 'push',
    clearance: { lowMm: -0.03, highMm: 0.09 },
    ruin: 'none',
    coatMm: 0,
    mate: {
      name: `Terminal ${targetMm.toFixed(1)}`,
      sizeMm: targetMm - 0.03,
      u_mm: 0.01,
      material: 'brass',
      origin: 'bought',
      irreplaceable: false,
    },
  };
}

/** The comb of bought terminals, finished over three attempts: scaled, one change for all, and each by its own. */
export function makeComb(db: Db, profileId: number, instrumentId: number): void {
  const jobId = createJob(db, 'Logger terminal comb', profileId);
  describeJob(db, jobId, {
    need: 'Holds six bought terminals in a row.',
    acceptance: 'Every terminal pushes in by thumb and stays when the comb is shaken upside down.',
    quantity: 4,
  });
  const pockets = TERMINALS_MM.map((mm) => expectOk(addFeature(db, jobId, pocket(mm))));
  const [length, height] = (
    [
      {
        name: 'Length',
        kind: { sense: 'outside', shape: 'flat', axis: 'X' },
        targetMm: 40,
        lowerDeviationMm: -0.12,
        upperDeviationMm: 0.12,
      },
      {
        name: 'Height',
        kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
        targetMm: 8,
        lowerDeviationMm: -0.1,
        upperDeviationMm: 0.1,
      },
    ] satisfies FeatureInput[]
  ).map((input) => expectOk(addFeature(db, jobId, input)));
  pockets.forEach((id, i) => expectOk(wishFor(db, jobId, id, wishOfTerminal(TERMINALS_MM[i]))));
  keepSolid(db, jobId, { kind: 'comb', length, height, pockets, wallMm: 1.6, depthMm: 16 });

  const drawnAs = (change: (mm: number) => number) =>
    new Map(pockets.map((id, i) => [id, change(TERMINALS_MM[i])]));
  printNext(
    db,
    jobId,
    drawnAs((mm) => mm * 1.025),
  );
  readAll(db, jobId, instrumentId, 2);
  tryAll(db, jobId, pockets);
  expectOk(answerAcceptance(db, jobId, 'failed', 'the small ones stay out, the large ones fall out'));
  printNext(
    db,
    jobId,
    drawnAs((mm) => mm + 0.05),
    'Scaling opened the large ones most: now the same 0.05 for all.',
  );
  readAll(db, jobId, instrumentId, 2);
  tryAll(db, jobId, pockets);
  expectOk(answerAcceptance(db, jobId, 'partly', 'some still need force'));
  const plan = planDraw(viewJob(db, jobId)!)!;
  printNext(
    db,
    jobId,
    new Map(plan.lines.map(({ feature, next }) => [feature.id, next.drawMm])),
    'Each drawn as this printer with this resin asks for it.',
  );
  readAll(db, jobId, instrumentId, 3);
  tryAll(db, jobId, pockets);
  expectOk(answerAcceptance(db, jobId, 'passed', 'all six stay when shaken'));
}

/** A gap ladder of the rain gauge's hinge: printed, and every rung tried. */
export function makeLadder(db: Db, profileId: number, direction: GapDirection): void {
  const stepsMm = stepsFrom(0.1, 0.05, 9);
  const joint = direction === 'plane' ? 'hinge' : 'slider';
  const jobId = expectOk(
    createGauge(db, {
      name: direction === 'plane' ? 'Ladder for a hinge' : 'Ladder through height',
      profileId,
      spec: { kind: 'joint', joint, direction, pinMm: 4, stepsMm },
    }),
  );
  const attempt = queries.listAttempts(db, jobId).at(-1)!;
  const printId = notePrint(db, attempt.id);
  for (let rung = 1; rung <= stepsMm.length; rung++) {
    const outcome = expectOk(touchSimulatedRung(db, printId, rung));
    recordRung(db, { clientKey: `demo-rung-${printId}-${rung}`, printId, rung, outcome, state: 'green' });
  }
}

export function makeHinge(db: Db, profileId: number): void {
  const jobId = createJob(db, 'Rain-gauge hinge', profileId);
  describeJob(db, jobId, {
    need: 'Lid and box of the rain gauge in one print: pin and knuckles come off the plate together.',
    acceptance: 'Turns by hand all the way round without rubbing.',
    quantity: 2,
  });
  saveJoint(db, jobId, {
    name: 'Lid hinge',
    kind: 'hinge',
    gapMm: 0.38,
    heightGapMm: 0.45,
    pinMm: 4,
    spanMm: 24,
    scale: 1,
    mostAngleDeg: 2.5,
    freed: 'green',
  });
}

export function makeTiltHead(db: Db, profileId: number): void {
  const jobId = createJob(db, 'Tilt head, wanted at 160 %', profileId);
  describeJob(db, jobId, {
    need: 'Carries the sky sensor. The file moves well as it is; at 160 % it must hold its pose and not rattle.',
    acceptance: 'Holds its pose when it is set and let go.',
    loadWords: 'the sensor, 180 g at 60 mm',
    loadN: 1.8,
  });
  saveJoint(db, jobId, {
    name: 'Ball joint',
    kind: 'ball',
    gapMm: 0.22,
    pinMm: 9,
    spanMm: 6,
    scale: 1.6,
    mostLateralMm: 0.45,
    freed: 'cured',
  });
}
