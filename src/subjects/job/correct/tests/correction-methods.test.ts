import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { startAttempt, viewJob } from '@/subjects/job/jobs';
import { recordReading } from '@/subjects/measure/readings';
import { correctSettings } from '@/subjects/signature';
import { readyBench } from '@/testing/bench';
import { planDraw, changeExposureForJob, viewCorrectionMethods } from '../index';

/** A workshop where the width printed this much thicker than drawn. */
function thickWall(mm: number, exposureS?: number) {
  const bench = readyBench();
  const { db, profileId, width, reading } = bench;
  expectOk(correctSettings(db, profileId, { exposureS }));
  for (const each of [0, 0.01, 0]) expectOk(recordReading(db, reading(width, 20 + mm + each)));
  return { ...bench, levers: () => viewCorrectionMethods(db, viewJob(db, bench.jobId)!)! };
}

describe('which lever for a job', () => {
  test('a wall that came out thick is drawn anew; a trim is weighed with what else it touches', () => {
    const { levers } = thickWall(0.14, 2.4);
    const { chosen, exposureS, voids, isFirst, levers: all } = levers();
    expect(chosen).toBe('sizes');
    expect(exposureS).toBe(2.4);
    expect(isFirst).toBe(false);
    expect(voids).toEqual([]);
    const trim = all.find(({ lever }) => lever === 'trim')!;
    expect(trim.exposureS).toBeLessThan(2.4);
    expect(trim.exposureS).toBeGreaterThanOrEqual(0.75 * 2.4 - 1e-9);
    expect(trim.joint).toBeGreaterThan(all.find(({ lever }) => lever === 'none')!.joint);
  });

  test('a trim that is set is noted as a change of the profile, and the sizes are weighed under it from then on', () => {
    const bench = thickWall(0.14, 2.4);
    const before = bench.levers().levers.find(({ lever }) => lever === 'trim')!;
    expectOk(changeExposureForJob(bench.db, bench.jobId));
    const row = queries.findProfile(bench.db, bench.profileId)!;
    expect(row.profile.settings.exposureS).toBeCloseTo(before.exposureS!, 2);
    expect(queries.listChanges(bench.db, bench.profileId)[0].note).toBe('adjusted for Bushing');
    const none = bench.levers().levers[0];
    // What was foreseen by what is learned of this light, against what the change is taken to have done on average.
    expect(Math.abs(none.joint - before.joint)).toBeLessThan(0.15);
  });

  test('once the sizes are drawn for it no trim is offered: it would bring nothing more', () => {
    const { levers, db, jobId } = thickWall(0.14, 2.4);
    const view = viewJob(db, jobId)!;
    const drawnMm = new Map(planDraw(view)!.lines.map(({ feature, next }) => [feature.id, next.drawMm]));
    expectOk(startAttempt(db, view, { lever: 'drawn', reason: 'thick', drawnMm }));
    const { levers: all, exposureS, isAnswered } = levers();
    expect(all.map(({ lever }) => lever)).toEqual(['none', 'sizes', 'part']);
    expect([exposureS, isAnswered]).toEqual([2.4, true]);
    expect(changeExposureForJob(db, jobId)).toEqual({ ok: false, issue: { code: 'gone' } });
  });

  test('where nobody said the exposure no trim is weighed, nor set', () => {
    const bench = thickWall(0.14);
    expect(bench.levers().levers.map(({ lever }) => lever)).toEqual(['none', 'sizes', 'part']);
    expect(changeExposureForJob(bench.db, bench.jobId)).toEqual({ ok: false, issue: { code: 'gone' } });
    expect(changeExposureForJob(bench.db, 99)).toEqual({ ok: false, issue: { code: 'gone' } });
  });
});
