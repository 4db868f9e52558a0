import { PRACTICES } from '@/core/workshop';
import { describe, expect, test } from '@jest/globals';
import { CLEARING_STEPS, clearingOf, type ClearingStep, isSoon } from '@/core/log';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import { changeProcess } from '@/subjects/job/jobs';
import { layOnPlate, viewRun } from '@/subjects/print/plate';
import { benchWithPlate, OPEN_HOUSE } from '@/testing/plate';
import { failed, printed } from '@/testing/printed';
import {
  answerClearing,
  maintenanceOf,
  listDueMaintenance,
  noteMaintenance,
  noteFailure,
  noteLookOver,
  noteWell,
  takeBackMaintenance,
  viewCase,
  viewClearing,
} from '../index';
import { type LogIssue } from '../shared';

const HOUR_MS = 3_600_000;

const codeOf = (result: { ok: boolean; issue?: LogIssue }) => result.issue?.code;

describe('care', () => {
  test('after a failure that can have left something in the vat the next gate is not green until it is cleared', () => {
    const plate = benchWithPlate();
    const { db, printerId } = plate;
    const runId = printed(plate);
    expectOk(noteFailure(db, runId, failed({ kind: 'stuckInVat' }), new Date(Date.now() - HOUR_MS / 2)));
    const next = expectOk(layOnPlate(db, plate.jobId, { copies: 1, gapMm: 2 }));
    const question = () => viewRun(db, next, OPEN_HOUSE)!.gate!.find(({ key }) => key === 'nothingInVat')!;
    expect(question().isKnownBad).toBe(true);
    expect(question().text).toContain(
      'may have left cured resin in the vat. Clear the vat, inspect film and plate, and record that it is clear.',
    );
    expect(listDueMaintenance(db, new Date(), OPEN_HOUSE)[0].due.map(({ kind }) => kind)).toContain(
      'clearVat',
    );
    expectOk(noteMaintenance(db, printerId, { kind: 'clearVat' }));
    expect(question().isKnownBad).toBe(false);
    expect(listDueMaintenance(db, new Date(), OPEN_HOUSE)).toEqual([]);
    // Tapped by a slip: it is due again.
    expect([...maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).undoable]).toEqual(['clearVat']);
    expectOk(takeBackMaintenance(db, printerId, 'clearVat'));
    expect(question().isKnownBad).toBe(true);
    expect(codeOf(takeBackMaintenance(db, printerId, 'clearVat'))).toBe('gone');
  });

  test('a vat is drained by the calendar only where the house does so', () => {
    const plate = benchWithPlate();
    const { db, printerId } = plate;
    printed(plate, plate.runId, 40 * 24);
    const drain = (vatAfter: 'leave' | 'calendar') =>
      maintenanceOf(db, printerId, new Date(), {
        ...OPEN_HOUSE,
        schools: { ...OPEN_HOUSE.schools, vatAfter },
      }).counts.find(({ kind }) => kind === 'drain')!;
    expect(drain('leave')).toMatchObject({ counted: 40, isDue: false });
    expect(drain('calendar')).toMatchObject({ counted: 40, allowed: 30, isDue: true });
  });

  test('is counted by what happened: layers on the film; a new film asks for a level', () => {
    const plate = benchWithPlate();
    const { db, printerId, profileId } = plate;
    printed(plate, plate.runId, 5);
    const countOf = (kind: string) =>
      maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).counts.find((each) => each.kind === kind)!;
    expect(countOf('film').counted).toBe(200);
    expect(countOf('washLiquid').counted).toBe(2);
    expectOk(noteMaintenance(db, printerId, { kind: 'level' }));
    expect(countOf('level').isDue).toBe(false);
    const change = { kinds: ['film'], at: new Date(), after: {}, note: '' } as const;
    expectOk(changeProcess(db, profileId, change));
    expect(countOf('film')).toMatchObject({ counted: 0, isDue: false });
    expect(countOf('level')).toMatchObject({ isDue: true, because: 'film' });
    expectOk(noteMaintenance(db, printerId, { kind: 'level' }, new Date(Date.now() + 1000)));
    expect(
      maintenanceOf(db, printerId, new Date(Date.now() + 2000), OPEN_HOUSE).counts.find(
        ({ kind }) => kind === 'level',
      )!.isDue,
    ).toBe(false);
    expect(maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).film.risk).toBeLessThan(0.05);
  });

  test('a new printer asks for its checks in its own log; nobody is reminded of them before it prints', () => {
    const { db, printerId } = benchWithPlate();
    const asked = () =>
      maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).counts.flatMap(({ kind, because }) =>
        because === 'printer' ? kind : [],
      );
    expect(asked().sort()).toEqual(['firstPiece', 'imageCheck', 'level']);
    expect(listDueMaintenance(db, new Date(), OPEN_HOUSE)).toEqual([]);
    expect(codeOf(noteMaintenance(db, printerId, { kind: 'imageCheck', isWell: false }))).toBe('noFollow');
    expectOk(
      noteMaintenance(db, printerId, { kind: 'imageCheck', isWell: false, note: 'two dead pixels, left' }),
    );
    expect(asked().sort()).toEqual(['firstPiece', 'level']);
    // A plate that is not level was looked at, and is still to be levelled.
    expectOk(noteMaintenance(db, printerId, { kind: 'level', isWell: false, note: 'left corner low' }));
    expect(asked().sort()).toEqual(['firstPiece', 'level']);
    const [, check] = maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).checks;
    expect(check).toMatchObject({ kind: 'imageCheck', isWell: false, note: 'two dead pixels, left' });
  });

  test('a film is due early where what it is likely to spoil costs more than a new one', () => {
    const plate = benchWithPlate();
    const { db, printerId } = plate;
    printed(plate, plate.runId, 5);
    const film = (care: Partial<typeof OPEN_HOUSE.care>) => {
      const house = { ...OPEN_HOUSE, care: { ...OPEN_HOUSE.care, ...care } };
      return maintenanceOf(db, printerId, new Date(), house).counts.find(({ kind }) => kind === 'film')!;
    };
    expect(film({})).toMatchObject({ counted: 200, isDue: false });
    expect(film({ filmLayers: 150 }).isDue).toBe(true);
    // 200 layers of 250: the risk is small, but such a film costs next to nothing.
    expect(film({ filmLayers: 250, filmCost: 0.1 }).isDue).toBe(true);
    expect(film({ filmLayers: 250, filmCost: 1000 }).isDue).toBe(false);
  });
});

