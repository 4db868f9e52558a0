import { expect, test } from '@jest/globals';
import { CHECK_RULES, type Finding } from '@/core/part/findings';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import { saveJoint } from '@/subjects/fit/mating';
import { addFeature, createJob, keepPartFile, viewJob } from '@/subjects/job/jobs';
import { frameJob } from '@/subjects/job/overview';
import { createProfile, changePrinter, listPrinters } from '@/subjects/signature';
import { emptyBench, readyBench } from '@/testing/bench';
import { bringPart } from '../bring-part';
import { judgeFinding } from '../judge-finding';
import { keepCheck } from '../keep-check';
import { setPrintSetup } from '../set-print-setup';
import { turnPart } from '../turn-part';
import { listVerdicts, settledOfCheck, viewCheck } from '../view-check';

const ISLAND: Finding = {
  key: 'island@60@1,2,3',
  code: 'island',
  risk: 'printLost',
  chance: 'likely',
  costHours: 1.2,
  measured: 9,
  layer: 60,
  atMm: [1, 2, 3],
  more: 0,
};

const TRAP: Finding = { ...ISLAND, key: 'trap@1', code: 'trap', risk: 'surfaceMarred' };

function jobWithPart() {
  const db = emptyBench();
  const profileId = expectOk(
    createProfile(db, {
      printerName: 'Long Bench',
      pixelMm: 0.022,
      simulated: false,
      resinName: 'Slate General',
      profileName: '0.05 mm',
      layerMm: 0.05,
      lot: '',
    }),
  );
  const jobId = createJob(db, 'Vane', profileId);
  db.insert(tables.meshes)
    .values(
      ['a', 'b'].map((letter) => ({
        hash: letter.repeat(64),
        name: 'vane.stl',
        bytes: 84,
        createdAt: new Date(),
      })),
    )
    .run();
  keepPartFile(db, jobId, 'a'.repeat(64), 'vane.stl');
  setPrintSetup(db, jobId, { kind: 'plate' });
  const view = () => viewJob(db, jobId)!;
  const look = (findings: readonly Finding[]) =>
    keepCheck(db, jobId, { source: 'a'.repeat(64), stance: { kind: 'plate' }, layerMm: 0.05, findings });
  return { db, jobId, view, look };
}

test('thresholds come from the printer, its stations and the joints of the job, else they are assumed', () => {
  const { db, jobId, view } = jobWithPart();
  const before = viewCheck(db, view(), CHECK_RULES).limits;
  expect(before.pixelMm).toEqual({ value: 0.022, from: 'printer' });
  expect(before.peelMm2.from).toBe('assumed');
  changePrinter(db, listPrinters(db)[0].id, {
    rooms: { plate: [100, 50, 120], lamp: [60, 60, 60] },
    layerSeconds: 9,
  });
  saveJoint(db, jobId, {
    name: 'Hinge',
    kind: 'hinge',
    gapMm: 0.3,
    pinMm: 3,
    spanMm: 12,
    scale: 1.5,
    freed: 'green',
  });
  const after = viewCheck(db, view(), CHECK_RULES).limits;
  expect(after.peelMm2).toEqual({ value: 0.4 * 5000, from: 'printer' });
  expect(after.layerSeconds).toEqual({ value: 9, from: 'printer' });
  expect(after.jointGapMm).toBeCloseTo(0.45, 12);
  expect(after.rooms.lamp).toEqual([60, 60, 60]);
});

