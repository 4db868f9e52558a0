import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { beginStep, endStep, viewChain } from '@/subjects/print/postprocess';
import { HOUSE_DEFAULTS } from '@/subjects/workshop/settings';
import { viewJob } from '@/subjects/job/jobs';
import { readyBench } from '@/testing/bench';
import { askStation, openStation, startStation } from '../index';

const T0 = new Date(2026, 10, 27, 10);
const after = (seconds: number) => new Date(T0.getTime() + 1000 * seconds);

test('a wash whose clock runs 60 times as fast is done after a sixtieth', () => {
  const { db } = readyBench();
  expect(askStation(db, 'wash', T0).state).toBe('idle');
  startStation(db, 'wash', { load: 'step 1', seconds: 240, speed: 60 }, T0);
  expect(askStation(db, 'wash', after(2))).toEqual({
    state: 'running',
    load: 'step 1',
    set_s: 240,
    given_s: 120,
  });
  expect(askStation(db, 'wash', after(4)).state).toBe('done');
  // It gives no more than it was set to, and the lamp knows nothing of it.
  expect(askStation(db, 'wash', after(4000)).given_s).toBe(240);
  expect(askStation(db, 'lamp', after(4)).state).toBe('idle');
});

test('with its lid open a lamp has given what it gave', () => {
  const { db } = readyBench();
  startStation(db, 'lamp', { load: 'step 2', seconds: 300, speed: 1 }, T0);
  expect(openStation(db, 'lamp', after(100))).toBe(true);
  expect(openStation(db, 'lamp', after(120))).toBe(false);
  expect(askStation(db, 'lamp', after(500))).toMatchObject({ state: 'opened', given_s: 100 });
});

test('a step in the simulated wash has its timer by the clock on the wall, and two taps put it in once', () => {
  const { db, jobId, printId } = readyBench();
  const wanted = { clientKey: 'a tap of this test', printId, step: 'wash', plannedS: 240 } as const;
  const id = expectOk(beginStep(db, jobId, { ...wanted, stationSpeed: 60 }));
  const { load, set_s } = askStation(db, 'wash', new Date());
  expect([load, set_s]).toEqual([`step ${id}`, 240]);
  const link = () =>
    viewChain(db, viewJob(db, jobId)!, printId, HOUSE_DEFAULTS)!.links.find(
      ({ card }) => card.step === 'wash',
    )!;
  expect(link().done!.plannedS).toBe(4);
  openStation(db, 'wash', new Date());
  expectOk(beginStep(db, jobId, { ...wanted, stationSpeed: 60 }));
  expect(askStation(db, 'wash', new Date()).state).not.toBe('running');
  expectOk(endStep(db, jobId, id, '2.0 of 4.0 min given'));
  expect(link().done!.given).toBe('2.0 of 4.0 min given');
});
