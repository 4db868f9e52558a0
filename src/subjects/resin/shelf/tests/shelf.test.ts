import { describe, expect, test } from '@jest/globals';
import { evidenceOf, SHIPPED_SHELF } from '@/core/resin';
import { expectOk } from '@/core/kit';
import { queries, tables } from '@/store';
import {
  askStrain,
  chooseResin,
  requirementOf,
  saveRequirement,
  verdictOfJob,
  viewChoice,
} from '@/subjects/resin/choice';
import { viewJob } from '@/subjects/job/jobs';
import { changeNeed } from '@/subjects/job/need';
import { frameJob } from '@/subjects/job/overview';
import { describeDecision } from '@/subjects/job/overview/shared';
import { newestSignature } from '@/subjects/signature';
import { simulatedBend } from '@/subjects/simulated';
import { BLANK_NEED, emptyBench, readyBench } from '@/testing/bench';
import { addResin, takeOffShelf } from '../add-resin';
import { bringAll, importShelf } from '../bring-shelf';
import { addBottle, keepLeft } from '../keep-bottle';
import { keepResinTest, readCreepAgain, takeBackResinTest } from '../keep-resin-test';
import { loadVat } from '../load-vat';
import { makeBlend } from '../make-blend';
import { resinFile } from '../resin-file';
import { keepQuote } from '../state-property';
import { listCreepChecks } from '../view-creep-checks';
import { findShelved, glanceAtShelf, listShort, listVats } from '../view-shelf';
import { exportShelf, shelfEntries } from '../view-shelf-file';

const idOf = (db: ReturnType<typeof emptyBench>, name: string) => queries.findResinByName(db, name)!.id;

function stockedBench() {
  const ready = readyBench();
  bringAll(ready.db, SHIPPED_SHELF);
  return ready;
}

describe('the shelf', () => {
  test('a resin is put on, described, taken off, and comes back with what was known of it', () => {
    const db = emptyBench();
    const id = expectOk(addResin(db, 'Sand', 'tough'));
    expectOk(keepQuote(db, id, { property: 'elongation', value: 0.2, condition: 'cured', source: 'own' }));
    expect(addResin(db, 'Sand', 'tough')).toEqual({ ok: false, issue: { code: 'nameTaken', name: 'Sand' } });
    takeOffShelf(db, id);
    expect(glanceAtShelf(db)).toEqual([]);
    expect(expectOk(addResin(db, 'Sand', 'clear'))).toBe(id);
    expect(glanceAtShelf(db)[0]).toMatchObject({ family: 'tough', elongation: 0.2 });
  });

  test('a value that contradicts the sheet is refused and changes nothing', () => {
    const { db } = stockedBench();
    const id = idOf(db, 'Slate General');
    const hot = {
      property: 'deflectionHigh_C',
      value: 90,
      condition: 'cured',
      source: 'own',
      testMPa: 1.8,
    } as const;
    expect(keepQuote(db, id, hot)).toMatchObject({
      issue: { code: 'resinSheet', issue: { code: 'deflectionCrossed' } },
    });
    expect(shelfEntries(db).find(({ name }) => name === 'Slate General')!.sheet).toEqual(
      SHIPPED_SHELF[0].sheet,
    );
  });

  test('bottles: more than full is refused, short ones are told', () => {
    const { db } = stockedBench();
    const id = idOf(db, 'Slate General');
    const bottle = { batch: '', openedOn: '', fullMl: 500, leftMl: 600 };
    expect(addBottle(db, id, bottle)).toMatchObject({ issue: { code: 'moreThanFull' } });
    expectOk(addBottle(db, id, { ...bottle, leftMl: 480 }));
    expect(listShort(db)).toEqual([]);
    const [{ id: bottleId }] = findShelved(db, id)!.bottles;
    expect(keepLeft(db, id + 1, bottleId, { leftMl: 20 })).toEqual({ ok: false, issue: { code: 'gone' } });
    expectOk(keepLeft(db, id, bottleId, { leftMl: 20 }));
    expect(listShort(db)).toEqual([{ id, name: 'Slate General', leftMl: 20 }]);
  });

  test('what stands in a vat is told with the resin', () => {
    const { db } = stockedBench();
    const [{ id }] = listVats(db);
    loadVat(db, id, idOf(db, 'Otter Tough'), '2026-11-20');
    expect(glanceAtShelf(db).find(({ name }) => name === 'Otter Tough')!.inVatOf).toEqual(['Long Bench']);
    loadVat(db, id, undefined, '2026-11-21');
    expect(listVats(db)[0]).toMatchObject({ resin: null, since: '' });
  });
});

