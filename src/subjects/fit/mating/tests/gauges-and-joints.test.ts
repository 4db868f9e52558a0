import { describe, expect, test } from '@jest/globals';
import { FEW_SIZES, type GaugeSpec, stepsFrom } from '@/core/fit/gauges';
import { checkMesh, readStl, weldCorners } from '@/core/part/mesh';
import type { PartState } from '@/core/measure';
import { expectOk } from '@/core/kit';
import { type Db, queries } from '@/store';
import {
  blockForJob,
  createGauge,
  foreseeBlock,
  glanceAtGauges,
  listGapSteps,
  recordGapStep,
  gapStepsOfPrint,
  viewGapTest,
} from '@/subjects/fit/gauges';
import { buildJobFile, canBuild, changeProcess, createJob, notePrint, viewJob } from '@/subjects/job/jobs';
import { frameJob, glanceAtJobs } from '@/subjects/job/overview';
import { correctSettings, createProfile } from '@/subjects/signature';
import { touchSimulatedGapStep } from '@/subjects/simulated';
import { readyBench } from '@/testing/bench';
import { listTriedGaps } from '../index';
import { removeJoint } from '../remove-joint';
import { type JointInput, saveJoint } from '../save-joint';
import { viewJoints } from '../view-joints';
import { listJoints } from '../list-joints';

const HINGE: GaugeSpec = {
  kind: 'joint',
  joint: 'hinge',
  direction: 'plane',
  pinMm: 4,
  stepsMm: stepsFrom(0.1, 0.05, 9),
};

const LID: JointInput = {
  name: 'Lid',
  kind: 'hinge',
  gapMm: 0.25,
  pinMm: 4,
  spanMm: 20,
  scale: 1.6,
  freed: 'green',
};

function printGauge(db: Db, profileId: number, spec: GaugeSpec) {
  const jobId = expectOk(createGauge(db, { name: 'gauge', profileId, spec }));
  return { jobId, printId: notePrint(db, queries.listAttempts(db, jobId).at(-1)!.id) };
}

function tapFrom(db: Db, printId: number, freeFrom: number, state: PartState = 'green'): void {
  for (let rung = 1; rung <= 9; rung++) {
    const outcome = rung >= freeFrom ? 'free' : 'fused';
    expectOk(recordGapStep(db, { clientKey: `${printId} ${rung}`, printId, rung, outcome, state }));
  }
}

describe('a gauge', () => {
  test('of sizes is a job drawn as it is, its expected sizes noted before the print', () => {
    const { db, profileId } = readyBench();
    const spec: GaugeSpec = { kind: 'block', sizes: FEW_SIZES };
    const jobId = expectOk(createGauge(db, { name: 'short block', profileId, spec }));
    const view = viewJob(db, jobId)!;
    expect(view.features).toHaveLength(FEW_SIZES.length);
    expect(view.features.every(({ anchor }) => anchor !== null)).toBe(true);
    const [attempt] = view.attempts;
    expect(attempt.drawn.every(({ predictedMm }) => predictedMm !== null)).toBe(true);
  });

  test('for a terminal keeps what it is tried with', () => {
    const { db, profileId } = readyBench();
    const spec: GaugeSpec = { kind: 'pocket', stepsMm: stepsFrom(2.3, 0.05, 5) };
    const mate = { name: 'Terminal 2.4', sizeMm: 2.37, u_mm: 0.01 };
    const jobId = expectOk(createGauge(db, { name: 'pockets', profileId, spec, mate }));
    const { mates, features } = viewJob(db, jobId)!;
    expect(features.every(({ mateId }) => mateId === mates[0].id)).toBe(true);
  });

  test('that cannot be built is refused and leaves nothing behind', () => {
    const { db, profileId } = readyBench();
    const before = queries.listJobs(db).length;
    const spec: GaugeSpec = { ...HINGE, stepsMm: [0.3, 0.2] };
    expect(createGauge(db, { name: 'x', profileId, spec })).toEqual({
      ok: false,
      issue: { code: 'rungOrder' },
    });
    expect(queries.listJobs(db)).toHaveLength(before);
  });
});

