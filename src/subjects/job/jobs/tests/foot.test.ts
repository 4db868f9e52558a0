import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { recordReading } from '@/subjects/measure/readings';
import { correctSettings } from '@/subjects/signature';
import { readyBench } from '@/testing/bench';
import { changeProcess, listFeet, viewFoot } from '../index';

/** Sizes of one feature of a print, near the plate and higher up. */
function readBoth(
  bench: ReturnType<typeof readyBench>,
  low: readonly number[],
  high: readonly number[],
): void {
  const { db, width, reading } = bench;
  for (const mm of low) expectOk(recordReading(db, { ...reading(width, mm), heightMm: 0.5 }));
  for (const mm of high) expectOk(recordReading(db, reading(width, mm)));
}

test('a size read at the plate and above gives the foot, its chamfer in whole layers and the layers that cause it', () => {
  const bench = readyBench();
  const { db, profileId } = bench;
  expect(viewFoot(db, profileId)).toBeUndefined();
  readBoth(bench, [20.24, 20.25, 20.24], [20.04, 20.04, 20.05]);
  const foot = viewFoot(db, profileId)!;
  expect(foot.flareMm).toBeCloseTo(0.1, 3);
  expect(foot.chamfer).toEqual({ legMm: 0.15, layers: 3 });
  expect(foot.cause).toBeUndefined();
  expectOk(correctSettings(db, profileId, { bottomLayers: 5, transitionLayers: 4 }));
  expect(viewFoot(db, profileId)!.cause).toEqual({ layers: 9, heightMm: 9 * 0.05 });
});

test('sizes alike in both places prove no foot; a change of the process asks for it anew', () => {
  const bench = readyBench();
  readBoth(bench, [20.05, 20.04, 20.05], [20.04, 20.05, 20.05]);
  const { db, profileId } = bench;
  expect(viewFoot(db, profileId)!.chamfer).toBeUndefined();
  const at = new Date(Date.now() + 1);
  expectOk(changeProcess(db, profileId, { kinds: ['exposure'], at, after: { exposureS: 3 }, note: '' }));
  expect(viewFoot(db, profileId)).toBeUndefined();
  // It stays on record with what it was made under.
  expect(listFeet(db, profileId)).toMatchObject([{ count: 1, settings: { layerMm: 0.05 } }]);
  expect(listFeet(db, profileId)[0].settings.exposureS).toBeUndefined();
  expect(listFeet(db, 99)).toEqual([]);
});
