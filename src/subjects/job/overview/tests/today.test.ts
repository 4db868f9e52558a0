import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { tables } from '@/store';
import { addFeature, createJob } from '@/subjects/job/jobs';
import { changePrinter, listPrinters } from '@/subjects/signature';
import { BORE, readyBench } from '@/testing/bench';
import { glanceAtJobs } from '../view-today';

test('Today follows what all jobs depend on: another light of the printer sends a job back to its resin', () => {
  const { db, profileId } = readyBench();
  const [printer] = listPrinters(db);
  db.update(tables.resins)
    .set({ sheet: { family: 'general', quotes: [], cautions: [], lightNm: [405] } })
    .run();
  const jobId = createJob(db, 'Bracket', profileId);
  const limits = { targetMm: 9.56, lowerDeviationMm: -0.1, upperDeviationMm: 0.1 };
  expectOk(addFeature(db, jobId, { name: 'Bore', kind: BORE, ...limits }));
  const step = () => glanceAtJobs(db).find(({ id }) => id === jobId)?.step;
  expect(step()).toBe('correct');
  expectOk(changePrinter(db, printer.id, { lightNm: 365 }));
  expect(step()).toBe('resin');
  expectOk(changePrinter(db, printer.id, { lightNm: 405 }));
  expect(step()).toBe('correct');
  expect(changePrinter(db, 99, { lightNm: 405 })).toEqual({ ok: false, issue: { code: 'gone' } });
});