describe('clearing after a failure', () => {
  test('step by step; with the last answer the vat is clear, and the look at the film counts as its test', () => {
    const plate = benchWithPlate();
    const { db, printerId } = plate;
    const runId = printed(plate);
    expect(viewClearing(db, printerId)).toBeUndefined();
    expectOk(noteFailure(db, runId, failed({ kind: 'stuckInVat' }), new Date(Date.now() - HOUR_MS / 2)));
    const before = viewCase(db, runId, OPEN_HOUSE)!.causes.find(({ cause }) => cause === 'film')!.chance;
    expect(viewClearing(db, printerId)!.answers.size).toBe(0);
    const answer = (step: ClearingStep, isWell = true, note = '') =>
      answerClearing(db, printerId, { step, isWell, note });
    expectOk(answer('solids'));
    expect(codeOf(answer('film', false))).toBe('noFollow');
    expectOk(answer('film', false, 'a dent in the middle, new film ordered'));
    expectOk(answer('plate'));
    expect(viewClearing(db, printerId)!.answers.get('film')).toMatchObject({ isWell: false });
    expectOk(answer('filter'));
    // All are answered, one of them not well: it is not clear.
    expect(viewClearing(db, printerId)!.answers.size).toBe(4);
    expectOk(answer('film'));
    expect(viewClearing(db, printerId)).toBeUndefined();
    expect(codeOf(answer('filter'))).toBe('gone');
    const { causes, tests } = viewCase(db, runId, OPEN_HOUSE)!;
    expect(causes.find(({ cause }) => cause === 'film')!.chance).toBeGreaterThan(before);
    // A film that is well since it was changed says nothing of the one that failed.
    expect(tests.find(({ name }) => name === 'filmToLight')?.outcome).toBe('dented');
    // After Undo, it is due again.
    expectOk(takeBackMaintenance(db, printerId, 'clearVat'));
    expect(viewClearing(db, printerId)!.answers.size).toBe(0);
  });

  test.each(CLEARING_STEPS)('%s has words for every way of a house, and a caution', (step) => {
    const ways = PRACTICES.clearVat.map((clearVat) => clearingOf(step).words({ clearVat }));
    for (const { title, how, well, amiss } of ways)
      for (const text of [title, how, well, amiss, clearingOf(step).caution]) expect(text).toMatch(/\w{3}/);
    expect(new Set(ways.map(({ how }) => how)).size).toBe(step === 'solids' ? 3 : 1);
  });
});

