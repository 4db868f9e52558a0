import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { afterEach, expect, test } from '@jest/globals';
import { attachSignature, learnSignature, type SignatureReading } from '@/core/signature';
import { SignatureLearner } from '../signature-learner';

const WIDTH = { sense: 'outside', shape: 'flat', axis: 'X' } as const;
const readings: SignatureReading[] = [4, 8, 20].map((drawnMm) => ({
  ...WIDTH,
  feature: `w${drawnMm}`,
  print: 'P1',
  drawnMm,
  readingMm: drawnMm + 0.05,
}));
const options = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };

const file = path.join(process.cwd(), 'src', 'workers', 'signature.thread.mjs');
const learner = new SignatureLearner(() => new Worker(file));
afterEach(() => learner.stop());

test('what a thread of its own learns is what is learned here', async () => {
  const detached = (await learner.learn({ profileId: 1, readings, options }))!;
  const there = attachSignature(detached, readings, options);
  const here = learnSignature(readings, options);
  expect(there.report).toEqual(here.report);
  expect(there.signature.parameters).toEqual(here.signature.parameters);
  expect(there.signature.observations).toEqual(here.signature.observations);
});

test('of one profile only the newest request is learned of those that wait; other profiles wait their turn', async () => {
  const answers = await Promise.all([
    learner.learn({ profileId: 1, readings, options }),
    learner.learn({ profileId: 1, readings: readings.slice(1), options }),
    learner.learn({ profileId: 2, readings, options }),
    learner.learn({ profileId: 1, readings: [], options }),
  ]);
  expect(answers.map((answer) => answer?.report.features.length)).toEqual([3, undefined, 3, 0]);
});

test('stopping answers all that wait with nothing, and the next request starts a thread again', async () => {
  const waiting = [1, 2].map((profileId) => learner.learn({ profileId, readings, options }));
  learner.stop();
  expect(await Promise.all(waiting)).toEqual([undefined, undefined]);
  expect((await learner.learn({ profileId: 1, readings, options }))?.report.features).toHaveLength(3);
});

test('a request that makes the thread fail is refused, and the next one is answered', async () => {
  const broken = readings.map((reading) => ({ ...reading, readingMm: Number.NaN }));
  await expect(learner.learn({ profileId: 1, readings: broken, options })).rejects.toThrow();
  expect((await learner.learn({ profileId: 1, readings, options }))?.report.features).toHaveLength(3);
});
