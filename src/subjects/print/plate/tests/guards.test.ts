import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { createJob } from '@/subjects/job/jobs';
import { addBottle, addResin } from '@/subjects/resin/shelf';
import { benchWithPlate, openChecklist, OPEN_HOUSE } from '@/testing/plate';
import { printed } from '@/testing/printed';
import {
  endRun,
  hearPrinter,
  keepWeighing,
  pourResin,
  putPlateAway,
  setCopies,
  startRun,
  viewRun,
} from '../index';
import { describePlateIssue, type PlateIssue, vatForm } from '../shared';

type Plate = ReturnType<typeof benchWithPlate>;
const codeOf = (result: { ok: boolean; issue?: PlateIssue }) => result.issue?.code;
const HOUR_MS = 3_600_000;

describe('what a page that was tampered with asks of a plate', () => {
  test('copies of an attempt that does not lie there are refused', () => {
    const plate = benchWithPlate();
    const { db, runId, profileId } = plate;
    const jobId = createJob(db, 'Another', profileId);
    const { id } = db
      .insert(tables.attempts)
      .values({ jobId, number: 1, profileId, createdAt: new Date() })
      .returning()
      .get();
    expect(codeOf(setCopies(db, runId, { attemptId: id, copies: 3, gapMm: 2 }))).toBe('gone');
    expect(codeOf(setCopies(db, runId, { attemptId: 999, copies: 3, gapMm: 2 }))).toBe('gone');
    expect(queries.listPieces(db, runId)).toHaveLength(2);
  });

  const pour = (plate: Plate, bottleId: number) =>
    pourResin(plate.db, plate.runId, { clientKey: crypto.randomUUID(), bottleId, ml: 10 });
  const bottleOf = (db: Db, resinId: number, batch: string) => {
    expectOk(addBottle(db, resinId, { batch, openedOn: '', fullMl: 500, leftMl: 400 }));
    return db.select().from(tables.bottles).all().at(-1)!;
  };

  test('a bottle of another resin, one that was thrown away, or none at all is not poured from', () => {
    const plate = benchWithPlate();
    const { db } = plate;
    const other = bottleOf(db, expectOk(addResin(db, 'Slate General', 'general')), 'S-1');
    const refused = pour(plate, other.id);
    expect(codeOf(refused)).toBe('otherResin');
    expect(refused.ok ? '' : describePlateIssue(refused.issue)).toContain('S-1');
    expect(codeOf(pour(plate, 999))).toBe('gone');
    const own = bottleOf(db, queries.findProfile(db, plate.profileId)!.resin.id, 'O-1');
    expectOk(pour(plate, own.id));
    db.update(tables.bottles).set({ removedAt: new Date() }).run();
    expect(codeOf(pour(plate, own.id))).toBe('gone');
    expect(db.select().from(tables.pours).all()).toHaveLength(1);
  });

  test.each([
    [1, 1e15],
    [1e-12, 5],
    [10, 101],
  ])('parts of %d and supports of %d are two numbers of which one is wrong', (parts, supports) => {
    const plate = benchWithPlate();
    printed(plate);
    expect(codeOf(keepWeighing(plate.db, plate.runId, { parts, supports, unit: 'g' }))).toBe(
      'tooManySupports',
    );
    expectOk(keepWeighing(plate.db, plate.runId, { parts: 10, supports: 100, unit: 'g' }));
  });

  test('a vat whose upper mark is not above the lower is told so at that mark', () => {
    const marks = { capacityMl: '200', floorMl: '25', by: 'marks', sharePercent: '50' };
    const read = vatForm.safeParse({ ...marks, lowMl: '150', highMl: '50' });
    expect(read.error?.issues[0]).toMatchObject({ path: ['highMl'] });
    expect(vatForm.safeParse({ ...marks, lowMl: '50', highMl: '150' }).success).toBe(true);
  });
});

describe('a clock that was set', () => {
  const DONE = { outcome: 'done', isSeen: true, reason: '', isUsable: true } as const;

  /** A plate that was started by a clock that was so many hours ahead (or behind, if below zero) of now. */
  function startedBy(aheadHours: number) {
    const plate = benchWithPlate();
    openChecklist(plate.db, plate.runId);
    const now = new Date(Date.now() + aheadHours * HOUR_MS);
    expectOk(startRun(plate.db, plate.runId, { house: OPEN_HOUSE, now }));
    return plate;
  }

  test.each([1, 24 * 40, -1, -24 * 40])('%d h at the start keeps nobody from ending the print', (ahead) => {
    const { db, runId } = startedBy(ahead);
    expect(() => viewRun(db, runId, OPEN_HOUSE)).not.toThrow();
    expect(() => hearPrinter(db, runId)).not.toThrow();
    if (queries.findRun(db, runId)!.endedAt === null)
      expectOk(endRun(db, runId, { ...DONE, endedAt: new Date() }));
    const run = queries.findRun(db, runId)!;
    expect(run).toMatchObject({ outcome: 'done', isClockChanged: ahead > 0 });
    expect(run.endedAt!.getTime()).toBeGreaterThanOrEqual(run.startedAt!.getTime());
    if (ahead > 0) expect(run.isTimed).toBe(false);
    expect(queries.listPieces(db, runId).every(({ print }) => print !== null)).toBe(true);
  });

  test.each([1, 24 * 40, -1, -24 * 40])('%d h at the start keeps nobody from stopping it', (ahead) => {
    const { db, runId } = startedBy(ahead);
    const stop = { outcome: 'stopped', isSeen: false, layer: 20, reason: 'smell', isUsable: false } as const;
    expectOk(endRun(db, runId, { ...stop, endedAt: new Date() }));
    expect(queries.findRun(db, runId)).toMatchObject({ outcome: 'stopped', stoppedLayer: 20 });
  });

  test('a time of the clock that lies before the start is refused where the clock was not set', () => {
    const { db, runId } = startedBy(-2);
    const early = { ...DONE, endedAt: new Date(Date.now() - 3 * HOUR_MS) };
    expect(codeOf(endRun(db, runId, early))).toBe('endBeforeStart');
    const late = { ...DONE, endedAt: new Date(Date.now() + HOUR_MS) };
    expect(codeOf(endRun(db, runId, late))).toBe('endToCome');
  });

  test('a plate that waits is taken away whatever the clock says', () => {
    const plate = benchWithPlate();
    plate.db
      .update(tables.runs)
      .set({ createdAt: new Date(Date.now() + 960 * HOUR_MS) })
      .run();
    expectOk(putPlateAway(plate.db, plate.runId));
  });
});