describe('a clock that was set', () => {
  const STEPS_H = [1, -1, 24 * 40, -24 * 40];

  test.each(STEPS_H)(
    'by %d h between a failure and its clearing: the vat counts as cleared all the same',
    (hours) => {
      const plate = benchWithPlate();
      const { db, printerId } = plate;
      const runId = printed(plate);
      expectOk(noteFailure(db, runId, failed({ kind: 'sheared' }), new Date(Date.now() + hours * HOUR_MS)));
      expect(viewClearing(db, printerId)?.runId).toBe(runId);
      for (const step of CLEARING_STEPS)
        expectOk(answerClearing(db, printerId, { step, isWell: true, note: '' }, new Date()));
      expect(viewClearing(db, printerId)).toBeUndefined();
      // After Undo, all of it is due again.
      expectOk(takeBackMaintenance(db, printerId, 'clearVat'));
      expect(viewClearing(db, printerId)?.answers.size).toBe(0);
    },
  );

  test.each(STEPS_H)('by %d h before a failure: what was cleared earlier does not count for it', (hours) => {
    const plate = benchWithPlate();
    const { db, printerId } = plate;
    const runId = printed(plate);
    expectOk(noteMaintenance(db, printerId, { kind: 'clearVat' }, new Date(Date.now() + hours * HOUR_MS)));
    expectOk(noteFailure(db, runId, failed({ kind: 'sheared' }), new Date()));
    expect(viewClearing(db, printerId)?.runId).toBe(runId);
  });
});

test('a failure that is noted again by its key leaves the story as it was, and what was found well since', () => {
  const plate = benchWithPlate();
  const { db } = plate;
  const runId = printed(plate);
  const noted = failed({ kind: 'markOnFace' });
  expectOk(noteFailure(db, runId, noted));
  expectOk(noteWell(db, runId));
  const lines = () => db.select().from(tables.ledgerLines).all().length;
  const before = lines();
  expectOk(noteFailure(db, runId, noted));
  expect([lines(), queries.findRun(db, runId)!.wellAt !== null]).toEqual([before, true]);
});

describe('a look over the printer', () => {
  test('takes along what was due, and says what was not well', () => {
    const plate = benchWithPlate();
    const { db, printerId } = plate;
    printed(plate, plate.runId, 5);
    const count = (kind: string) =>
      maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).counts.find((each) => each.kind === kind)!;
    expect(count('filter').counted).toBe(1);
    expect(codeOf(noteLookOver(db, printerId, { done: [], amiss: ['panel'], note: '' }))).toBe('noFollow');
    expectOk(noteLookOver(db, printerId, { done: ['filter'], amiss: ['panel'], note: 'a drop, wiped off' }));
    expect(count('filter').counted).toBe(0);
    expect(count('lookOver').counted).toBe(0);
    const [last] = queries.listCareDone(db, printerId);
    expect(last).toMatchObject({ kind: 'lookOver', isWell: false });
    expect(maintenanceOf(db, printerId, new Date(), OPEN_HOUSE).lastLook).toMatchObject({
      isWell: false,
      note: last.note,
    });
    expect(last.note).toBe('not OK: glass clean, no drop on it: a drop, wiped off');
    expect(codeOf(noteLookOver(db, 99, { done: [], amiss: [], note: '' }))).toBe('gone');
  });

  test('what is soon due is looked at along with what is due', () => {
    const of = (counted: number, allowed?: number) =>
      isSoon({ kind: 'filter', counted, allowed, isDue: false });
    expect([of(15, 20), of(16, 20), of(99)]).toEqual([false, true, false]);
  });
});
