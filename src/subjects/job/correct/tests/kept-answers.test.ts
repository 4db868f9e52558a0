import { describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { expectOk, keepAnswer } from '@/core/kit';
import { tables } from '@/store';
import { viewJob } from '@/subjects/job/jobs';
import { recordReading } from '@/subjects/measure/readings';
import { readyBench } from '@/testing/bench';
import { planDraw } from '../index';

describe('answers kept as long as what they rest on', () => {
  test('the same question is not reckoned twice, another one is; of too many the one asked longest ago goes', () => {
    const owner = {};
    let reckoned = 0;
    const ask = (question: unknown) => keepAnswer(owner, question, () => ({ number: ++reckoned }));
    const first = ask({ drawnMm: 20 });
    expect(ask({ drawnMm: 20 })).toBe(first);
    expect(ask({ drawnMm: 20.001 }).number).toBe(2);
    for (let i = 0; i < 62; i++) ask(i);
    // The first was asked again since, the second was not.
    expect(ask({ drawnMm: 20 })).toBe(first);
    ask('one more');
    ask('and another');
    expect(ask({ drawnMm: 20 })).toBe(first);
    expect(ask({ drawnMm: 20.001 }).number).toBeGreaterThan(2);
  });

  test('a plan follows the limits and the readings of its job', () => {
    const { db, jobId, width, reading } = readyBench();
    const plan = () => planDraw(viewJob(db, jobId)!)!;
    const before = plan();
    expect(plan()).toBe(before);
    const { features } = tables;
    db.update(features)
      .set({ lowerDeviationMm: -0.01, upperDeviationMm: 0.01 })
      .where(eq(features.id, width))
      .run();
    const narrow = plan();
    expect(narrow.joint).toBeLessThan(before.joint / 2);
    for (const mm of [20.1, 20.11, 20.1]) expectOk(recordReading(db, reading(width, mm)));
    const learned = plan();
    expect(learned.lines[1].next.drawMm).toBeLessThan(narrow.lines[1].next.drawMm - 0.02);
  });
});
