import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { parseForm } from '@/subjects/kit/shared';
import { formOf } from '@/testing/forms';
import { benchWithPlate } from '@/testing/plate';
import { printed } from '@/testing/printed';
import { changePrinter, viewCard } from '../index';
import { cardForm } from '../shared';

test('a device card keeps what was said, and counts what the printer has done', () => {
  const plate = benchWithPlate();
  const { db, printerId } = plate;
  expect(viewCard(db, printerId)).toEqual({ card: {}, work: { prints: 0, layers: 0, hours: 0 } });
  const fields = { printerId: `${printerId}`, serial: 'TR-7', boughtOn: '2026-03-01', note: '' };
  const { card } = expectOk(parseForm(cardForm, formOf(fields)));
  expect(card).toEqual({ serial: 'TR-7', boughtOn: '2026-03-01' });
  expectOk(changePrinter(db, printerId, { card }));
  printed(plate);
  const { work, card: kept } = viewCard(db, printerId)!;
  expect(kept).toEqual(card);
  expect(work).toMatchObject({ prints: 1, layers: 200 });
  expect(work.hours).toBeCloseTo(1, 2);
  expect(viewCard(db, 99)).toBeUndefined();
});

test('a warranty that ends before it was bought, and a day that is none, are refused', () => {
  const refused = (more: Readonly<Record<string, string>>) =>
    parseForm(cardForm, formOf({ printerId: '1', boughtOn: '2026-03-01', ...more }));
  expect(refused({ warrantyUntil: '2025-03-01' }).ok).toBe(false);
  expect(refused({ warrantyUntil: 'next spring' }).ok).toBe(false);
  expect(refused({ warrantyUntil: '2028-03-01' }).ok).toBe(true);
});
