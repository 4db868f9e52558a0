import { eq } from 'drizzle-orm';
import type { GapDirection } from '@/core/fit/mating';
import { stepsFrom } from '@/core/fit/gauges';
import type { ReadAs } from '@/core/measure';
import { expectOk } from '@/core/kit';
import { anchorsOf, type SolidRecipe } from '@/core/fit/solids';
import { type Db, queries, tables } from '@/store';
import { planDraw } from '@/subjects/job/correct';
import { saveJoint, wishFor, type WishInput } from '@/subjects/fit/mating';
import { createGauge, recordGapStep } from '@/subjects/fit/gauges';
import { addFeature, createJob, type FeatureInput, notePrint, viewJob } from '@/subjects/job/jobs';
import { answerAcceptance } from '@/subjects/job/need';
import { chooseSheet, recordBody, takeOverSheet } from '@/subjects/job/sheets';
import { touchSimulatedGapStep } from '@/subjects/simulated';
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

/** Outer diameters of the station's sample vials, mm. */
const VIALS_MM = [5.2, 8.2, 10, 13, 16, 22] as const;

function bore(vialMm: number): FeatureInput {
  return {
    name: `Bore ${vialMm.toFixed(1)}`,
    kind: { sense: 'inside', shape: 'round', axis: 'XY' },
    targetMm: vialMm + 0.16,
    lowerDeviationMm: -0.08,
    upperDeviationMm: 0.08,
    mateName: `Vial ${vialMm.toFixed(1)}`,
    mateMm: vialMm,
    mateU_mm: 0.01,
  };
}

function wishOfVial(vialMm: number): WishInput {
  return {
    wish: 'slide',
    clearance: { lowMm: 0.08, highMm: 0.24 },
    ruin: 'none',
    coatMm: 0,
    mate: {
      name: `Vial ${vialMm.toFixed(1)}`,
      sizeMm: vialMm,
      u_mm: 0.01,
      material: 'glass',
      origin: 'bought',
      irreplaceable: false,
    },
  };
}

const RACK_SIZES: readonly FeatureInput[] = [
  {
    name: 'Length',
    kind: { sense: 'outside', shape: 'flat', axis: 'X' },
    targetMm: 108,
    lowerDeviationMm: -0.2,
    upperDeviationMm: 0.2,
  },
  {
    name: 'Height',
    kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
    targetMm: 8,
    lowerDeviationMm: -0.12,
    upperDeviationMm: 0.12,
  },
];

/** Places of the bores from the first one, a wall of 4 mm between them. */
function boreSteps(): number[] {
  let at = 0;
  return VIALS_MM.map((mm, i) => (i === 0 ? 0 : (at += (VIALS_MM[i - 1] + mm) / 2 + 4)));
}

/** The rack for glass sample vials, finished over three attempts: scaled, one change for all, and each by its own. */
export function makeRack(db: Db, profileId: number, instrumentId: number): void {
  const jobId = createJob(db, 'Sample vial rack', profileId);
  describeJob(db, jobId, {
    need: 'Holds six glass sample vials of six sizes. A vial must slide in by hand and must not tip.',
    acceptance: 'Every vial slides in by hand, without a tool, and stands upright when the rack is nudged.',
    quantity: 4,
  });
  const bores = VIALS_MM.map((mm) => expectOk(addFeature(db, jobId, bore(mm))));
  const [length, height] = RACK_SIZES.map((input) => expectOk(addFeature(db, jobId, input)));
  bores.forEach((id, i) => expectOk(wishFor(db, jobId, id, wishOfVial(VIALS_MM[i]))));
  const steps = boreSteps();
  keepSolid(db, jobId, {
    kind: 'plate',
    length: { feature: length },
    width: { mm: 28 },
    thickness: { feature: height },
    holes: bores.map((feature, i) => ({
      diameter: { feature },
      x: { mm: i === 0 ? 9 : steps[i] },
      y: { mm: i === 0 ? 14 : 0 },
    })),
  });

  const drawnAs = (change: (vialMm: number) => number) =>
    new Map(bores.map((id, i) => [id, change(VIALS_MM[i])]));
  printNext(
    db,
    jobId,
    drawnAs((vialMm) => vialMm * 1.022),
  );
  readAll(db, jobId, instrumentId, 2);
  tryAll(db, jobId, bores);
  expectOk(answerAcceptance(db, jobId, 'failed', 'the small ones are tight, the large ones tip'));
  printNext(
    db,
    jobId,
    drawnAs((vialMm) => vialMm + 0.22),
    'Scaling opened the large ones most. Now the same 0.22 on every vial.',
  );
  readAll(db, jobId, instrumentId, 2);
  tryAll(db, jobId, bores);
  expectOk(answerAcceptance(db, jobId, 'partly', 'the small ones slide now, some large ones need force'));
  const plan = planDraw(viewJob(db, jobId)!)!;
  printNext(
    db,
    jobId,
    new Map(plan.lines.map(({ feature, next }) => [feature.id, next.drawMm])),
    'Each drawn for what this printer does with this resin.',
  );
  readAll(db, jobId, instrumentId, 3);
  tryAll(db, jobId, bores);
  expectOk(answerAcceptance(db, jobId, 'passed', 'all six slide in and stand'));
}

/** A gap test of the rain gauge's hinge: printed, and every step tried. */
export function makeGapTest(db: Db, profileId: number, direction: GapDirection): void {
  const stepsMm = stepsFrom(0.1, 0.05, 9);
  const joint = direction === 'plane' ? 'hinge' : 'slider';
  const jobId = expectOk(
    createGauge(db, {
      name: direction === 'plane' ? 'Gap test, hinge' : 'Gap test, along Z',
      profileId,
      spec: { kind: 'joint', joint, direction, pinMm: 4, stepsMm },
    }),
  );
  const attempt = queries.listAttempts(db, jobId).at(-1)!;
  const printId = notePrint(db, attempt.id);
  for (let rung = 1; rung <= stepsMm.length; rung++) {
    const outcome = expectOk(touchSimulatedGapStep(db, printId, rung));
    recordGapStep(db, { clientKey: `demo-rung-${printId}-${rung}`, printId, rung, outcome, state: 'green' });
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
    need: 'Holds the sky sensor. At 100 % it moves well; at 160 % it must hold its position and not rattle.',
    acceptance: 'Holds its position after it is set and released.',
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