test('a look is kept once; what could lose the print has to be judged before the step is settled', () => {
  const { db, view, look } = jobWithPart();
  expect(settledOfCheck(db, view())).toBe(0);
  look([ISLAND, TRAP]);
  look([ISLAND, TRAP]);
  expect(db.select().from(tables.checks).all()).toHaveLength(1);
  expect(settledOfCheck(db, view())).toBe(0.25);
  const asked = { key: ISLAND.key, title: 'Begins in the air' };
  expect(judgeFinding(db, view(), { ...asked, verdict: 'waived', reason: ' ' })).toMatchObject({
    issue: { code: 'noWaiver' },
  });
  expectOk(judgeFinding(db, view(), { ...asked, verdict: 'waived', reason: 'a support stands there' }));
  // The trap only mars the surface: it may stand.
  expect(settledOfCheck(db, view())).toBe(1);
  expect(frameJob(db, view()).ledger[0]).toMatchObject({
    step: 'check',
    entry: {
      code: 'findingJudged',
      verdict: 'waived',
      finding: { key: ISLAND.key },
      reason: 'a support stands there',
    },
  });
  expect(listVerdicts(db, view().job.id)).toMatchObject([
    { finding: { code: 'island' }, verdict: 'waived', reason: 'a support stands there' },
  ]);
  expectOk(judgeFinding(db, view(), { ...asked, verdict: 'open', reason: '' }));
  expect(listVerdicts(db, view().job.id)).toEqual([]);
  expect(viewCheck(db, view(), CHECK_RULES).last!.findings[0].verdict).toBeUndefined();
});

test('another file or another stance opens everything again; the old verdicts come back with the old file', () => {
  const { db, jobId, view, look } = jobWithPart();
  look([ISLAND]);
  expectOk(judgeFinding(db, view(), { key: ISLAND.key, verdict: 'passed', reason: '' }));
  expect(settledOfCheck(db, view())).toBe(1);
  expect(setPrintSetup(db, jobId, { kind: 'supports', liftMm: 5 })).toEqual([{ code: 'check' }]);
  expect(settledOfCheck(db, view())).toBe(0);
  expect(setPrintSetup(db, jobId, { kind: 'plate' })).toEqual([]);
  expect(settledOfCheck(db, view())).toBe(1);
  expect(bringPart(db, jobId, 'b'.repeat(64), 'vane 2.stl')).toEqual([{ code: 'check' }]);
  expect(settledOfCheck(db, view())).toBe(0);
  expect(viewCheck(db, view(), CHECK_RULES).verdicts).toEqual({});
});

test('the first file of a job reopens nothing, for nothing was checked', () => {
  const { db } = jobWithPart();
  const [{ profileId }] = db.select({ profileId: tables.jobs.profileId }).from(tables.jobs).all();
  const jobId = createJob(db, 'Hinge', profileId ?? undefined);
  expect(bringPart(db, jobId, 'a'.repeat(64), 'hinge.stl')).toEqual([]);
});

test('what is not among the findings of the newest look cannot be judged', () => {
  const { db, view, look } = jobWithPart();
  look([ISLAND]);
  expect(judgeFinding(db, view(), { key: 'cup@3', verdict: 'passed', reason: '' })).toMatchObject({
    issue: { code: 'partChanged' },
  });
});

test('when the part is turned its features go along', () => {
  const { db, jobId } = jobWithPart();
  const id = expectOk(
    addFeature(db, jobId, {
      name: 'Width',
      kind: { sense: 'outside', shape: 'flat', axis: 'X' },
      targetMm: 10,
      lowerDeviationMm: -0.1,
      upperDeviationMm: 0.1,
      anchor: [5, 2, 1],
    }),
  );
  // A quarter turn about Z, then 3 up.
  turnPart(db, jobId, {
    meshHash: 'c'.repeat(64),
    name: 'turned.stl',
    rotation: [0, -1, 0, 1, 0, 0, 0, 0, 1],
    liftMm: 3,
  });
  const turned = queries.listFeatures(db, jobId).find((feature) => feature.id === id)!;
  expect(turned.anchor).toEqual([-2, 5, 4]);
  expect(turned.axis).toBe('Y');
});

test('a part built from sizes is another part when a size is drawn anew', () => {
  const { db, jobId } = readyBench();
  const view = () => viewJob(db, jobId)!;
  const before = viewCheck(db, view(), CHECK_RULES).part?.key;
  db.update(tables.drawnSizes).set({ drawnMm: 12.345 }).run();
  const after = viewCheck(db, view(), CHECK_RULES).part?.key;
  if (before === undefined) expect(after).toBeUndefined();
  else expect(after).not.toBe(before);
});