describe('a ladder', () => {
  test('counts the last outcome of each rung, once however often it is sent', () => {
    const { db, profileId } = readyBench();
    const { printId } = printGauge(db, profileId, HINGE);
    const tap = { clientKey: 'tapped once', printId, rung: 3, outcome: 'fused', state: 'green' } as const;
    expectOk(recordGapStep(db, tap));
    expectOk(recordGapStep(db, { ...tap, outcome: 'sloppy' }));
    expect(gapStepsOfPrint(db, printId).get(3)).toBe('fused');
    expectOk(recordGapStep(db, { ...tap, clientKey: 'tapped again', outcome: 'stiff' }));
    expect(listGapSteps(db)).toMatchObject([{ rung: 3, gapMm: 0.2, outcome: 'stiff', joint: 'hinge' }]);
    expect(recordGapStep(db, { ...tap, clientKey: 'beyond', rung: 10 })).toEqual({
      ok: false,
      issue: { code: 'gone' },
    });
  });

  test('recommends a wider gap the later it comes free, and says what it leaves open', () => {
    const { db, profileId } = readyBench();
    const { printId } = printGauge(db, profileId, HINGE);
    expect(viewGapTest([]).note).toEqual({ code: 'noRungs' });
    tapFrom(db, printId, 4);
    const early = viewGapTest(listGapSteps(db)).summary.recommendedMm;
    const other = printGauge(db, profileId, HINGE);
    tapFrom(db, other.printId, 8);
    const later = viewGapTest(listGapSteps(db).filter((rung) => rung.printId === other.printId));
    expect(later.summary.recommendedMm).toBeGreaterThan(early + 0.1);
    expect(viewGapTest(listGapSteps(db)).note?.code).toBe('crossed');
    expect(later.curve[0].chance).toBeLessThan(0.01);
  });

  test('of a simulated print is tried by a simulated hand, always alike, and shows on the list', () => {
    const { db, profileId } = readyBench();
    const { printId } = printGauge(db, profileId, HINGE);
    const found = HINGE.stepsMm.map((_, i) => expectOk(touchSimulatedGapStep(db, printId, i + 1)));
    expect(found[0]).toBe('fused');
    expect(found.at(-1)).toMatch(/free|sloppy/);
    expect(expectOk(touchSimulatedGapStep(db, printId, 5))).toBe(found[4]);
    tapFrom(db, printId, 5);
    expect(glanceAtGauges(db)).toMatchObject([{ printed: true, found: 9, of: 9 }]);
  });
});