describe('proofs', () => {
  const drop = { kind: 'drop', on: '2026-11-02', test: { trials: [{ heightM: 1, broke: false }] } } as const;

  test('are kept when they can be worked out, count at once, and can be taken back', () => {
    const { db } = stockedBench();
    const id = idOf(db, 'Millpond');
    const height = () => evidenceOf(resinFile(findShelved(db, id)!)).of('dropHeight_m')?.value;
    expectOk(keepResinTest(db, id, drop, ''));
    expect(height()).toBe(1);
    takeBackResinTest(db, id, findShelved(db, id)!.proofs[0].id);
    expect(height()).toBeUndefined();
    expect(keepResinTest(db, id, { ...drop, test: { trials: [] } }, '')).toMatchObject({
      issue: { code: 'proof', issue: { code: 'noDrops' } },
    });
    expect(keepResinTest(db, 9999, drop, '')).toEqual({ ok: false, issue: { code: 'gone' } });
  });

  test('a creep check is due weeks later, and done when it was read again', () => {
    const { db } = stockedBench();
    const id = idOf(db, 'Kelp Flex');
    const test = { under: 'the sill', firstMm: 12, weeks: 6, caliperMm: 0.02 };
    expectOk(keepResinTest(db, id, { kind: 'creep', on: '2026-10-07', test }, ''));
    expect(listCreepChecks(db, '2026-11-17')).toMatchObject([{ dueOn: '2026-11-18', isDue: false }]);
    expect(listCreepChecks(db, '2026-11-18')).toMatchObject([{ isDue: true, resin: 'Kelp Flex' }]);
    expectOk(readCreepAgain(db, id, findShelved(db, id)!.proofs[0].id, 11.8));
    expect(listCreepChecks(db, '2026-12-01')).toEqual([]);
  });

  test('a simulated bench reads a bar only where a printer is simulated', () => {
    const { db } = stockedBench();
    const bar = simulatedBend(db, idOf(db, 'Otter Tough'), 1)!;
    expect(bar.steps).toHaveLength(6);
    expect(simulatedBend(db, idOf(db, 'Otter Tough'), 1)).toEqual(bar);
    expect(simulatedBend(emptyBench(), 1, 1)).toBeUndefined();
  });
});

describe('the shelf on another computer', () => {
  test('sheets, proofs, blends and bottles arrive on an empty bench, a second time nothing is doubled', () => {
    const { db } = stockedBench();
    const recipe = [
      { resin: 'Slate General', fraction: 0.8 },
      { resin: 'Kelp Flex', fraction: 0.2 },
    ];
    const blend = expectOk(makeBlend(db, 'Mix', recipe));
    expectOk(
      keepResinTest(
        db,
        blend,
        { kind: 'drop', on: '2026-11-02', test: { trials: [{ heightM: 1, broke: false }] } },
        '',
      ),
    );
    expectOk(addBottle(db, blend, { batch: 'm1', openedOn: '2026-11-01', fullMl: 200, leftMl: 150 }));
    const other = emptyBench();
    expect(expectOk(importShelf(other, exportShelf(db, 'json')))).toEqual({
      added: 9,
      updated: 0,
      proofs: 1,
    });
    expect(shelfEntries(other)).toEqual(shelfEntries(db));
    expect(expectOk(importShelf(other, exportShelf(db, 'json')))).toEqual({
      added: 0,
      updated: 9,
      proofs: 0,
    });
    expect(shelfEntries(other)).toEqual(shelfEntries(db));
  });

  test('an own value that a file does not state stays; a bad row takes nothing', () => {
    const { db } = stockedBench();
    const id = idOf(db, 'Kelp Flex');
    expectOk(keepQuote(db, id, { property: 'impact_J_m', value: 200, condition: 'cured', source: 'own' }));
    expectOk(importShelf(db, exportShelf(emptyStocked(), 'csv')));
    expect(evidenceOf(resinFile(findShelved(db, id)!)).of('impact_J_m')?.value).toBe(200);
    const before = exportShelf(db, 'json');
    expect(importShelf(db, 'resin,property,value\nNew,elongation,0.2\nNew,density_g_ml,0\n')).toMatchObject({
      issue: { code: 'badRows' },
    });
    expect(exportShelf(db, 'json')).toBe(before);
  });

  function emptyStocked() {
    const db = emptyBench();
    bringAll(db, SHIPPED_SHELF);
    return db;
  }
});

test('a blend is a resin of its own with no signature of its parts', () => {
  const { db, jobId } = stockedBench();
  const recipe = [
    { resin: 'Otter Tough', fraction: 0.8 },
    { resin: 'Kelp Flex', fraction: 0.2 },
  ];
  const blend = expectOk(makeBlend(db, 'Mix', recipe));
  expect(makeBlend(db, 'Mix', recipe)).toMatchObject({ issue: { code: 'nameTaken' } });
  expect(makeBlend(db, 'Bad', [{ resin: 'Otter Tough', fraction: 1 }])).toMatchObject({
    issue: { code: 'blend', issue: { code: 'partCount' } },
  });
  const [{ id: printerId }] = listVats(db);
  expectOk(chooseResin(db, jobId, { resinId: blend, printerId, layerMm: 0.05, reason: '' }));
  expect(newestSignature(db, viewJob(db, jobId)!.job.profileId!).readingCount).toBe(0);
});

