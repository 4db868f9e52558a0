import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { type Db, queries } from '@/store';
import { createGauge } from '@/subjects/fit/gauges';
import {
  addFeature,
  changeProcess,
  createJob,
  notePrint,
  startAttempt,
  takeBackProcess,
  viewJob,
} from '@/subjects/job/jobs';
import { parseForm } from '@/subjects/kit/shared';
import { recordReading } from '@/subjects/measure/readings';
import { startSession } from '@/subjects/measure/calipers';
import { readyBench, WIDTH } from '@/testing/bench';
import { listControlAlarms, newestSignature, viewChanges, viewControl, viewSignature } from '../index';
import { changeForm, describeAlarm, describeChange, describeChangeIssue, describeVoided } from '../shared';

const edgeOf = (db: Db, profileId: number) =>
  newestSignature(db, profileId).signature.parameters.find(({ name }) => name === 'edge')!;

/** Some time after all that was done until now: a change of today is one of this moment. */
const later = () => new Date(Date.now() + 1);

/** A workshop where one profile was measured: widths that print 0.10 too wide. */
function measuredBench() {
  const bench = readyBench();
  for (const mm of [20.1, 20.11, 20.1]) expectOk(recordReading(bench.db, bench.reading(bench.width, mm)));
  return bench;
}

describe('a change under a profile', () => {
  test('a new film leaves less known of the edges, one reading since settles most of it', () => {
    const { db, profileId, ...bench } = measuredBench();
    const before = edgeOf(db, profileId);
    const change = { kinds: ['film'] as const, at: later(), after: { film: 'clear' }, note: '' };
    expect(expectOk(changeProcess(db, profileId, change))).toEqual([]);
    const after = edgeOf(db, profileId);
    expect(after.sd).toBeGreaterThan(before.sd);
    expect(after.sd).toBeLessThan(before.priorSd);
    const [shown] = viewChanges(db, profileId);
    expect(shown.readingsSince).toBe(0);
    expect(shown.settling!.share).toBeGreaterThan(0.1);
    expect(describeChange(shown.change)).toBe('new film (clear)');
    expect(describeVoided(shown.givenBack)).toContain('edge growth');
    expect(queries.findProfile(db, profileId)!.profile.settings).toEqual({ film: 'clear' });

    const printId = notePrint(db, bench.attemptId, bench.jobId);
    queries.listPrintsOfProfile(db, profileId);
    for (const mm of [20.1, 20.1, 20.11])
      expectOk(recordReading(db, { ...bench.reading(bench.width, mm), printId }));
    expect(edgeOf(db, profileId).sd).toBeLessThan(after.sd);
    expect(viewChanges(db, profileId)[0].readingsSince).toBe(3);
    expect(viewSignature(db, profileId)!.changes).toHaveLength(1);
  });

  test('it opens sizes that were drawn and not printed again; printed ones stay', () => {
    const { db, profileId } = measuredBench();
    const jobId = createJob(db, 'Rack', profileId);
    expectOk(
      addFeature(db, jobId, {
        name: 'Width',
        kind: WIDTH,
        targetMm: 20,
        lowerDeviationMm: -0.1,
        upperDeviationMm: 0.1,
      }),
    );
    expectOk(startAttempt(db, viewJob(db, jobId)!, { lever: 'drawn', reason: '', drawnMm: new Map() }));
    const change = { kinds: ['lot'] as const, at: later(), after: { lot: 'B' }, note: '' };
    expect(expectOk(changeProcess(db, profileId, change))).toEqual(['Rack']);
    const job = queries.findJob(db, jobId)!;
    expect(job.overtakenAttemptId).toBe(queries.listAttempts(db, jobId)[0].id);
  });

  test('taken back, all is as it was before it', () => {
    const { db, profileId } = measuredBench();
    const before = edgeOf(db, profileId);
    const change = {
      kinds: ['layer', 'lot'] as const,
      at: later(),
      after: { layerMm: 0.1, lot: 'C' },
      note: '',
    };
    expectOk(changeProcess(db, profileId, change));
    const { profile } = queries.findProfile(db, profileId)!;
    expect([profile.layerMm, profile.lot]).toEqual([0.1, 'C']);
    const [{ change: noted }] = viewChanges(db, profileId);
    expectOk(takeBackProcess(db, profileId, noted.id));
    expect(queries.findProfile(db, profileId)!.profile).toMatchObject({ layerMm: 0.05, lot: '' });
    expect(edgeOf(db, profileId).sd).toBeCloseTo(before.sd, 9);
    expect(takeBackProcess(db, profileId, noted.id)).toEqual({ ok: false, issue: { code: 'notNewest' } });
  });

  test('nothing ticked, a profile that is gone, a day before the last change: each is said', () => {
    const { db, profileId } = measuredBench();
    const nothing = { kinds: [], at: later(), after: {}, note: '' };
    const issueOf = (answer: ReturnType<typeof changeProcess>) =>
      answer.ok ? 'kept' : describeChangeIssue(answer.issue);
    expect(issueOf(changeProcess(db, profileId, nothing))).toContain('tick at least one change.');
    expect(issueOf(changeProcess(db, 999, { ...nothing, kinds: ['film'] }))).toContain('no longer');
    expectOk(changeProcess(db, profileId, { ...nothing, kinds: ['film'] }));
    const earlier = { ...nothing, kinds: ['film'] as const, at: new Date(2020, 0, 1) };
    expect(issueOf(changeProcess(db, profileId, earlier))).toContain(
      'is already recorded. Undo that one first, or enter a later date.',
    );
  });
});

function formOf(fields: Readonly<Record<string, string>>) {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.set(name, value);
  return parseForm(changeForm, data);
}