describe('a joint', () => {
  test('uses what a ladder of its printer and resin found, at once', () => {
    const { db, profileId } = readyBench();
    const jobId = createJob(db, 'Rain gauge', profileId);
    saveJoint(db, jobId, LID);
    const [assumed] = viewJoints(db, viewJob(db, jobId)!)!;
    expect(assumed.sources.plane).toEqual({ from: 'assumed' });
    tapFrom(db, printGauge(db, profileId, HINGE).printId, 4);
    const [known] = viewJoints(db, viewJob(db, jobId)!)!;
    expect(known.sources.plane).toEqual({ from: 'thisJoint', rungs: 9, otherState: false, movedMm: 0 });
    expect(known.recommendedMm.plane).toBeLessThan(assumed.recommendedMm.plane);
    expect(known.wanted.free).toBeGreaterThan(known.asDrawn.free);
    expect(known.restored.free).toBeCloseTo(0.95, 2);
    expect(known.points.map(({ scale }) => scale)).toContain(1.6);
  });

  test('of another kind uses it too, and one on another printer by equal printed gaps, and says so', () => {
    const { db, profileId } = readyBench();
    tapFrom(db, printGauge(db, profileId, HINGE).printId, 4);
    const here = createJob(db, 'Tilt head', profileId);
    saveJoint(db, here, { ...LID, kind: 'ball', pinMm: 9 });
    expect(viewJoints(db, viewJob(db, here)!)![0].sources.plane).toEqual({
      from: 'otherJoints',
      rungs: 9,
      otherState: false,
      movedMm: 0,
    });
    const oldAmber = expectOk(
      createProfile(db, {
        printerName: 'Old Amber',
        simulated: true,
        resinName: 'Otter Tough',
        profileName: 'q',
        layerMm: 0.05,
        lot: '',
      }),
    );
    const there = createJob(db, 'Elsewhere', oldAmber);
    saveJoint(db, there, LID);
    expect(viewJoints(db, viewJob(db, there)!)![0].sources.plane).toEqual({
      from: 'otherPrinter',
      rungs: 9,
      printer: 'Long Bench',
    });
  });

  test('freed after the cure hears the rungs tried cured first, and takes green ones only for want of them', () => {
    const { db, profileId } = readyBench();
    const jobId = createJob(db, 'Rain gauge', profileId);
    saveJoint(db, jobId, { ...LID, freed: 'cured' });
    const planeOf = () => viewJoints(db, viewJob(db, jobId)!)![0];
    tapFrom(db, printGauge(db, profileId, HINGE).printId, 3, 'green');
    expect(planeOf().sources.plane).toEqual({ from: 'thisJoint', rungs: 9, otherState: true, movedMm: 0 });
    const green = planeOf().recommendedMm.plane;
    tapFrom(db, printGauge(db, profileId, HINGE).printId, 7, 'cured');
    expect(planeOf().sources.plane).toEqual({ from: 'thisJoint', rungs: 9, otherState: false, movedMm: 0 });
    expect(planeOf().recommendedMm.plane).toBeGreaterThan(green + 0.1);
  });

  test('is changed and put away; without a profile nothing is told', () => {
    const { db, profileId } = readyBench();
    const jobId = createJob(db, 'Rain gauge', profileId);
    saveJoint(db, jobId, LID);
    const [joint] = listJoints(db, jobId);
    saveJoint(db, jobId, { ...LID, gapMm: 0.4, mostAngleDeg: 1 }, joint.id);
    expect(viewJoints(db, viewJob(db, jobId)!)![0]).toMatchObject({
      design: { gapMm: 0.4 },
      limit: { angleRad: Math.PI / 180 },
    });
    removeJoint(db, jobId, joint.id);
    expect(listJoints(db, jobId)).toEqual([]);
    expect(viewJoints(db, viewJob(db, createJob(db, 'bare'))!)).toBeUndefined();
  });
});