describe('the choice of a job', () => {
  test('follows the need, the fits and the house until it is typed over', () => {
    const { db, jobId } = stockedBench();
    const job = () => queries.findJob(db, jobId)!;
    expectOk(
      changeNeed(db, jobId, {
        ...BLANK_NEED,
        hottestC: 60,
        claims: ['heat', 'pressure'],
        revision: job().revision,
      }),
    );
    expectOk(askStrain(db, jobId, { kind: 'snap', strain: 0.01, use: 'repeated' }));
    expectOk(askStrain(db, jobId, { kind: 'press', strain: 0.005 }));
    expect(requirementOf(db, job())).toMatchObject({ serviceMax_C: 60, strainMax: 0.03, claims: ['flame'] });
    expectOk(saveRequirement(db, jobId, { ...requirementOf(db, job()), processMax_C: 120 }));
    expect(job().requirement).toEqual({ processMax_C: 120 });
    expectOk(changeNeed(db, jobId, { ...BLANK_NEED, hottestC: 70, revision: job().revision }));
    expect(requirementOf(db, job())).toMatchObject({ serviceMax_C: 70, processMax_C: 120 });
  });

  test('a need that changes later counts before what was typed over it, and its claims cannot be talked away', () => {
    const { db, jobId } = stockedBench();
    const job = () => queries.findJob(db, jobId)!;
    const need = (hottestC: number, claims: readonly ('mouth' | 'food')[]) =>
      expectOk(changeNeed(db, jobId, { ...BLANK_NEED, hottestC, claims, revision: job().revision }));
    need(60, ['food']);
    const typed = { ...requirementOf(db, job()), serviceMax_C: 40, strainMax: 0.01, claims: ['mains'] };
    expectOk(saveRequirement(db, jobId, typed));
    expect(requirementOf(db, job())).toMatchObject({ serviceMax_C: 40, claims: ['food', 'mains'] });
    need(90, ['food', 'mouth']);
    expect(requirementOf(db, job())).toMatchObject({
      serviceMax_C: 90,
      strainMax: 0.01,
      claims: ['food', 'mouth', 'mains'],
    });
    expectOk(askStrain(db, jobId, { kind: 'snap', strain: 0.02, use: 'repeated' }));
    expect(requirementOf(db, job()).strainMax).toBeCloseTo(0.06, 12);
  });

  test('a resin on a printer without a profile gets one, and the ledger remembers why', () => {
    const { db, jobId } = stockedBench();
    const [{ id: printerId }] = listVats(db);
    const resinId = idOf(db, 'Anvil Impact');
    expectOk(chooseResin(db, jobId, { resinId, printerId, layerMm: 0.05, reason: 'holds' }));
    const view = viewJob(db, jobId)!;
    expect(view.profile!.resin.name).toBe('Anvil Impact');
    const frame = frameJob(db, view);
    expect(frame.settled.resin).toBe(1);
    const [{ step, entry }] = frame.ledger;
    expect({ step, ...describeDecision(entry) }).toEqual({
      step: 'resin',
      title: 'Anvil Impact on Long Bench',
      detail: 'passes; holds',
    });
    // It was drawn and printed for another resin.
    expect(frame.overtaken).toBe(true);
  });

  test('a need that grows hotter than the chosen resin opens the choice again', () => {
    const { db, jobId } = stockedBench();
    const [{ id: printerId }] = listVats(db);
    const job = () => queries.findJob(db, jobId)!;
    const need = (hottestC: number) =>
      changeNeed(db, jobId, {
        ...BLANK_NEED,
        profileId: job().profileId!,
        hottestC,
        revision: job().revision,
      });
    const pick = { resinId: idOf(db, 'Slate General'), printerId, layerMm: 0.05, reason: '' };
    expectOk(chooseResin(db, jobId, pick));
    expectOk(need(30));
    expect(verdictOfJob(db, job())!.verdict).toBe('passes');
    expect(expectOk(need(80))).toContainEqual({ code: 'resin', name: 'Slate General' });
    expect(job().resinChosenId).toBeNull();
  });

  test('is made over the whole shelf, whatever is on it', () => {
    const { db, jobId } = stockedBench();
    const choice = viewChoice(db, queries.findJob(db, jobId)!);
    expect(choice.ranked).toHaveLength(choice.shelf.length);
    expect(viewChoice(emptyBench(), queries.findJob(db, jobId)!).ranked).toEqual([]);
    expect(chooseResin(db, 9999, { resinId: 1, printerId: 1, layerMm: 0.05, reason: '' }).ok).toBe(false);
    expect(db.select().from(tables.profiles).all()).toHaveLength(1);
  });
});
