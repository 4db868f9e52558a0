import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { benchWithPlate } from '@/testing/plate';
import { printed, printedAgain } from '@/testing/printed';
import { countStock, listStockLeft, putStockAway } from '../index';
import { describeStock, describeStockIssue } from '../shared';

const DAY_MS = 86_400_000;
const GLOVES = { name: 'Thin gloves', unit: 'pairs', counted: 12, perPrint: 3, leadDays: 7 } as const;

test('what is used up goes down with the prints of the bench, and is ordered in time', () => {
  const plate = benchWithPlate();
  const { db } = plate;
  const now = new Date();
  expect(listStockLeft(db, now)).toEqual([]);
  expectOk(countStock(db, { ...GLOVES, stockId: undefined }, new Date(now.getTime() - DAY_MS)));
  const gloves = () => listStockLeft(db, now)[0];
  expect(gloves()).toMatchObject({ left: 12, printsLeft: 4, isDue: false });
  printed(plate, plate.runId, 9);
  printedAgain(plate, 5);
  printedAgain(plate, 1);
  expect(gloves()).toMatchObject({ left: 3, printsLeft: 1 });
  expect(describeStock({ ...gloves(), runOut: 0.124, isDue: true }, GLOVES)).toBe(
    '3.0 pairs left, for one print. Order now: delivery takes 7 days, and the chance of running out before is 12 in 100',
  );
  expectOk(countStock(db, { ...GLOVES, stockId: gloves().id, revision: gloves().revision, counted: 100 }));
  expect(gloves()).toMatchObject({ left: 100, isDue: false });
});

test('two of one name would be ordered twice; what was put away comes back under its name', () => {
  const { db } = benchWithPlate();
  expectOk(countStock(db, { ...GLOVES, stockId: undefined }));
  const again = countStock(db, { ...GLOVES, stockId: undefined });
  expect(again.ok).toBe(false);
  if (!again.ok) expect(describeStockIssue(again.issue)).toContain('Thin gloves');
  const [{ id }] = listStockLeft(db, new Date());
  expectOk(putStockAway(db, id));
  expect(listStockLeft(db, new Date())).toEqual([]);
  expect(putStockAway(db, id).ok).toBe(false);
  expectOk(countStock(db, { ...GLOVES, stockId: undefined, counted: 5 }));
  expect(listStockLeft(db, new Date())[0]).toMatchObject({ id, left: 5 });
  expect(countStock(db, { ...GLOVES, name: 'Film', stockId: 99 }).ok).toBe(false);
});

test('what another window counted meanwhile is not written over', () => {
  const { db } = benchWithPlate();
  expectOk(countStock(db, { ...GLOVES, stockId: undefined }));
  const [{ id, revision }] = listStockLeft(db, new Date());
  expectOk(countStock(db, { ...GLOVES, stockId: id, revision, counted: 40 }));
  const second = countStock(db, { ...GLOVES, stockId: id, revision, counted: 7 });
  expect(second.ok ? '' : describeStockIssue(second.issue)).toContain('counted in another window');
  expect(listStockLeft(db, new Date())[0].left).toBe(40);
});