test('a value that was typed counts as ticked; a day to come is refused', () => {
  const typed = expectOk(formOf({ lot: 'B 7', exposureBeforeS: '2', exposureS: '2.4', kind_plate: 'on' }));
  expect(typed).toMatchObject({
    kinds: ['lot', 'exposure', 'plate'],
    after: { lot: 'B 7', exposureS: 2.4 },
    exposureBeforeS: 2,
  });
  expect(expectOk(formOf({ film: 'clear', day: '2024-02-03' })).at).toEqual(new Date(2024, 1, 3));
  expect(formOf({ film: 'clear', day: '2999-01-01' }).ok).toBe(false);
});

/** A workshop with a control piece, and a way to print the job's part beside it and measure both. */
function controlledBench() {
  const bench = measuredBench();
  const { db, profileId, jobId, attemptId } = bench;
  const spec = {
    kind: 'block',
    sizes: [{ feature: 'control bar 12', kind: WIDTH, drawnMm: 12 }],
  } as const;
  const gaugeId = expectOk(createGauge(db, { name: 'Control piece', profileId, spec, isControl: true }));
  const control = queries.findControl(db, profileId)!.feature;
  const read = (controlMm: number) => {
    const printId = notePrint(db, attemptId, jobId, { roomC: 22 });
    const sitting = {
      jobId,
      instrumentId: bench.instrumentId,
      printId,
      zeroMm: 0,
      partC: 20,
      instrumentC: 20,
    };
    const sessionId = startSession(db, { ...sitting, state: 'cured', warm: false });
    for (const each of [controlMm, controlMm + 0.01, controlMm])
      expectOk(recordReading(db, { ...bench.reading(control.id, each), sessionId, printId }));
    return printId;
  };
  return { ...bench, gaugeId, control, read };
}

describe('the control feature', () => {
  test('it stands beside each part, is read there, and is no feature of the job', () => {
    const { db, jobId, control, read, profileId } = controlledBench();
    read(12.1);
    const view = viewJob(db, jobId)!;
    expect(view.features.map(({ name }) => name)).toEqual(['Bore', 'Width']);
    expect(view.attempts[0].drawn).toHaveLength(2);
    expect(view.current!.control).toMatchObject({ id: control.id, drawnMm: 12 });
    expect(view.current!.control!.readings).toHaveLength(3);
    const { points, staleness } = viewControl(db, profileId)!;
    expect(points).toHaveLength(1);
    expect(Math.abs(points[0].z)).toBeLessThan(2);
    expect(staleness.kind).toBe('holds');
    // What it read is learned from like any other size.
    expect(newestSignature(db, profileId).readingCount).toBe(6);
  });

  test('a walk to one side is told with the room, until it is said what changed', () => {
    const { db, profileId, read } = controlledBench();
    for (const mm of [12.1, 12.1, 12.1, 12.1]) read(mm);
    expect(listControlAlarms(db)).toEqual([]);
    for (const mm of [12.25, 12.26, 12.25, 12.26, 12.25, 12.26, 12.25]) read(mm);
    const [alarm] = listControlAlarms(db);
    expect(alarm).toMatchObject({ profileId, control: 'control bar 12', rooms: [22, 22] });
    expect(describeAlarm(alarm)).toContain('no longer valid');
    expect(describeAlarm({ ...alarm, rooms: [22, 17] })).toContain('from 22 to 17 °C');
    expectOk(changeProcess(db, profileId, { kinds: ['unknown'], at: later(), after: {}, note: '' }));
    expect(listControlAlarms(db)).toEqual([]);
  });

  test('a reading of it for another job’s print of another profile is refused', () => {
    const { db, control, printId, reading } = controlledBench();
    // That print was made before the control was chosen: the piece was not on its plate.
    expect(recordReading(db, { ...reading(control.id, 12.1), printId })).toMatchObject({
      ok: false,
      issue: { code: 'notDrawn' },
    });
  });
});

test('a place on the plate is kept with the print and told to the signature', () => {
  const { db, profileId, jobId, attemptId, width, instrumentId, reading } = readyBench();
  const printId = notePrint(db, attemptId, jobId, { place: { xMm: 30, yMm: -20 } });
  const sitting = { jobId, instrumentId, printId, zeroMm: 0, partC: 20, instrumentC: 20 };
  const sessionId = startSession(db, { ...sitting, state: 'cured', warm: false });
  expectOk(recordReading(db, { ...reading(width, 20.1), sessionId, printId }));
  const { observations } = newestSignature(db, profileId).signature;
  expect(observations.map(({ place }) => place)).toEqual([{ xMm: 30, yMm: -20 }]);
  // The next print is drawn for the same place.
  expect(viewJob(db, jobId)!.places.get(width)).toEqual({ xMm: 30, yMm: -20 });
});

describe('a clock that ran ahead when the last change was noted', () => {
  test.each([1, 24 * 40])('by %d h keeps nobody from noting the next one', (hours) => {
    const { db, profileId } = readyBench();
    const ahead = new Date(Date.now() + hours * 3_600_000);
    expectOk(
      changeProcess(db, profileId, { kinds: ['film'], at: ahead, after: { film: 'clear' }, note: '' }),
    );
    const next = { kinds: ['lot'] as const, at: new Date(), after: { lot: 'B2' }, note: '' };
    expectOk(changeProcess(db, profileId, next));
    const changes = queries.listChanges(db, profileId);
    expect(changes.map(({ kinds }) => kinds)).toEqual([['film'], ['lot']]);
    expect(changes[1].at.getTime()).toBeGreaterThan(changes[0].at.getTime());
    expect(() => newestSignature(db, profileId)).not.toThrow();
  });
});