describe('on Today and in its frame', () => {
  test('a job of joints alone goes on to its drawing, a ladder to its rungs until all are found out', () => {
    const { db, profileId } = readyBench();
    const hinge = createJob(db, 'Rain gauge', profileId);
    const glance = (id: number) => glanceAtJobs(db).find((each) => each.id === id)!;
    expect(glance(hinge)).toMatchObject({ step: 'need', joints: 0 });
    saveJoint(db, hinge, LID);
    expect(glance(hinge)).toMatchObject({ step: 'correct', joints: 1 });
    expect(frameJob(db, viewJob(db, hinge)!).settled.fit).toBe(1);

    const { jobId, printId } = printGauge(db, profileId, HINGE);
    expect(glance(jobId)).toMatchObject({ step: 'measure', read: 0, of: 9 });
    expectOk(
      recordGapStep(db, { clientKey: 'first of nine', printId, rung: 9, outcome: 'free', state: 'green' }),
    );
    expect(frameJob(db, viewJob(db, jobId)!).settled.measure).toBeCloseTo(1 / 9, 12);
    tapFrom(db, printId, 4);
    expect(glance(jobId)).toMatchObject({ step: 'story', read: 9, of: 9 });
    expect(frameJob(db, viewJob(db, jobId)!).settled.measure).toBe(1);
  });

  test('a real printer has no simulated hand, and a block no rungs', () => {
    const { db } = readyBench();
    const real = expectOk(
      createProfile(db, {
        printerName: 'A real one',
        simulated: false,
        resinName: 'Otter Tough',
        profileName: 'r',
        layerMm: 0.05,
        lot: '',
      }),
    );
    const ladder = printGauge(db, real, HINGE);
    expect(touchSimulatedGapStep(db, ladder.printId, 1)).toEqual({
      ok: false,
      issue: { code: 'noSimulatedPrinter' },
    });
    expect(touchSimulatedGapStep(db, ladder.printId, 99)).toEqual({ ok: false, issue: { code: 'gone' } });
    const block = printGauge(db, real, { kind: 'block', sizes: FEW_SIZES });
    expect(touchSimulatedGapStep(db, block.printId, 1)).toEqual({ ok: false, issue: { code: 'gone' } });
    expect(
      recordGapStep(db, {
        clientKey: 'on a block',
        printId: block.printId,
        rung: 1,
        outcome: 'free',
        state: 'green',
      }),
    ).toEqual({
      ok: false,
      issue: { code: 'gone' },
    });
  });

  test('the file of a ladder is there before its print, closed, and the same as 3MF', async () => {
    const { db, profileId } = readyBench();
    const jobId = expectOk(
      createGauge(db, { name: 'gauge', profileId, spec: { ...HINGE, stepsMm: [0.2, 0.3] } }),
    );
    const view = viewJob(db, jobId)!;
    const stl = (await buildJobFile(view, 'newest', 'stl'))!;
    expect(checkMesh(weldCorners(expectOk(readStl(stl)).corners)).watertight).toBe(true);
    expect((await buildJobFile(view, 'newest', '3mf'))!.length).toBeGreaterThan(1000);
    expect(canBuild(view)).toBe(true);
    expect(await buildJobFile(viewJob(db, createJob(db, 'bare'))!, 'newest', 'stl')).toBeUndefined();
  });

  test('a block for a job has sizes like the job’s own, and its gain is told before it is printed', () => {
    const { db, jobId } = readyBench();
    const view = viewJob(db, jobId)!;
    const sizes = blockForJob(view)!;
    expect(sizes).toHaveLength(24);
    expect(sizes.slice(0, 6).some(({ drawnMm }) => drawnMm === 9.6 || drawnMm === 20)).toBe(true);
    const gain = foreseeBlock(view)!;
    expect(gain.sizes).toBe(6);
    expect(gain.after).toBeGreaterThan(gain.before + 0.02);
    expect(gain.paysBeyondHours).toBeCloseTo(gain.hours / (gain.after - gain.before), 10);
    const bare = viewJob(db, createJob(db, 'bare'))!;
    expect([blockForJob(bare), foreseeBlock(bare)]).toEqual([undefined, undefined]);
  });
});

describe('gaps that were tried before the exposure changed', () => {
  test('count as wider where more light grows edges into them, and as less sure; later ones stay as they are', () => {
    const { db, profileId } = readyBench();
    expectOk(correctSettings(db, profileId, { exposureS: 2 }));
    const { printId } = printGauge(db, profileId, HINGE);
    tapFrom(db, printId, 4);
    const before = listTriedGaps(db);
    expect(before.map(({ gapMm }) => gapMm)).toEqual(HINGE.stepsMm);
    const at = new Date(Date.now() + 1);
    expectOk(changeProcess(db, profileId, { kinds: ['exposure'], at, after: { exposureS: 3 }, note: '' }));
    const after = listTriedGaps(db);
    after.forEach(({ gapMm, movedMm, unsureMm }, i) => {
      expect(gapMm - before[i].gapMm).toBeCloseTo(2 * 0.051 * Math.log(1.5), 3);
      expect(movedMm).toBeCloseTo(gapMm - before[i].gapMm, 12);
      expect(unsureMm).toBeGreaterThan(0);
    });
    const [then, now] = [before, after].map((rungs) => viewGapTest(rungs).summary);
    expect(now.recommendedMm).toBeGreaterThan(then.recommendedMm + 0.03);
    expect(now.interval95Mm[1] - now.interval95Mm[0]).toBeGreaterThan(
      then.interval95Mm[1] - then.interval95Mm[0],
    );
  });
});
