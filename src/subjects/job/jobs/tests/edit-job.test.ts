import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { ringOf } from '@/core/fit/solids';
import { makeDemo } from '@/demo/make-demo';
import { queries } from '@/store';
import { createInstrument, lastSession } from '@/subjects/measure/calipers';
import { recordReading } from '@/subjects/measure/readings';
import { changeNeed } from '@/subjects/job/need';
import { findByWords, frameJob, glanceAtArchive, glanceAtJobs } from '@/subjects/job/overview';
import { describeDecision } from '@/subjects/job/overview/shared';
import { createProfile, firstProfile, listProfileChoices } from '@/subjects/signature';
import { viewSheet } from '@/subjects/job/sheets';
import { BLANK_NEED, BORE, emptyBench, readyBench, WIDTH } from '@/testing/bench';
import { addFeature } from '../add-feature';
import { archiveJob } from '../archive-job';
import { chooseProfile } from '../choose-profile';
import { copyJob } from '../copy-job';
import { createJob } from '../create-job';
import { keepPartFile } from '../keep-part-file';
import { changeFeature } from '../change-feature';
import { placeFeature } from '../place-feature';
import { removeFeature } from '../remove-feature';
import { viewJob } from '../view-job';

const LIMITS = { lowerDeviationMm: -0.05, upperDeviationMm: 0.05 };

test('a feature with crossed limits, no size, a taken name or half a kind is refused', () => {
  const db = emptyBench();
  const jobId = createJob(db, 'x');
  const good = { name: 'Bore', kind: BORE, targetMm: 9, ...LIMITS };
  expect(addFeature(db, jobId, { ...good, lowerDeviationMm: 0.1, upperDeviationMm: 0.05 })).toMatchObject({
    issue: { code: 'limitsCrossed' },
  });
  expect(addFeature(db, jobId, { ...good, targetMm: 0 })).toMatchObject({ issue: { code: 'notPositive' } });
  expect(
    addFeature(db, jobId, { ...good, kind: { sense: 'outside', shape: 'flat', axis: 'Z' } }),
  ).toMatchObject({ issue: { code: 'kind' } });
  expectOk(addFeature(db, jobId, good));
  expect(addFeature(db, jobId, good)).toMatchObject({ issue: { code: 'nameTaken', name: 'Bore' } });
  expect(queries.listFeatures(db, jobId)).toHaveLength(1);
});

test('a change made from an old view of the job is refused, the newer one stays', () => {
  const { db, jobId, profileId } = readyBench();
  const { revision } = queries.findJob(db, jobId)!;
  const need = { ...BLANK_NEED, need: 'first', profileId, revision };
  expect(changeNeed(db, jobId, need).ok).toBe(true);
  expect(changeNeed(db, jobId, { ...need, need: 'second' })).toEqual({
    ok: false,
    issue: { code: 'changedElsewhere' },
  });
  expect(queries.findJob(db, jobId)!.need).toBe('first');
});

test('an agreed test and a changed rule are noted in the ledger', () => {
  const { db, jobId, profileId } = readyBench();
  const { revision } = queries.findJob(db, jobId)!;
  changeNeed(db, jobId, {
    ...BLANK_NEED,
    acceptance: 'turns by hand',
    profileId,
    rule: 'shared',
    revision,
  });
  const titles = frameJob(db, viewJob(db, jobId)!).ledger.map(({ entry }) => describeDecision(entry).title);
  expect(titles).toContain('Acceptance test agreed');
  expect(titles).toContain('Decision rule');
});

test('mending a wrong target after readings exist tells what it changed', () => {
  const { db, jobId, width, reading } = readyBench();
  for (const mm of [20.2, 20.2, 20.21]) recordReading(db, reading(width, mm));
  const { revision } = queries.findJob(db, jobId)!;
  const wanted = {
    name: 'Width',
    kind: WIDTH,
    targetMm: 20.2,
    lowerDeviationMm: -0.08,
    upperDeviationMm: 0.08,
    revision,
  };
  const effect = expectOk(changeFeature(db, jobId, width, wanted));
  expect(effect.before?.verdict?.kind).toBe('out');
  expect(effect.after?.verdict?.kind).toBe('in');
  expect(changeFeature(db, jobId, width, wanted)).toEqual({ ok: false, issue: { code: 'changedElsewhere' } });
});

