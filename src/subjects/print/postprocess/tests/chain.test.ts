import { describe, expect, jest, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { openDb, queries } from '@/store';
import { HOUSE_DEFAULTS } from '@/subjects/workshop/settings';
import { notePrint, viewJob } from '@/subjects/job/jobs';
import { benchOnDisk, readyBench } from '@/testing/bench';
import path from 'node:path';
import { beginStep, endStep, listTimers, stateForSitting, takeBackStep, viewChain } from '../index';
import { describeStepIssue, stepInput } from '../shared';

const key = () => crypto.randomUUID();
const house = HOUSE_DEFAULTS;

type Bench = ReturnType<typeof readyBench>;

function tapThrough({ db, jobId, printId }: Bench, ...steps: ('wash' | 'dry' | 'cure' | 'cool')[]): void {
  for (const step of steps) {
    const id = expectOk(beginStep(db, jobId, { clientKey: key(), printId, step, plannedS: 60 }));
    expectOk(endStep(db, jobId, id));
  }
}

const chainOf = ({ db, jobId, printId }: Bench) => viewChain(db, viewJob(db, jobId)!, printId, house)!;

describe('the chain of a print', () => {
  test('its steps are those of the card after the print, in order, none done', () => {
    const bench = readyBench();
    const { links, state, warmUntil } = chainOf(bench);
    expect(links.map(({ card }) => card.step)).toEqual(
      expect.arrayContaining(['wash', 'dry', 'supports', 'cure', 'cool']),
    );
    expect(links.some(({ card }) => card.step === 'shake')).toBe(false);
    expect([state, warmUntil]).toEqual(['green', undefined]);
    expect(stateForSitting(chainOf(bench), new Date())).toBeUndefined();
  });

  test('state and warmth follow the taps', () => {
    const bench = readyBench();
    tapThrough(bench, 'wash');
    expect(stateForSitting(chainOf(bench), new Date())).toEqual({ state: 'washed', warm: false });
    tapThrough(bench, 'dry', 'cure');
    const cured = chainOf(bench);
    expect(stateForSitting(cured, new Date())).toEqual({ state: 'cured', warm: true });
    const cool = cured.links.find(({ card }) => card.step === 'cool')!;
    const later = new Date(Date.now() + 1000 * cool.plannedS! + 60_000);
    expect(stateForSitting(cured, later)).toEqual({ state: 'cured', warm: false });
    tapThrough(bench, 'cool');
    expect(stateForSitting(chainOf(bench), new Date(Date.now() + 1000))).toEqual({
      state: 'cured',
      warm: false,
    });
  });

  test('two windows that tap the same step begin one timer; the same tap again too', () => {
    const { db, jobId, printId } = readyBench();
    const clientKey = key();
    const first = expectOk(beginStep(db, jobId, { clientKey, printId, step: 'wash', plannedS: 300 }));
    expect(expectOk(beginStep(db, jobId, { clientKey, printId, step: 'wash', plannedS: 300 }))).toBe(first);
    expect(expectOk(beginStep(db, jobId, { clientKey: key(), printId, step: 'wash' }))).toBe(first);
    const [timer, ...others] = listTimers(db);
    expect(others).toEqual([]);
    expect(timer.endsAt!.getTime() - timer.startedAt.getTime()).toBe(300_000);
    // Ended twice, it keeps its first end.
    expectOk(endStep(db, jobId, first, 'two baths'));
    expectOk(endStep(db, jobId, first, 'again'));
    expect(queries.listPrintSteps(db, printId)[0].given).toBe('two baths');
    expect(listTimers(db)).toEqual([]);
  });

  test('a step taken back is undone; after the cure no wash begins', () => {
    const bench = readyBench();
    const { db, jobId, printId } = bench;
    tapThrough(bench, 'wash', 'cure');
    const refused = beginStep(db, jobId, { clientKey: key(), printId, step: 'wash' });
    expect(refused).toEqual({ ok: false, issue: { code: 'cured' } });
    expect(refused.ok ? '' : describeStepIssue(refused.issue)).toContain(
      'this print is already cured. Washing it now only dulls it. If you tapped the cure by mistake, undo it.',
    );
    const cure = queries.listPrintSteps(db, printId).find(({ step }) => step === 'cure')!;
    expectOk(takeBackStep(db, jobId, cure.id));
    expect(chainOf(bench).state).toBe('washed');
    expectOk(beginStep(db, jobId, { clientKey: key(), printId, step: 'wash' }));
  });

  test('a clock that was set back ends no step before it began', () => {
    const { db, jobId, printId } = readyBench();
    const id = expectOk(beginStep(db, jobId, { clientKey: key(), printId, step: 'cure', plannedS: 600 }));
    const now = jest.spyOn(Date, 'now').mockReturnValue(Date.now() - 3_600_000);
    expectOk(endStep(db, jobId, id));
    now.mockRestore();
    const [{ startedAt, endedAt }] = queries.listPrintSteps(db, printId);
    expect(endedAt).toEqual(startedAt);
  });

  test('another job’s print, and a step that is gone, are refused', () => {
    const { db, jobId, attemptId } = readyBench();
    const other = notePrint(db, attemptId, jobId);
    expect(beginStep(db, jobId + 1, { clientKey: key(), printId: other, step: 'wash' }).ok).toBe(false);
    expect(endStep(db, jobId, 999).ok).toBe(false);
    expect(takeBackStep(db, jobId, 999).ok).toBe(false);
  });

  test('what a page sends is held to its shape', () => {
    expect(stepInput.safeParse({ clientKey: key(), printId: 1, step: 'wash', plannedS: 60 }).success).toBe(
      true,
    );
    expect(stepInput.safeParse({ clientKey: key(), printId: 1, step: 'polish' }).success).toBe(false);
    expect(stepInput.safeParse({ clientKey: key(), printId: 1, step: 'cure', plannedS: -1 }).success).toBe(
      false,
    );
  });
});

test('fifty timers under way are all there, on time, after the bench is opened anew', () => {
  const { db, jobId, attemptId, folder, end } = benchOnDisk();
  const wanted = Array.from({ length: 50 }, (_, i) => {
    const printId = notePrint(db, attemptId, jobId);
    return expectOk(beginStep(db, jobId, { clientKey: key(), printId, step: 'cure', plannedS: 60 + i }));
  });
  const before = listTimers(db);
  const again = openDb(path.join(folder, 'mellow.db'));
  expect(listTimers(again)).toEqual(before);
  expect(before.map(({ id }) => id)).toEqual(wanted);
  again.$client.close();
  end();
});

test.each([1, 24 * 40])(
  'a clock that is set back by %d h after the cure: nobody is told that a part is warm',
  (hours) => {
    const bench = readyBench();
    tapThrough(bench, 'wash', 'dry', 'cure');
    const back = new Date(Date.now() - hours * 3_600_000);
    expect(stateForSitting(chainOf(bench), back)).toEqual({ state: 'cured', warm: false });
    jest.useFakeTimers().setSystemTime(back);
    try {
      tapThrough(bench, 'cool');
      expect(chainOf(bench).links.find(({ card }) => card.step === 'cool')!.done?.endedAt).not.toBeNull();
      expect(listTimers(bench.db)).toEqual([]);
    } finally {
      jest.useRealTimers();
    }
    expect(stateForSitting(chainOf(bench), new Date())).toEqual({ state: 'cured', warm: false });
  },
);
