import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import { type Day, type DayJob, latestStart, planDay } from '../index';

const ALWAYS = [[0, 10_000]] as const;
const wash = { id: 'wash', station: 'wash', minutes: 10, attendStartMin: 2, share: 'alcohol 10' };
const job = (id: string, steps: DayJob['steps'], more: Partial<DayJob> = {}): DayJob => ({
  id,
  dueMin: 600,
  weight: 1,
  releaseMin: 0,
  steps,
  ...more,
});

const startsOf = (day: Day) =>
  Object.fromEntries(
    expectOk(planDay(day)).steps.map(({ job: id, step, startMin }) => [`${id} ${step}`, startMin]),
  );

describe('loads that share a bath', () => {
  test('two jobs with the same liquid and minutes go in at once, with one pair of hands', () => {
    const day: Day = { presence: ALWAYS, jobs: [job('a', [wash]), job('b', [wash])] };
    expect(startsOf(day)).toEqual({ 'a wash': 0, 'b wash': 0 });
  });

  test('a bath that takes two lets the third wait', () => {
    const small = { ...wash, shareUpTo: 2 };
    const jobs = ['a', 'b', 'c'].map((id) => job(id, [small]));
    const starts = Object.values(startsOf({ presence: ALWAYS, jobs })).sort((a, b) => a - b);
    expect(starts).toEqual([0, 0, 10]);
  });

  test('another liquid waits its turn', () => {
    const day: Day = {
      presence: ALWAYS,
      jobs: [job('a', [wash]), job('b', [{ ...wash, share: 'water 10' }])],
    };
    expect(Object.values(startsOf(day)).sort()).toEqual([0, 10]);
  });

  test('joining never ends later than taking turns', () => {
    const minutes = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(fc.array(minutes, { minLength: 2, maxLength: 4 }), (prints) => {
        const jobsWith = (share?: string) =>
          prints.map((print, i) =>
            job(`${i}`, [
              { id: 'print', station: `printer ${i}`, minutes: print },
              { ...wash, share },
            ]),
          );
        const finish = (share?: string) =>
          expectOk(planDay({ presence: ALWAYS, jobs: jobsWith(share) })).worth.finishMin;
        expect(finish('alcohol 10')).toBeLessThanOrEqual(finish());
      }),
      { seed: 5, numRuns: 60 },
    );
  });
});

describe('a start that somebody set', () => {
  const print = { id: 'print', station: 'printer', minutes: 60, attendStartMin: 5, holds: true };
  const unload = { id: 'unload', station: 'printer', minutes: 5, attended: true };

  test('is kept, and the rest is planned around it', () => {
    const day: Day = {
      presence: ALWAYS,
      jobs: [
        job('pinned', [print, unload], { releaseMin: 30, isPinned: true }),
        job('other', [print, unload]),
        job('short', [{ id: 'print', station: 'printer', minutes: 20 }]),
      ],
    };
    const starts = startsOf(day);
    expect(starts['pinned print']).toBe(30);
    expect(starts['short print']).toBe(0);
    expect(starts['other print']).toBeGreaterThanOrEqual(95);
  });

  test('where nobody is there it begins when somebody is', () => {
    const day: Day = {
      presence: [[100, 400]],
      jobs: [job('pinned', [print, unload], { releaseMin: 30, isPinned: true })],
    };
    expect(startsOf(day)['pinned print']).toBe(100);
  });
});

describe('backwards from a promise', () => {
  const print = { id: 'print', station: 'printer', minutes: 60, attendStartMin: 5, holds: true };
  const unload = { id: 'unload', station: 'printer', minutes: 5, attended: true };
  const day = (dueMin: number): Day => ({
    presence: [
      [0, 200],
      [300, 500],
    ],
    jobs: [job('a', [print, unload], { dueMin }), job('b', [{ ...unload, id: 'clean', minutes: 30 }])],
  });
  const latest = (dueMin: number) => {
    const plan = expectOk(planDay(day(dueMin)));
    return latestStart(day(dueMin), plan.steps, 'a');
  };

  test('the latest start that is still in time, one minute later is not', () => {
    expect(latest(160)).toBe(95);
    const late = {
      ...day(160),
      jobs: day(160).jobs.map((each) => (each.id === 'a' ? { ...each, releaseMin: 96 } : each)),
    };
    expect(expectOk(planDay(late)).worth.tardinessMin).toBeGreaterThan(0);
  });

  test('a start in hours in which nobody is there is none', () => {
    // Unloading at 300 at the earliest after 200: what starts at 195 is ready with what starts at 135.
    expect(latest(305)).toBe(195);
  });

  test('nothing is in time: there is no such start', () => {
    expect(latest(50)).toBeUndefined();
    expect(latestStart(day(50), [], 'nobody')).toBeUndefined();
  });
});
