import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { recordReading } from '@/subjects/measure/readings';
import { readyBench } from '@/testing/bench';
import { sitAt } from '../index';
import { describeSessionIssue } from '../shared';

test('a print that was read cured is green no more; it may have aged', () => {
  const { db, jobId, printId, instrumentId, width, reading } = readyBench();
  const sitting = { jobId, printId, instrumentId, zeroMm: 0, warm: false };
  // Nothing was read yet: any state may be the first.
  expectOk(sitAt(db, { ...sitting, state: 'green' }));
  const sessionId = expectOk(sitAt(db, { ...sitting, state: 'cured' }));
  expectOk(recordReading(db, { ...reading(width, 20.1), sessionId }));
  const refused = sitAt(db, { ...sitting, state: 'green' });
  expect(refused).toEqual({ ok: false, issue: { code: 'noWayBack', wanted: 'green', read: 'cured' } });
  expect(refused.ok ? '' : describeSessionIssue(refused.issue)).toContain('it cannot be green now');
  expectOk(sitAt(db, { ...sitting, state: 'aged' }));
});
