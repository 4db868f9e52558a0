import { describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { FAILURE_KINDS, TESTS } from '@/core/log';
import { drawStory, lookAtPiece, showsTest, TROUBLE_NAMES } from '@/core/simulated';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import { setTrouble } from '@/subjects/simulated';
import { benchWithPlate, OPEN_HOUSE } from '@/testing/plate';
import { printed, printedAgain } from '@/testing/printed';
import { keepCause, noteSimulated, testSimulated, viewCase } from '../index';

function simulatedBench() {
  const plate = benchWithPlate();
  const { db, printerId } = plate;
  db.update(tables.printers).set({ simulatedSeed: 7 }).where(eq(tables.printers.id, printerId)).run();
  const trouble = () =>
    db.select().from(tables.printers).where(eq(tables.printers.id, printerId)).get()!.trouble;
  return { ...plate, trouble };
}

describe('trouble of a simulated printer', () => {
  test('nothing ails it: everything came out well', () => {
    const { db, ...plate } = simulatedBench();
    const runId = printed({ db, ...plate });
    expectOk(noteSimulated(db, runId));
    expect(queries.findRun(db, runId)!.wellAt).not.toBeNull();
    expect(viewCase(db, runId, OPEN_HOUSE)).toBeUndefined();
  });

  test('what ails it shows on its plates; a wrong cause does not help, the right one does', () => {
    const plate = simulatedBench();
    const { db, printerId, trouble } = plate;
    expect(setTrouble(db, printerId, 'axis', 11)).toBe(true);
    const runId = printed(plate, plate.runId, 9);
    expectOk(noteSimulated(db, runId));
    // Tapped again, nothing is noted twice.
    expectOk(noteSimulated(db, runId));
    const { failures } = viewCase(db, runId, OPEN_HOUSE)!;
    expect(failures.length).toBeGreaterThan(0);
    expect(failures.length).toBeLessThanOrEqual(2);
    for (const { layer, pieceId } of failures) {
      expect(layer).toBeGreaterThanOrEqual(1);
      expect(layer).toBeLessThanOrEqual(200);
      expect(pieceId).not.toBeNull();
    }
    expectOk(testSimulated(db, runId, 'imageCheck'));
    expect(
      viewCase(db, runId, OPEN_HOUSE)!.tests.find(({ name }) => name === 'imageCheck')!.outcome,
    ).toBeDefined();
    expectOk(keepCause(db, runId, 'exposure'));
    expect(trouble()).not.toBeNull();
    expectOk(keepCause(db, runId, 'axis'));
    expect(trouble()).toBeNull();
    const next = printedAgain(plate, 1);
    expectOk(noteSimulated(db, next));
    expect(queries.findRun(db, next)!.wellAt).not.toBeNull();
  });

  test('a hidden one is drawn, a real printer has none', () => {
    const { db, printerId, trouble } = simulatedBench();
    setTrouble(db, printerId, 'hidden', 5);
    expect(trouble()).toEqual({ seed: 5, trouble: drawStory(5).trouble, isHidden: true });
    setTrouble(db, printerId, 'none', 5);
    expect(trouble()).toBeNull();
    const real = benchWithPlate();
    real.db.update(tables.printers).set({ simulatedSeed: null }).run();
    expect(setTrouble(real.db, real.printerId, 'film', 5)).toBe(false);
    const runId = printed(real);
    expect(noteSimulated(real.db, runId)).toMatchObject({ ok: false, issue: { code: 'gone' } });
    expect(testSimulated(real.db, runId, 'imageCheck').ok).toBe(false);
  });

  test('every trouble fails some pieces of a plate, in a kind and at a layer that there are; a spot only near it', () => {
    for (const trouble of TROUBLE_NAMES) {
      const story = drawStory(3, trouble);
      const pieces = Array.from({ length: 60 }, (_, i) => {
        const plateMm = [((i % 10) - 4.5) * 12, (Math.floor(i / 10) - 2.5) * 12] as const;
        const ask = {
          key: `${i}`,
          plateMm,
          halfPlateMm: [60, 34],
          sizeMm: [20, 20],
          isWeakFile: true,
          layers: 300,
        } as const;
        return { plateMm, failure: lookAtPiece(story, ask) };
      });
      const failed = pieces.filter(({ failure }) => failure !== undefined);
      expect({ trouble, some: failed.length > 0 }).toEqual({ trouble, some: true });
      for (const { failure } of failed) {
        expect(FAILURE_KINDS).toContain(failure!.kind);
        expect(failure!.layer).toBeGreaterThanOrEqual(1);
        expect(failure!.layer).toBeLessThanOrEqual(300);
        for (const mm of failure!.partMm) expect(Math.abs(mm)).toBeLessThanOrEqual(10);
      }
    }
    const film = drawStory(3, 'film');
    const far = {
      plateMm: [-film.spotMm[0], -film.spotMm[1]],
      halfPlateMm: [60, 34],
      sizeMm: [20, 20],
    } as const;
    const lost = Array.from({ length: 50 }, (_, i) =>
      lookAtPiece(film, { ...far, key: `${i}`, isWeakFile: true, layers: 300 }),
    ).filter((failure) => failure !== undefined);
    expect(lost.length).toBeLessThan(5);
  });

  test('knows every test by its name, and shows the same when it is made again', () => {
    for (const name of TESTS) {
      const story = drawStory(3, 'panel');
      expect(showsTest(story, name)).toBeDefined();
      expect(showsTest(story, name)).toBe(showsTest(story, name));
    }
    expect(showsTest(drawStory(3), 'none of them')).toBeUndefined();
    const shown = Array.from({ length: 100 }, (_, seed) => showsTest(drawStory(seed, 'panel'), 'imageCheck'));
    expect(shown.filter(Boolean).length).toBeGreaterThan(85);
  });
});
