import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { edgeGrowthOf } from '@/core/simulated';
import { queries, tables } from '@/store';
import { readyBench } from '@/testing/bench';
import { closeJaws, machineAt, simulatedSize } from '../index';

const DAY_MS = 86_400_000;

/** The ready bench on a simulated printer, its exposure changed a day ago. */
function benchExposed(before: number, after: number) {
  const bench = readyBench();
  bench.db.update(tables.printers).set({ simulatedSeed: 7 }).run();
  bench.db
    .insert(tables.profileChanges)
    .values({
      profileId: bench.profileId,
      kinds: ['exposure'],
      at: new Date(Date.now() - DAY_MS),
      before: { exposureS: before },
      after: { exposureS: after },
      notedAt: new Date(),
    })
    .run();
  return bench;
}

describe('a simulated printer', () => {
  test('prints wider walls with a longer exposure from the change on, and as before until then', () => {
    const { db, profileId } = benchExposed(2, 3);
    const row = queries.findProfile(db, profileId)!;
    const growth = (ago: number) =>
      edgeGrowthOf(machineAt(db, row, new Date(Date.now() - ago * DAY_MS))!.machine);
    expect(growth(0)).toBeGreaterThan(growth(2) + 0.003);
  });

  test('loses what it is exposed too short for', () => {
    const { db, printId } = benchExposed(2, 0.2);
    const feature = db.select().from(tables.features).get()!;
    expect(simulatedSize(db, feature.id, printId)).toEqual({ ok: false, issue: { code: 'lost' } });
    db.delete(tables.profileChanges).run();
    expect(expectOk(simulatedSize(db, feature.id, printId)).sizeMm).toBeGreaterThan(0);
  });

  test('leaves a foot where its bottom layers are exposed longer, smaller where they are exposed less', () => {
    const { db, profileId, printId, instrumentId, width } = benchExposed(2, 2);
    const row = queries.findProfile(db, profileId)!;
    const footWith = (bottomExposureS: number) => {
      const settings = { ...row.profile.settings, exposureS: 2, bottomExposureS, bottomLayers: 5 };
      db.update(tables.profiles).set({ settings }).run();
      const closing = { featureId: width, printId, closing: 1, instrumentId };
      const [high, low] = [false, true].map((isLow) => expectOk(closeJaws(db, { ...closing, isLow })));
      return (low - high) / 2;
    };
    const [long, short] = [footWith(20), footWith(4)];
    expect(long).toBeGreaterThan(0.03);
    expect(short).toBeLessThan(long);
    expect(footWith(2)).toBe(0);
  });
});
