import { describe, expect, jest, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { expectOk } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { wishFor } from '@/subjects/fit/mating';
import { changeFeature } from '@/subjects/job/jobs';
import {
  exportReadings,
  importReadings,
  recordReading,
  recordReadings,
  recordTry,
  takeBackReading,
} from '@/subjects/measure/readings';
import { changeNeed } from '@/subjects/job/need';
import { newestSignature } from '@/subjects/signature';
import { keepQuote } from '@/subjects/resin/shelf';
import { BLANK_NEED, BORE, readyBench } from '@/testing/bench';

type Bench = ReturnType<typeof readyBench>;

/** A workshop with readings of both features and a hand fit of the bore. */
function learningBench(): Bench {
  const bench = readyBench();
  const { db, bore, width, printId, reading } = bench;
  for (const mm of [9.48, 9.49, 9.48]) expectOk(recordReading(db, reading(bore, mm)));
  for (const mm of [19.97, 19.96]) expectOk(recordReading(db, reading(width, mm)));
  expectOk(recordTry(db, { clientKey: 'w', featureId: bore, printId, word: 'right', state: 'cured' }));
  return bench;
}

const keyOf = (db: Db, profileId: number) => queries.findProfile(db, profileId)!.profile.evidenceKey;

/** Returns the signature computed from stored data, whatever is cached. */
function anew(db: Db, profileId: number) {
  db.update(tables.profiles)
    .set({ evidenceKey: crypto.randomUUID() })
    .where(eq(tables.profiles.id, profileId))
    .run();
  return newestSignature(db, profileId).report;
}

const MATE = { name: 'sleeve', material: 'steel', origin: 'bought', irreplaceable: false } as const;

const CHANGES: readonly (readonly [string, (bench: Bench) => unknown])[] = [
  ['a reading', ({ db, bore, reading }) => recordReading(db, reading(bore, 9.5))],
  ['a reading taken back', ({ db, jobId, printId }) => takeBackReading(db, jobId, printId)],
  [
    'a word of fit',
    ({ db, bore, printId }) =>
      recordTry(db, { clientKey: 'v', featureId: bore, printId, word: 'rattles', state: 'cured' }),
  ],
  [
    'another drawn size',
    ({ db, jobId, bore }) =>
      changeFeature(db, jobId, bore, {
        name: 'Bore',
        kind: BORE,
        targetMm: 9.56,
        lowerDeviationMm: -0.08,
        upperDeviationMm: 0.08,
        mateName: 'sleeve',
        mateMm: 9.47,
        mateU_mm: 0.01,
        drawnMm: 9.6,
        revision: queries.findJob(db, jobId)!.revision,
      }),
  ],
  [
    'a mate measured anew',
    ({ db, jobId, bore }) =>
      wishFor(db, jobId, bore, {
        wish: 'slide',
        ruin: 'none',
        coatMm: 0,
        mate: { ...MATE, sizeMm: 9.44, u_mm: 0.005 },
      }),
  ],
  [
    'the shrink of its resin',
    ({ db, profileId }) =>
      keepQuote(db, queries.findProfile(db, profileId)!.resin.id, {
        property: 'linearShrink',
        value: 0.006,
        condition: 'cured',
        source: 'datasheet',
      }),
  ],
  [
    'readings from a file',
    ({ db, jobId }) =>
      importReadings(
        db,
        jobId,
        exportReadings(db, jobId).replace(',reading_id', ',who').replace('9.48', '9.47'),
      ),
  ],
];

describe('a signature follows its evidence', () => {
  test.each(CHANGES)('%s: the newest signature is the one that would be made anew', (_what, change) => {
    const bench = learningBench();
    const { db, profileId } = bench;
    const before = newestSignature(db, profileId);
    const answer = change(bench) as { ok: boolean };
    expect(answer.ok).toBe(true);
    const after = newestSignature(db, profileId);
    expect(after).not.toBe(before);
    expect(after.report).toEqual(anew(db, profileId));
  });

  test('what is no evidence leaves it as it is, and asking for it writes nothing', () => {
    const { db, jobId, profileId } = learningBench();
    const key = keyOf(db, profileId);
    const kept = db.select().from(tables.signatures).all();
    const { revision } = queries.findJob(db, jobId)!;
    expectOk(changeNeed(db, jobId, { ...BLANK_NEED, need: 'other words', profileId, revision }));
    const learned = newestSignature(db, profileId);
    expect(newestSignature(db, profileId)).toBe(learned);
    expect(keyOf(db, profileId)).toBe(key);
    expect(db.select().from(tables.signatures).all()).toEqual(kept);
  });

  test('each change of the evidence is kept once in the history of signatures', () => {
    const { db, bore, profileId, reading } = learningBench();
    const count = () => db.select().from(tables.signatures).all().length;
    const before = count();
    expectOk(recordReading(db, reading(bore, 9.5, 'same')));
    expect(count()).toBe(before + 1);
    expectOk(recordReading(db, reading(bore, 9.5, 'same')));
    expect(count()).toBe(before + 1);
    const newest = db.select().from(tables.signatures).all().at(-1)!;
    expect(newest.evidenceKey).toBe(keyOf(db, profileId));
    expect(newest.readingCount).toBe(6);
  });

  test('a reading is answered before the signature learned of it, which is kept later', () => {
    const { db, bore, profileId, reading } = learningBench();
    const kept = () => db.select().from(tables.signatures).all();
    const before = kept().length;
    const waiting: (() => void)[] = [];
    for (const mm of [9.48, 9.49])
      expectOk(recordReading(db, reading(bore, mm), (work) => waiting.push(work)));
    expect(kept()).toHaveLength(before);
    waiting.forEach((work) => work());
    expect(kept()).toHaveLength(before + 1);
    expect(kept().at(-1)!.evidenceKey).toBe(keyOf(db, profileId));
  });

  test('readings of one sitting are kept all or none, and learned from together', () => {
    const { db, bore, width, profileId, reading } = learningBench();
    const rows = () => db.select().from(tables.readings).all().length;
    const history = () => db.select().from(tables.signatures).all().length;
    const [readings, kept, key] = [rows(), history(), keyOf(db, profileId)];
    const refused = recordReadings(db, [reading(bore, 9.49), { ...reading(width, -1), confirmed: true }]);
    expect(refused).toMatchObject({ ok: false, issue: { code: 'doubt', doubt: { code: 'notPositive' } } });
    expect([rows(), history(), keyOf(db, profileId)]).toEqual([readings, kept, key]);
    expectOk(recordReadings(db, [reading(bore, 9.49), reading(width, 19.97)]));
    expect([rows(), history()]).toEqual([readings + 2, kept + 1]);
    expect(newestSignature(db, profileId).readingCount).toBe(readings + 2);
  });

  test('pages and route handlers, bundled apart, make a signature once between them', async () => {
    const { db, profileId } = learningBench();
    const learned = newestSignature(db, profileId);
    jest.resetModules();
    const apart = await import('@/subjects/signature');
    expect(apart.newestSignature).not.toBe(newestSignature);
    expect(apart.newestSignature(db, profileId)).toBe(learned);
  });

  test('a change that was undone leaves no trace in what is remembered', () => {
    const { db, bore, profileId, printId, reading, sessionId } = learningBench();
    const { report } = newestSignature(db, profileId);
    expect(() =>
      db.transaction((tx) => {
        tx.insert(tables.readings)
          .values({ ...reading(bore, 9.9), printId, sessionId, takenAt: new Date() })
          .run();
        expectOk(recordReading(tx, reading(bore, 9.9)));
        newestSignature(tx, profileId);
        throw new Error('power cut');
      }),
    ).toThrow('power cut');
    expect(newestSignature(db, profileId).report).toEqual(report);
    expect(anew(db, profileId)).toEqual(report);
  });
});
