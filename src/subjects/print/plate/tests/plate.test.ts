import { CHECKLIST_KEYS, checklistQuestion } from '@/core/print/checklist';
import { describe, expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import { createJob } from '@/subjects/job/jobs';
import { loadVat } from '@/subjects/resin/shelf';
import { tellSimulated } from '@/subjects/simulated';
import { benchWithPlate, giveLayers, openChecklist, OPEN_HOUSE } from '@/testing/plate';
import {
  answerChecklist,
  arrangePlate,
  endRun,
  hearPrinter,
  keepLayers,
  keepVat,
  keepWeighing,
  layOnPlate,
  listOpenRuns,
  movePiece,
  pourResin,
  putPlateAway,
  setCopies,
  startRun,
  viewRun,
} from '../index';
import { describePlateIssue, type PlateIssue } from '../shared';

const house = OPEN_HOUSE;
const key = () => crypto.randomUUID();
type Plate = ReturnType<typeof benchWithPlate>;

const view = ({ db, runId }: Plate) => viewRun(db, runId, house)!;
const codeOf = (result: { ok: boolean; issue?: PlateIssue }) => result.issue?.code;

function started(plate: Plate, agoMs = 0): Plate {
  openChecklist(plate.db, plate.runId);
  const now = new Date(Date.now() - agoMs);
  expectOk(startRun(plate.db, plate.runId, { house, now }));
  return plate;
}

const done = { outcome: 'done', isSeen: true, reason: '', isUsable: true } as const;

/** A second job for the same printer and resin. */
function secondJob({ db, profileId }: Plate): number {
  const jobId = createJob(db, 'Ladder', profileId);
  db.insert(tables.attempts).values({ jobId, number: 1, profileId, createdAt: new Date() }).run();
  giveLayers(db, jobId, 400);
  return jobId;
}

describe('what lies on a plate', () => {
  test('copies of an attempt are packed apart, and more of another job beside them', () => {
    const plate = benchWithPlate({ copies: 2 });
    expectOk(layOnPlate(plate.db, secondJob(plate), { runId: plate.runId, copies: 1, gapMm: 2 }));
    const { items, placeIssues, forecast } = view(plate);
    expect(items.map(({ job, pieces }) => [job.name, pieces.length])).toEqual([
      ['Bushing', 2],
      ['Ladder', 1],
    ]);
    expect(placeIssues.size).toBe(0);
    // Its height is that of the tallest, whatever the count.
    expect(forecast!.layers).toBe(400);
  });

  test('a piece put on another is said; arranging puts it right', () => {
    const plate = benchWithPlate();
    const [first, second] = view(plate).items[0].pieces;
    const { xMm, yMm, isTurned } = second;
    expectOk(movePiece(plate.db, plate.runId, { pieceId: first.id, xMm: xMm + 1, yMm, isTurned }));
    expect([...view(plate).placeIssues.values()]).toEqual(['tooNear', 'tooNear']);
    openChecklist(plate.db, plate.runId);
    expect(codeOf(startRun(plate.db, plate.runId, { house }))).toBe('badPlaces');
    expectOk(arrangePlate(plate.db, plate.runId, 2));
    expect(view(plate).placeIssues.size).toBe(0);
  });

  test('no copy takes a job off; a thousand are refused', () => {
    const plate = benchWithPlate();
    const { attemptId } = view(plate).items[0];
    expect(codeOf(setCopies(plate.db, plate.runId, { attemptId, copies: 1000, gapMm: 2 }))).toBe('copies');
    expectOk(setCopies(plate.db, plate.runId, { attemptId, copies: 0, gapMm: 2 }));
    expect(view(plate).items).toEqual([]);
    expect(codeOf(startRun(plate.db, plate.runId, { house }))).toBe('empty');
  });

  test('a hollow part is another part to read; solid again it is the old one', () => {
    const plate = benchWithPlate({ copies: 1 });
    const { db, runId } = plate;
    const [{ attemptId, part }] = view(plate).items;
    const solidMl = view(plate).forecast!.resinMl;
    expectOk(setCopies(db, runId, { attemptId, copies: 2, wallMm: 2, gapMm: 2 }));
    const [item] = view(plate).items;
    expect([item.wallMm, item.layers, item.pieces.length]).toEqual([2, undefined, 2]);
    expect(item.part!.key).not.toBe(part!.key);
    const areasMm2 = new Array<number>(200).fill(80);
    const read = { sizeMm: [20, 10, 10], volumeMm3: 800, surfaceMm2: 1000 } as const;
    expectOk(keepLayers(db, { part: item.part!.key, layerMm: 0.05, areasMm2, ...read }));
    expect(view(plate).forecast!.resinMl).toBeCloseTo(2 * 0.4 * solidMl, 6);
    const display = view(plate).gate!.find(({ key }) => key === 'display')!;
    expect(display.text).toContain('hollow with a 2 mm wall');
    expectOk(setCopies(db, runId, { attemptId, copies: 1, gapMm: 2 }));
    expect(view(plate).forecast!.resinMl).toBeCloseTo(solidMl, 6);
  });

  test('a plate that was cleared is gone; one that prints stays as it is', () => {
    const away = benchWithPlate();
    expectOk(putPlateAway(away.db, away.runId));
    expect(viewRun(away.db, away.runId, house)).toBeUndefined();
    const plate = started(benchWithPlate());
    expect(codeOf(putPlateAway(plate.db, plate.runId))).toBe('started');
  });
});

describe('hours and resin', () => {
  test('more copies take no longer and more resin; the printer’s own pace narrows the end', () => {
    const [one, four] = [1, 4].map((copies) => view(benchWithPlate({ copies })).forecast!);
    expect(four.plannedS).toBe(one.plannedS);
    expect(four.resinMl).toBeCloseTo(4 * one.resinMl, 9);
    const plate = started(benchWithPlate(), 4_000_000);
    const startedAt = queries.findRun(plate.db, plate.runId)!.startedAt!;
    const endedAt = new Date(startedAt.getTime() + 1.1 * 1_780_000);
    expectOk(endRun(plate.db, plate.runId, { ...done, endedAt }));
    const runId = expectOk(layOnPlate(plate.db, plate.jobId, { copies: 2, gapMm: 2 }));
    const { finish, plannedS, timed } = viewRun(plate.db, runId, house)!.forecast!;
    expect(timed).toHaveLength(1);
    expect(finish.middleS / plannedS).toBeCloseTo(1.1, 1);
    expect(finish.lateS / finish.earlyS).toBeLessThan(1.2);
  });

  test('an end that cannot be that of the print does not count for the pace', () => {
    const plate = started(benchWithPlate(), 60_000);
    expectOk(endRun(plate.db, plate.runId, { ...done, endedAt: new Date() }));
    expect(queries.findRun(plate.db, plate.runId)).toMatchObject({ outcome: 'done', isTimed: false });
  });

  test('an end that nobody saw does not count for the pace', () => {
    const plate = started(benchWithPlate(), 4_000_000);
    expectOk(endRun(plate.db, plate.runId, { ...done, isSeen: false, endedAt: new Date() }));
    const runId = expectOk(layOnPlate(plate.db, plate.jobId, { copies: 1, gapMm: 2 }));
    expect(viewRun(plate.db, runId, house)!.forecast!.timed).toEqual([]);
  });

  test('a low vat asks for a pour; what is poured lowers the bottle and fills the vat', () => {
    const plate = benchWithPlate({ copies: 12, levelMl: 40 });
    const before = view(plate).forecast!.outlook;
    expect(before).toMatchObject({ plan: { topUps: [{ layer: expect.any(Number) }] } });
    const bottleId = plate.db
      .insert(tables.bottles)
      .values({ resinId: view(plate).row.resin.id, batch: 'lot 9', fullMl: 500, leftMl: 60 })
      .returning()
      .get().id;
    expect(codeOf(pourResin(plate.db, plate.runId, { clientKey: key(), bottleId, ml: 80 }))).toBe(
      'bottleShort',
    );
    expect(codeOf(pourResin(plate.db, plate.runId, { clientKey: key(), ml: 180 }))).toBe('tooMuch');
    const pour = { clientKey: key(), bottleId, ml: 50 };
    expectOk(pourResin(plate.db, plate.runId, pour));
    expectOk(pourResin(plate.db, plate.runId, pour));
    const { forecast, bottles } = view(plate);
    expect(forecast!.vat).toMatchObject({ levelMl: 90, lots: ['lot 9'] });
    expect(bottles[0].leftMl).toBe(10);
    expect(forecast!.outlook).toMatchObject({ plan: { topUps: [] } });
  });

  test('weighed supports replace the guess', () => {
    const plate = benchWithPlate();
    plate.db
      .update(tables.jobs)
      .set({ stance: { kind: 'supports', liftMm: 5 } })
      .run();
    const guess = view(plate).forecast!.supports!;
    for (let i = 0; i < 6; i++)
      expectOk(keepWeighing(plate.db, plate.runId, { supports: 8, parts: 10, unit: 'g' }));
    const { supports, resinMl } = view(plate).forecast!;
    // Weighed again the last one counts: one weighing of this run.
    expect(supports!.weighings).toBe(1);
    expect(Math.exp(supports!.share.ln)).toBeGreaterThan(0.6);
    expect(Math.exp(guess.share.ln)).toBeCloseTo(0.3, 12);
    expect(resinMl).toBeGreaterThan(0);
    expect(codeOf(keepWeighing(plate.db, plate.runId, { supports: 8, parts: 0, unit: 'g' }))).toBe(
      'nothingWeighed',
    );
  });

  test('a vat fuller than it holds is asked about', () => {
    const { db, printerId } = benchWithPlate();
    const look = { capacityMl: 200, floorMl: 25, read: { by: 'volume', ml: 260 } } as const;
    expect(codeOf(keepVat(db, printerId, look))).toBe('overfull');
  });
});

describe('the gate', () => {
  test('what is known stands answered, the rest is asked; one gesture answers it', () => {
    const plate = benchWithPlate();
    const stateOf = (name: string) => view(plate).gate!.find(({ key }) => key === name)!;
    expect(stateOf('enough').state).toBe('well');
    expect(stateOf('plateDry').state).toBe('open');
    // Its layers were not checked in Check: only a reason allows the start.
    expect(stateOf('checked')).toMatchObject({ state: 'open', isKnownBad: true });
    const result = startRun(plate.db, plate.runId, { house });
    expect(codeOf(result)).toBe('gateOpen');
    const asked = view(plate).gate!.filter(({ state, isKnownBad }) => state === 'open' && !isKnownBad);
    const keys = asked.map(({ key }) => key);
    expectOk(answerChecklist(plate.db, plate.runId, { keys, well: true, reason: '' }));
    expect(
      view(plate)
        .gate!.filter(({ state }) => state === 'open')
        .map(({ key }) => key),
    ).toEqual(['checked']);
    expect(
      codeOf(answerChecklist(plate.db, plate.runId, { keys: ['checked'], well: true, reason: '' })),
    ).toBeUndefined();
    expect(stateOf('checked').state).toBe('open');
    expect(
      codeOf(answerChecklist(plate.db, plate.runId, { keys: ['checked'], well: false, reason: ' ' })),
    ).toBe('noReason');
    expectOk(
      answerChecklist(plate.db, plate.runId, { keys: ['checked'], well: false, reason: 'printed before' }),
    );
    expectOk(startRun(plate.db, plate.runId, { house }));
  });

  test('a print that ends at night, or after a stopped one, asks more', () => {
    const plate = started(benchWithPlate());
    expectOk(
      endRun(plate.db, plate.runId, {
        outcome: 'stopped',
        endedAt: new Date(),
        isSeen: false,
        layer: 60,
        reason: 'came off',
        isUsable: false,
      }),
    );
    const runId = expectOk(layOnPlate(plate.db, plate.jobId, { copies: 1, gapMm: 2 }));
    const nobody = { ...house, run: { ...house.run, presence: Array.from({ length: 7 }, () => []) } };
    const gate = viewRun(plate.db, runId, nobody)!.gate!;
    const textOf = (name: string) => gate.find(({ key }) => key === name)!.text;
    expect(textOf('nothingInVat')).toContain('was stopped (came off)');
    expect(textOf('present')).toContain('when nobody is present');
    const nights = {
      ...house,
      run: { ...house.run, presence: house.run.presence.map(() => [{ fromMin: 0, toMin: 1 }]) },
    };
    const present = viewRun(plate.db, runId, nights)!.gate!.find(({ key }) => key === 'present')!;
    expect(present.text).toMatch(/Expected loss: \d+\.\d\d if you start now/);
  });

  test('a vat with another resin, a cold room: known, and only a reason opens it', () => {
    const plate = benchWithPlate();
    const other = plate.db.insert(tables.resins).values({ name: 'Slate General' }).returning().get();
    plate.db.update(tables.printers).set({ vatResinId: other.id }).run();
    const resin = view(plate).gate!.find(({ key }) => key === 'resin')!;
    expect(resin).toMatchObject({ state: 'open', isKnownBad: true });
    expect(resin.text).toContain('The vat holds Slate General, but the print needs Otter Tough');
    // What stands in it is no help for this print, and is gone once the vat is noted as changed.
    const { forecast, fillMl } = view(plate);
    expect([forecast!.vatHolds, forecast!.vat!.levelMl]).toEqual(['Slate General', 0]);
    expect(fillMl).toBeGreaterThan(forecast!.resinMl);
    loadVat(plate.db, plate.printerId, view(plate).row.resin.id, '2026-11-27');
    expect(view(plate).forecast!.vat!.levelMl).toBe(0);
    expect(view(plate).forecast!.vatHolds).toBeUndefined();
  });

  test('a room that an open window would cool too far is asked about, and repellent for minutes on the film', () => {
    const plate = benchWithPlate();
    const { sheet } = queries.findResin(plate.db, view(plate).row.resin.id)!.resin;
    const quote = {
      property: 'leastRoom_C',
      value: 20,
      condition: 'cured',
      source: 'datasheet',
      at: '',
    } as const;
    const quotes = [...sheet.quotes, quote];
    plate.db
      .update(tables.resins)
      .set({ sheet: { ...sheet, quotes } })
      .run();
    const known = (air: 'window' | 'filter') => {
      const schools = { ...house.schools, air, filmTreatment: 'repellent' } as const;
      const { gate } = viewRun(plate.db, plate.runId, { ...house, roomC: 21, schools })!;
      const film = gate!.find(({ key }) => key === 'film')!;
      expect(film.text).toContain('Wipe it with repellent');
      const room = gate!.find(({ key }) => key === 'room')!;
      expect(room.state).toBe(air === 'window' ? 'open' : 'well');
      return [room.isKnownBad, room.text];
    };
    expect(known('filter')).toEqual([false, 'Now 21 °C; at least 20 °C is needed.']);
    expect(known('window')).toEqual([
      false,
      'Now 21 °C; at least 20 °C is needed. An open window cools the room by about 2 °C. Close the window during the print, or warm the room.',
    ]);
  });

  test('every question has its name and its words', () => {
    const gate = view(benchWithPlate()).gate!;
    for (const { text } of gate) expect(text).toMatch(/\w/);
    for (const name of CHECKLIST_KEYS) expect(checklistQuestion(name).name).toMatch(/^[A-Z]/);
  });
});

describe('a run on its printer', () => {
  test('its copies become prints that lay where they lay, of one run, the vat lower by what they took', () => {
    const plate = started(benchWithPlate({ copies: 3 }), 3_600_000);
    const { resinMl } = view(plate).forecast!;
    expectOk(endRun(plate.db, plate.runId, { ...done, endedAt: new Date() }));
    const after = view(plate);
    const prints = queries.listAttempts(plate.db, plate.jobId)[0].prints.slice(1);
    expect(prints.map(({ name, runId }) => [name, runId])).toEqual([
      ['A1.2-1', plate.runId],
      ['A1.2-2', plate.runId],
      ['A1.2-3', plate.runId],
    ]);
    expect(prints.map(({ placeXMm }) => placeXMm)).toEqual(after.items[0].pieces.map(({ xMm }) => xMm));
    expect(after.forecast!.vat!.levelMl).toBeCloseTo(150 - resinMl, 6);
  });

  test('a stopped one is kept with where and why, and makes prints only of what can be used', () => {
    const plate = started(benchWithPlate());
    const stop = { outcome: 'stopped', endedAt: new Date(), isSeen: false, reason: 'came off' } as const;
    expect(codeOf(endRun(plate.db, plate.runId, { ...stop, layer: 900, isUsable: false }))).toBe(
      'noSuchLayer',
    );
    expectOk(endRun(plate.db, plate.runId, { ...stop, layer: 60, isUsable: false }));
    expect(queries.findRun(plate.db, plate.runId)).toMatchObject({
      outcome: 'stopped',
      stoppedLayer: 60,
      endReason: 'came off',
    });
    expect(queries.listAttempts(plate.db, plate.jobId)[0].prints).toHaveLength(1);
    expect(codeOf(endRun(plate.db, plate.runId, { ...stop, isUsable: false }))).toBe('ended');
  });

  test('an end before the start or still to come is refused, nothing is lost', () => {
    const plate = started(benchWithPlate());
    const end = (ms: number) =>
      endRun(plate.db, plate.runId, { ...done, endedAt: new Date(Date.now() + ms) });
    expect(codeOf(end(-3_600_000))).toBe('endBeforeStart');
    expect(codeOf(end(3_600_000))).toBe('endToCome');
    expect(listOpenRuns(plate.db)).toHaveLength(1);
  });

  test('one printer prints one plate at a time', () => {
    const plate = started(benchWithPlate());
    const runId = expectOk(layOnPlate(plate.db, plate.jobId, { copies: 1, gapMm: 2 }));
    openChecklist(plate.db, runId);
    const again = startRun(plate.db, runId, { house });
    expect(codeOf(again)).toBe('busy');
  });

  test('the simulated printer is heard under way, says nothing for an hour, answers again, and stops', () => {
    const plate = started(benchWithPlate(), 600_000);
    const { db, runId, printerId } = plate;
    const now = new Date();
    const first = hearPrinter(db, runId, now);
    expect(first).toMatchObject({ code: 'report', report: { state: 'printing', layers: 200 } });
    expect(tellSimulated(db, printerId, 'silence', now)).toBe(true);
    expect(hearPrinter(db, runId, now)).toEqual({ code: 'silent', lastAt: now });
    expect(hearPrinter(db, runId, new Date(now.getTime() + 3_601_000)).code).toBe('report');
  });

  test('a print that the printer calls stopped waits for its reason; one that it calls done ends at its own time', () => {
    const stopped = started(benchWithPlate(), 600_000);
    expect(tellSimulated(stopped.db, stopped.printerId, 'stop', new Date())).toBe(true);
    expect(hearPrinter(stopped.db, stopped.runId)).toMatchObject({
      code: 'report',
      report: { state: 'stopped' },
    });
    expect(queries.findRun(stopped.db, stopped.runId)!.endedAt).toBeNull();
    const through = started(benchWithPlate(), 7_200_000);
    expect(hearPrinter(through.db, through.runId)).toMatchObject({
      code: 'report',
      report: { state: 'done' },
    });
    const run = queries.findRun(through.db, through.runId)!;
    expect(run).toMatchObject({ outcome: 'done', isTimed: true });
    const tookS = (run.endedAt!.getTime() - run.startedAt!.getTime()) / 1000;
    expect(tookS).toBeGreaterThan(1780 * 0.6);
    expect(tookS).toBeLessThan(1780 * 1.6);
  });

  test('every refusal has its sentence', () => {
    const issues: PlateIssue[] = [
      { code: 'gone' },
      { code: 'started' },
      { code: 'notStarted' },
      { code: 'ended' },
      { code: 'copies', most: 5 },
      { code: 'overtaken', job: 'Bushing', attempt: 2 },
      { code: 'otherProfile', job: 'Bushing' },
      { code: 'noLayers' },
      { code: 'empty' },
      { code: 'unread', job: 'Bushing' },
      { code: 'badPlaces', count: 2 },
      { code: 'tooTall', job: 'Bushing', heightMm: 170, roomMm: 150 },
      { code: 'gateOpen', questions: ['Plate dry'] },
      { code: 'busy', printer: 'Long Bench', runId: 1 },
      { code: 'noSuchLayer', layer: 9, layers: 5 },
      { code: 'endBeforeStart' },
      { code: 'endToCome' },
      { code: 'tooMuch', ml: 9, roomMl: 5 },
      { code: 'bottleShort', ml: 9, leftMl: 5 },
      { code: 'nothingWeighed' },
      { code: 'noReason' },
      { code: 'belowNothing' },
      { code: 'overfull', levelMl: 9, capacityMl: 5 },
      { code: 'floorAboveBrim', floorMl: 9, capacityMl: 5 },
    ];
    for (const issue of issues) expect(describePlateIssue(issue)).toMatch(/^[^A-Z].*[.]$|^[A-Z].*[.]$/);
  });
});
