import { describe, expect, test } from '@jest/globals';
import { queries, tables } from '@/store';
import { viewJob } from '@/subjects/job/jobs';
import { recordReading } from '@/subjects/measure/readings';
import { newestSignature } from '@/subjects/signature';
import { readyBench, standing } from '@/testing/bench';
import { setAsideImpossible } from '../set-aside-impossible';

/** A workshop with two readings, and a number in it that an older version accepted. */
function benchWith(statement: string) {
  const bench = readyBench();
  recordReading(bench.db, bench.reading(bench.bore, 9.43));
  recordReading(bench.db, bench.reading(bench.width, 20.02));
  bench.db.$client.exec(statement);
  return bench;
}

describe('a number that nothing on a bench has is set aside when the bench is opened', () => {
  test.each([
    ['update readings set reading_mm = 1e11 where id = 1', { readings: 1 }],
    ['update readings set reading_mm = 1e300 where id = 1', { readings: 1 }],
    ['update readings set height_mm = 1e160 where id = 1', { readings: 1 }],
    ['update sessions set zero_mm = 1e300', { readings: 2 }],
    ['update sessions set part_c = 1e160', { readings: 2 }],
    ["update features set target_mm = 1e300 where name = 'Bore'", { features: 1 }],
    ["update features set upper_deviation_mm = 1e160 where name = 'Bore'", { features: 1 }],
    ['update drawn_sizes set drawn_mm = 1e300 where feature_id = 1', { readings: 1, drawnSizes: 1 }],
    ['update mates set size_mm = 1e300', { mates: 1 }],
  ])('%s: the page of the job is made, with what is sound', (statement, set) => {
    const { db, jobId, profileId, printId } = benchWith(statement);
    expect(setAsideImpossible(db)).toMatchObject({
      readings: 0,
      features: 0,
      drawnSizes: 0,
      mates: 0,
      ...set,
    });
    const view = viewJob(db, jobId);
    expect(view?.current).toBeDefined();
    expect(JSON.stringify(newestSignature(db, profileId).report)).not.toContain('null,null');
    expect(standing(db, printId).every((mm) => mm > 1 && mm < 100)).toBe(true);
    // Nothing is deleted of what was read, and a second look finds nothing.
    expect(db.select().from(tables.readings).all()).toHaveLength(2);
    expect(setAsideImpossible(db)).toEqual({ readings: 0, features: 0, drawnSizes: 0, mates: 0 });
  });

  test('a sound bench is left as it is', () => {
    const { db, jobId } = benchWith('select 1');
    const key = () => db.select().from(tables.profiles).all()[0].evidenceKey;
    const before = key();
    setAsideImpossible(db);
    expect(key()).toBe(before);
    expect(queries.listFeatures(db, jobId)).toHaveLength(2);
  });
});
