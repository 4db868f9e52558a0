import { describe, expect, test } from '@jest/globals';
import { fail, ok, type Result } from '@/core/kit';
import { allOrNothing, tables } from '@/store';
import { emptyBench } from '@/testing/bench';
import { answerOnce } from '../answer-once';

const KEY = 'a key of its own';

/** A workshop, and a task that leaves a row each time it is done. */
function benchWithWork() {
  const db = emptyBench();
  let done = 0;
  const work = () => {
    db.insert(tables.settings)
      .values({ name: `done ${++done}`, value: done })
      .run();
    return done;
  };
  const rows = () => db.select().from(tables.settings).all().length;
  const kept = () => db.select().from(tables.taps).all().length;
  return { db, work, rows, kept };
}

describe('a tap', () => {
  test('is done once by its key, and answered alike each time', async () => {
    const { db, work, rows } = benchWithWork();
    for (let i = 0; i < 3; i++) expect(await answerOnce(() => db, KEY, work)).toBe(1);
    expect(rows()).toBe(1);
    expect(await answerOnce(() => db, 'another key', work)).toBe(2);
  });

  test('without a key is done each time, and nothing is remembered', async () => {
    const { db, work, kept } = benchWithWork();
    expect([
      await answerOnce(() => db, undefined, work),
      await answerOnce(() => db, undefined, work),
    ]).toEqual([1, 2]);
    expect(kept()).toBe(0);
  });

  test('that was refused stays refused, although it could be done by now', async () => {
    const { db } = benchWithWork();
    let isOpen = false;
    const work = (): Result<void, string> => (isOpen ? ok(undefined) : fail('closed'));
    expect(await answerOnce(() => db, KEY, work)).toEqual(fail('closed'));
    isOpen = true;
    expect(await answerOnce(() => db, KEY, work)).toEqual(fail('closed'));
  });

  test('whose verb takes everything back leaves nothing but its answer', async () => {
    const { db, work, rows, kept } = benchWithWork();
    const refused = () =>
      allOrNothing<void, string>(db, () => {
        work();
        return fail('no');
      });
    expect(await answerOnce(() => db, KEY, refused)).toEqual(fail('no'));
    expect([rows(), kept()]).toEqual([0, 1]);
  });

  test('that fails by a mistake is not remembered: it can be made again', async () => {
    const { db, work, rows, kept } = benchWithWork();
    const broken = () => {
      work();
      throw new Error('disk full');
    };
    await expect(answerOnce(() => db, KEY, broken)).rejects.toThrow('disk full');
    expect([rows(), kept()]).toEqual([0, 0]);
    expect(await answerOnce(() => db, KEY, work)).toBe(2);
  });

  test('that takes its time is remembered when it has ended', async () => {
    const { db, work, rows } = benchWithWork();
    const later = async () => {
      await Promise.resolve();
      return work();
    };
    expect(await answerOnce(() => db, KEY, later)).toBe(1);
    expect(await answerOnce(() => db, KEY, later)).toBe(1);
    expect(rows()).toBe(1);
  });

  test('answers of nothing are answers too', async () => {
    const { db, kept } = benchWithWork();
    expect(
      await answerOnce(
        () => db,
        KEY,
        () => undefined,
      ),
    ).toBeUndefined();
    expect(
      await answerOnce(
        () => db,
        KEY,
        () => undefined,
      ),
    ).toBeUndefined();
    expect(kept()).toBe(1);
  });
});