test('mending a drawn size forgets what was expected of the wrong one', () => {
  const { db, jobId, width } = readyBench();
  const { revision } = queries.findJob(db, jobId)!;
  const wanted = { name: 'Width', kind: WIDTH, targetMm: 20, ...LIMITS, drawnMm: 20.1, revision };
  expectOk(changeFeature(db, jobId, width, wanted));
  const drawn = queries
    .listAttempts(db, jobId)
    .at(-1)!
    .drawn.find(({ featureId }) => featureId === width)!;
  expect(drawn).toMatchObject({ drawnMm: 20.1, predictedMm: null, chance: null });
});

test('a feature put away keeps teaching; it is gone from the job', () => {
  const { db, jobId, width, profileId, reading } = readyBench();
  recordReading(db, reading(width, 20.05));
  removeFeature(db, jobId, width);
  expect(viewJob(db, jobId)!.features.map(({ id }) => id)).not.toContain(width);
  expect(queries.listStandingReadings(db, queries.ofProfile(profileId))).toHaveLength(1);
});

test('a copy has need, mates and features of its own, no attempts, and its solid over its own features', () => {
  const db = emptyBench();
  makeDemo(db);
  const bushing = queries.listJobs(db).find(({ job }) => job.solid?.kind === 'turned')!.job;
  const copyId = expectOk(copyJob(db, bushing.id));
  const copy = viewJob(db, copyId)!;
  expect(copy.job.name).toBe('Float-wheel bushing, copy');
  expect(copy.attempts).toEqual([]);
  expect(copy.mates.map(({ name }) => name)).toEqual(['Wheel bore', 'Steel sleeve']);
  const own = copy.features.map(({ id }) => id);
  const plain = ringOf(own[0], own[1], own[2]);
  const { solid } = copy.job;
  expect(solid).toMatchObject(plain);
  expect(viewSheet(db, copyId)?.measures.map(({ readings }) => readings.length)).toEqual([4, 4, 2]);
  expect(copy.job.sheet?.kind).toBe('ring');
  expect(copyJob(db, 999)).toEqual({ ok: false, issue: { code: 'gone' } });
});

test('jobs are put away and taken out again; both can be found', () => {
  const { db, jobId } = readyBench();
  archiveJob(db, jobId, true);
  expect(glanceAtJobs(db)).toEqual([]);
  expect(glanceAtArchive(db)).toEqual([{ id: jobId, name: 'Bushing' }]);
  expect(findByWords(db, 'archived').map(({ detail }) => detail)).toEqual(['part, archived']);
  archiveJob(db, jobId, false);
  expect(glanceAtJobs(db)).toHaveLength(1);
});

test('a place on the part, a part’s file and a profile are kept with the job', () => {
  const { db, jobId, bore, profileId } = readyBench();
  placeFeature(db, jobId, bore, [1, 2, 3]);
  keepPartFile(db, jobId, 'a'.repeat(64), 'part.stl');
  chooseProfile(db, jobId, profileId);
  const view = viewJob(db, jobId)!;
  expect(view.features[0].anchor).toEqual([1, 2, 3]);
  expect(view.job.meshHash).toBe('a'.repeat(64));
  expect(() => placeFeature(db, jobId, bore, [1, NaN, 3])).toThrow(RangeError);
});

test('known printers and resins are taken again, an equal profile refused, a new job starts with the last profile', () => {
  const { db, profileId } = readyBench();
  const wanted = {
    printerName: 'Long Bench',
    simulated: false,
    resinName: 'Slate General',
    profileName: 'q',
    layerMm: 0.05,
    lot: '',
  };
  const second = expectOk(createProfile(db, wanted));
  expect(createProfile(db, wanted)).toMatchObject({ ok: false, issue: { code: 'nameTaken' } });
  expect(
    listProfileChoices(db)
      .map(({ id }) => id)
      .sort(),
  ).toEqual([profileId, second]);
  expect(firstProfile(db)).toBe(profileId);
  expect(
    createInstrument(db, {
      name: 'bench',
      mpeMm: 0.02,
      resolutionMm: 0.01,
      jawFlatUnknown: true,
      simulated: false,
    }).ok,
  ).toBe(false);
  expect(lastSession(db, 999)?.partC).toBe(20);
});

test('a new job starts with the profile of the newest job that is not archived', () => {
  const { db, profileId } = readyBench();
  const other = expectOk(
    createProfile(db, {
      printerName: 'Old Amber',
      simulated: false,
      resinName: 'Slate General',
      profileName: 'its own',
      layerMm: 0.05,
      lot: '',
    }),
  );
  const jobId = createJob(db, 'half a year of clips', other);
  expect(firstProfile(db)).toBe(other);
  archiveJob(db, jobId, true);
  expect(firstProfile(db)).toBe(profileId);
});

test('a job that is not there is not viewed', () => {
  expect(viewJob(emptyBench(), 1)).toBeUndefined();
});
