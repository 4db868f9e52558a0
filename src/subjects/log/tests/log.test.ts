import { describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import {
  causeOf,
  CAUSES,
  describeEvidence,
  EVIDENCE,
  evidenceLine,
  FAILURE_KINDS,
  FAILURE_WORDS,
  MAINTENANCE_KINDS,
  maintenanceOf,
  outcomeWords,
  TEST_TABLE,
  TESTS,
} from '@/core/log';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import { changeProcess } from '@/subjects/job/jobs';
import { benchWithPlate, OPEN_HOUSE } from '@/testing/plate';
import { failed, printed, printedAgain } from '@/testing/printed';
import {
  keepCause,
  keepTest,
  noteMaintenance,
  noteFailure,
  noteWell,
  takeBackFailure,
  viewCase,
  viewLog,
} from '../index';
import {
  describeLayer,
  describeLogEntry,
  describeLogIssue,
  failureInput,
  type FailureNoted,
  type LogIssue,
  readLayer,
} from '../shared';

const HOUR_MS = 3_600_000;

const piecesOf = ({ db }: ReturnType<typeof benchWithPlate>, runId: number) =>
  queries.listPieces(db, runId).map(({ piece }) => piece.id);

const codeOf = (result: { ok: boolean; issue?: LogIssue }) => result.issue?.code;

describe('noting a failure', () => {
  test('of one piece, with its place and layer; it stands in the ledger, and can be taken back', () => {
    const plate = benchWithPlate();
    const runId = printed(plate);
    const [first] = piecesOf(plate, runId);
    expect(viewCase(plate.db, runId, OPEN_HOUSE)).toBeUndefined();
    expectOk(noteFailure(plate.db, runId, failed({ pieceIds: [first], layer: 120, partMm: [3, -2] })));
    const { failures, causes, tests, named, loss } = viewCase(plate.db, runId, OPEN_HOUSE)!;
    // One piece of two, an hour on the printer.
    expect(loss!.hours).toBeCloseTo(0.5, 3);
    expect(failures).toMatchObject([{ pieceId: first, kind: 'sheared', layer: 120, partXMm: 3 }]);
    expect(causes).toHaveLength(CAUSES.length);
    expect(causes.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    expect(tests).toHaveLength(TESTS.length);
    expect(named).toBeUndefined();
    const entry = queries.listLedger(plate.db, plate.jobId)[0].entry as never;
    expect(describeLogEntry(entry)).toEqual({ title: 'Failed: broke off', detail: 'at layer 120' });
    expectOk(takeBackFailure(plate.db, runId, failures[0].id));
    expect(viewCase(plate.db, runId, OPEN_HOUSE)).toBeUndefined();
    expect(codeOf(takeBackFailure(plate.db, runId, failures[0].id))).toBe('gone');
  });

  test('a tap sent twice notes once; two people who note the same piece make one failed piece', () => {
    const plate = benchWithPlate();
    const runId = printed(plate);
    const [first] = piecesOf(plate, runId);
    const noted = failed({ pieceIds: [first] });
    expectOk(noteFailure(plate.db, runId, noted));
    expectOk(noteFailure(plate.db, runId, noted));
    expect(viewCase(plate.db, runId, OPEN_HOUSE)!.failures).toHaveLength(1);
    expectOk(noteFailure(plate.db, runId, failed({ pieceIds: [first], kind: 'stuckInVat' })));
    expect(viewCase(plate.db, runId, OPEN_HOUSE)!.failures).toHaveLength(2);
    expect(viewLog(plate.db, plate.printerId, OPEN_HOUSE)!.runs[0]).toMatchObject({ pieces: 2, failed: 1 });
  });

  test('all well at one tap, until something is noted after all', () => {
    const plate = benchWithPlate();
    const runId = printed(plate);
    expectOk(noteWell(plate.db, runId));
    expect(viewLog(plate.db, plate.printerId, OPEN_HOUSE)!.runs[0].isLookedAt).toBe(true);
    expectOk(noteFailure(plate.db, runId, failed()));
    expect(queries.findRun(plate.db, runId)!.wellAt).toBeNull();
    expect(viewLog(plate.db, plate.printerId, OPEN_HOUSE)!.runs[0].failed).toBe(2);
  });

  test.each<[string, (runId: number) => FailureNoted, string]>([
    [
      'a layer above the part',
      () => failed({ layer: 9999 }),
      'this plate has 200 layers, so layer 9999 does not exist',
    ],
    ['layer 0', () => failed({ layer: 0 }), 'layer 0 does not exist'],
    [
      'a piece of another plate',
      () => failed({ pieceIds: [999] }),
      'that part was on another plate. Reload the page.',
    ],
  ])('%s is refused', (_, noted, says) => {
    const plate = benchWithPlate();
    const runId = printed(plate);
    const result = noteFailure(plate.db, runId, noted(runId));
    expect(result.ok ? '' : describeLogIssue(result.issue)).toContain(says);
    expect(viewCase(plate.db, runId, OPEN_HOUSE)).toBeUndefined();
  });

  test('of a print that has not ended, or that is none, nothing is noted', () => {
    const plate = benchWithPlate();
    expect(codeOf(noteFailure(plate.db, plate.runId, failed()))).toBe('notEnded');
    expect(codeOf(noteWell(plate.db, 99))).toBe('gone');
    expect(codeOf(keepTest(plate.db, plate.runId, { test: 'imageCheck', outcome: 'even' }))).toBe(
      'noFailure',
    );
    expect(codeOf(keepCause(plate.db, plate.runId, 'film'))).toBe('noFailure');
    expect(codeOf(noteMaintenance(plate.db, 99, { kind: 'film' }))).toBe('gone');
    expect(viewLog(plate.db, 99, OPEN_HOUSE)).toBeUndefined();
    expect(failureInput.safeParse(failed({ partMm: [NaN, 0] })).success).toBe(false);
  });
});

describe('why it failed', () => {
  test('a test that was made moves the chances, and made again the newer outcome counts', () => {
    const plate = benchWithPlate();
    const runId = printed(plate);
    expectOk(noteFailure(plate.db, runId, failed({ kind: 'missingRegion' })));
    const chanceOf = (cause: string) =>
      viewCase(plate.db, runId, OPEN_HOUSE)!.causes.find((each) => each.cause === cause)!.chance;
    const before = chanceOf('panel');
    expectOk(keepTest(plate.db, runId, { test: 'imageCheck', outcome: 'uneven' }));
    expect(chanceOf('panel')).toBeGreaterThan(3 * before);
    expectOk(keepTest(plate.db, runId, { test: 'imageCheck', outcome: 'even' }));
    expect(chanceOf('panel')).toBeLessThan(before);
    expect(viewCase(plate.db, runId, OPEN_HOUSE)!.tests.at(-1)).toMatchObject({
      name: 'imageCheck',
      outcome: 'even',
    });
    expect(codeOf(keepTest(plate.db, runId, { test: 'imageCheck', outcome: 'comesOut' }))).toBe(
      'noSuchOutcome',
    );
  });

  test('what turned out to be the cause is expected more of the next one', () => {
    const plate = benchWithPlate();
    const first = printed(plate, plate.runId, 5);
    expectOk(noteFailure(plate.db, first, failed({ kind: 'missingRegion' })));
    const second = printedAgain(plate, 1);
    expectOk(noteFailure(plate.db, second, failed({ kind: 'missingRegion' })));
    const film = () =>
      viewCase(plate.db, second, OPEN_HOUSE)!.causes.find(({ cause }) => cause === 'film')!.chance;
    const before = film();
    expectOk(keepCause(plate.db, first, 'film'));
    expect(film()).toBeGreaterThan(before);
    expectOk(keepCause(plate.db, first, 'cold'));
    expect(viewCase(plate.db, first, OPEN_HOUSE)!.found).toBe('cold');
    expect(film()).toBeLessThan(before);
  });

  test('the last good print is compared with: what changed since is on record, and asked about', () => {
    const plate = benchWithPlate();
    const { db, profileId } = plate;
    const first = printed(plate, plate.runId, 9);
    expectOk(noteWell(db, first));
    const at = new Date(Date.now() - 6 * HOUR_MS);
    expectOk(changeProcess(db, profileId, { kinds: ['exposure'], at, after: { exposureS: 3 }, note: '' }));
    const second = printedAgain(plate, 1);
    expectOk(noteFailure(db, second, failed({ kind: 'fused' })));
    const { changes, causes, reasons } = viewCase(db, second, OPEN_HOUSE)!;
    expect(changes).toEqual([expect.objectContaining({ after: 3 })]);
    // Recorded as changed, without a cause.
    expect(viewCase(db, second, OPEN_HOUSE)!.noted).toEqual([
      expect.objectContaining({ kinds: ['exposure'], note: '' }),
    ]);
    db.update(tables.runs).set({ roomC: 21 }).where(eq(tables.runs.id, first)).run();
    const withRoom = (roomC: number) => {
      db.update(tables.runs).set({ roomC }).where(eq(tables.runs.id, second)).run();
      return viewCase(db, second, OPEN_HOUSE)!.changes!.map(({ name }) => name);
    };
    expect(withRoom(22)).not.toContain('roomC');
    expect(withRoom(17)).toContain('roomC');
    expect(causes[0].cause).toBe('exposure');
    expect(reasons.map(({ evidence }) => evidence)).toContain('exposureChanged');
    // Read as at that time, however many prints came after it.
    expect(viewCase(db, second, OPEN_HOUSE)!.printsLookedAt).toBe(1);
    // Without a good print before it there is nothing to compare with.
    db.update(tables.runs).set({ outcome: 'stopped' }).run();
    expect(viewCase(db, second, OPEN_HOUSE)!.changes).toBeUndefined();
  });

  test('three prints that failed at one place of the plate point at the machine', () => {
    const plate = benchWithPlate({ copies: 9 });
    const runs = [printed(plate, plate.runId, 9), printedAgain(plate, 5, 9), printedAgain(plate, 1, 9)];
    for (const runId of runs) {
      const [first] = piecesOf(plate, runId);
      expectOk(noteFailure(plate.db, runId, failed({ kind: 'missingRegion', pieceIds: [first] })));
    }
    const { where, causes, printsLookedAt } = viewCase(plate.db, runs[2], OPEN_HOUSE)!;
    expect(printsLookedAt).toBe(3);
    // The first piece is in a corner: it counts by its place, and as near the edge.
    expect(where.verdict).toMatchObject({ code: 'told', common: expect.arrayContaining(['plate']) });
    expect(['film', 'panel', 'debris']).toContain(causes[0].cause);
    const log = viewLog(plate.db, plate.printerId, OPEN_HOUSE)!;
    expect(log.prints).toMatchObject({ k: 0, n: 3 });
    expect(log.places.filter((each) => each.failed)).toHaveLength(3);
    // One profile, one height, nothing said of how it stood: nothing to compare.
    expect(log.rates).toEqual([]);
    expect(log.pieces).toMatchObject({ plates: 3 });
    expect(log.pieces.commonShare).toBeLessThan(0.5);
  });
});

describe('words and heights', () => {
  test('a layer is read as a layer, a height or a time; others are none', () => {
    const plate = { layers: 400, layerMm: 0.05, plannedS: 8000 };
    expect(readLayer('212', plate)).toMatchObject({ layer: 212, heightMm: expect.closeTo(10.6, 9) });
    expect(readLayer('10.6 mm', plate)!.layer).toBe(212);
    expect(readLayer('1:40', plate)!.layer).toBe(300);
    expect(describeLayer(readLayer('212', plate)!)).toBe('layer 212, 10.60 mm high, 1:11 after the start');
    for (const none of ['', '0', '401', '9 pounds', '9:00', '25 mm'])
      expect(readLayer(none, plate)).toBeUndefined();
  });

  test('every kind, cause, piece of evidence, test and outcome has its words', () => {
    for (const kind of FAILURE_KINDS) expect(FAILURE_WORDS[kind]).toBeTruthy();
    for (const cause of CAUSES) expect(causeOf(cause).words && causeOf(cause).repair).toBeTruthy();
    for (const name of EVIDENCE) expect(evidenceLine(name).yes).not.toBe(evidenceLine(name).no);
    for (const test of TESTS)
      for (const { name } of TEST_TABLE[test].outcomes) expect(outcomeWords(test, name)).toBeTruthy();
    expect(describeEvidence('kind', true, 'sheared')).toBe('broke off');
    for (const kind of MAINTENANCE_KINDS)
      for (const text of [maintenanceOf(kind).title, ...maintenanceOf(kind).unit]) expect(text).not.toBe('');
  });
});
