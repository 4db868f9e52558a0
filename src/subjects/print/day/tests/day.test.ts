import { describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { expectOk } from '@/core/kit';
import { tables } from '@/store';
import { endRun, layOnPlate, startRun } from '@/subjects/print/plate';
import { beginStep } from '@/subjects/print/postprocess';
import { benchWithPlate, openChecklist, OPEN_HOUSE } from '@/testing/plate';
import { printed } from '@/testing/printed';
import { planAskedDay } from '@/workers/day-api';
import { viewDay } from '../index';
import { describeNoDay, nameDayStep } from '../shared';

const house = OPEN_HOUSE;
const plan = (view: ReturnType<typeof viewDay>, set: readonly string[] = []) =>
  expectOk(planAskedDay({ day: view.day, late: view.late, set }));

describe('the day of a bench', () => {
  test('a plate that waits is printed, washed, cured and measured in its order', () => {
    const { db, runId } = benchWithPlate();
    const view = viewDay(db, house, new Date());
    expect(view.things).toMatchObject([{ id: `run ${runId}`, title: 'Bushing', runId }]);
    const steps = plan(view).plan.steps.map(({ step }) => step);
    expect(steps[0]).toBe('print');
    expect(steps.at(-1)).toBe('measure');
    expect(steps.indexOf('wash')).toBeLessThan(steps.indexOf('cure'));
    expect(view.stations).toEqual(['Long Bench', 'wash', 'lamp']);
  });

  test('the day has the steps of the process card on Print: what touches skin is coated', () => {
    const { db, jobId } = benchWithPlate();
    const stepsOf = () => viewDay(db, house, new Date()).day.jobs[0].steps.map(({ id }) => id);
    expect(stepsOf()).not.toContain('coat');
    db.update(tables.jobs)
      .set({ claims: ['skin'] })
      .where(eq(tables.jobs.id, jobId))
      .run();
    expect(stepsOf()).toContain('coat');
  });

  test('a print that runs holds its printer; the next plate waits for it', () => {
    const { db, runId, jobId } = benchWithPlate();
    openChecklist(db, runId);
    expectOk(startRun(db, runId, { house, now: new Date(Date.now() - 600_000) }));
    const next = expectOk(layOnPlate(db, jobId, { copies: 1, gapMm: 2 }));
    const view = viewDay(db, house, new Date());
    const { steps } = plan(view).plan;
    const print = (id: number) => steps.find(({ job, step }) => job === `run ${id}` && step === 'print')!;
    const off = steps.find(({ job, step }) => job === `run ${runId}` && step === 'off')!;
    expect(print(runId).startMin).toBe(0);
    expect(print(next).startMin).toBeGreaterThanOrEqual(off.endMin);
    expect(view.things.find(({ id }) => id === `run ${runId}`)!.runId).toBeUndefined();
  });

  test('what came off the printer goes on from where it was tapped', () => {
    const { db, runId, jobId } = benchWithPlate({ copies: 1 });
    openChecklist(db, runId);
    expectOk(startRun(db, runId, { house, now: new Date(Date.now() - 7_200_000) }));
    expectOk(
      endRun(db, runId, { outcome: 'done', endedAt: new Date(), isSeen: true, reason: '', isUsable: true }),
    );
    const onPlate = viewDay(db, house, new Date());
    expect(plan(onPlate).plan.steps[0].step).toBe('drip');
    const printId = Number(/\d+/.exec(onPlate.things[0].id)![0]);
    expectOk(beginStep(db, jobId, { clientKey: crypto.randomUUID(), printId, step: 'drip', plannedS: 600 }));
    const dripping = viewDay(db, house, new Date(Date.now() + 240_000));
    const [drip] = plan(dripping).plan.steps;
    expect([drip.step, drip.startMin]).toEqual(['drip', 0]);
    expect([6, 7]).toContain(drip.endMin);
  });

  test('what lies there for two weeks, and was not touched since, is not on its way any more', () => {
    const plate = benchWithPlate({ copies: 1 });
    const { db, jobId, runId } = plate;
    const things = (now = new Date()) => viewDay(db, house, now).things;
    printed(plate, runId, 13 * 24);
    const [{ id }] = things();
    const dayAfterNext = new Date(Date.now() + 2 * 86_400_000);
    expect(things(dayAfterNext)).toEqual([]);
    const printId = Number(/\d+/.exec(id)![0]);
    expectOk(beginStep(db, jobId, { clientKey: crypto.randomUUID(), printId, step: 'drip', plannedS: 600 }));
    expect(things(dayAfterNext)).toHaveLength(1);
  });

  test('a promise that can be kept says by when to start, one in the past says that it is late', () => {
    const { db, runId } = benchWithPlate();
    const now = new Date();
    const dueOn = (days: number) => {
      const day = new Date(now.getFullYear(), now.getMonth(), now.getDate() + days);
      return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
    };
    db.update(tables.jobs)
      .set({ dueOn: dueOn(1) })
      .run();
    const kept = plan(viewDay(db, house, now));
    expect(kept.plan.worth.tardinessMin).toBe(0);
    expect(kept.latest[`run ${runId}`]).toBeGreaterThan(60);
    db.update(tables.jobs)
      .set({ dueOn: dueOn(-2) })
      .run();
    const late = plan(viewDay(db, house, now));
    expect(late.plan.worth.tardinessMin).toBeGreaterThan(24 * 60);
    expect(late.latest[`run ${runId}`]).toBeUndefined();
  });

  test('a start that was set is kept, and what it costs is known', () => {
    const { db, runId } = benchWithPlate();
    const now = new Date();
    db.update(tables.runs)
      .set({ plannedFor: new Date(now.getTime() + 5 * 3_600_000) })
      .run();
    const view = viewDay(db, house, now);
    const { plan: set, free } = plan(view, [`run ${runId}`]);
    expect(set.steps[0].startMin).toBeGreaterThanOrEqual(299);
    expect(set.worth.finishMin - free!.worth.finishMin).toBeGreaterThan(250);
  });

  test('nobody is ever there: that is said, with the step', () => {
    const { db } = benchWithPlate();
    const nobody = { ...house, run: { ...house.run, presence: Array.from({ length: 7 }, () => []) } };
    const view = viewDay(db, nobody, new Date());
    const planned = planAskedDay({ day: view.day, late: view.late, set: [] });
    expect(planned.ok).toBe(false);
    if (!planned.ok)
      expect(describeNoDay(planned.issue, () => 'Bushing')).toContain(
        'no working time is long enough for Bushing (print)',
      );
    expect(nameDayStep('wash')).toBe('Wash');
  });
});

describe('a clock that was set while something runs', () => {
  test.each([1, -1, 24 * 40, -24 * 40])('by %d h: the day is planned all the same', (hours) => {
    const { db, runId, jobId } = benchWithPlate();
    openChecklist(db, runId);
    expectOk(startRun(db, runId, { house, now: new Date(Date.now() + hours * 3_600_000) }));
    expectOk(layOnPlate(db, jobId, { copies: 1, gapMm: 2 }));
    const view = viewDay(db, house, new Date());
    const print = view.day.jobs.find(({ id }) => id === `run ${runId}`)!.steps[0];
    // At most as long as planned plus the usual scatter: a start in the future counts as now.
    expect(print.minutes).toBeLessThan(24 * 60);
    expect(plan(view).plan.steps.length).toBeGreaterThan(0);
  });
});
