import { expect, test } from '@jest/globals';
import { expectOk } from '@/core/kit';
import { queries } from '@/store';
import { parseForm } from '@/subjects/kit/shared';
import { changePrinter, listPrinters } from '@/subjects/signature';
import { readyBench } from '@/testing/bench';
import { printAttempt } from '../index';
import { describePrintIssue, printForm } from '../shared';

const ASKED = { copies: 1, despite: '' };

test('a place that is not on the plate is refused by how far the plate reaches; on it, it is kept with the print', () => {
  const { db, jobId, attemptId } = readyBench();
  const [{ id }] = listPrinters(db);
  // A plate with unknown size accepts any place.
  expectOk(printAttempt(db, jobId, attemptId, { ...ASKED, place: { xMm: 300, yMm: 0 } }));
  changePrinter(db, id, { rooms: { plate: [130, 80, 160] } });
  const refused = printAttempt(db, jobId, attemptId, { ...ASKED, place: { xMm: 10, yMm: -41 } });
  expect(refused.ok ? '' : describePrintIssue(refused.issue)).toContain(
    '65 mm to each side of its centre and 40 mm',
  );
  const kept = expectOk(
    printAttempt(db, jobId, attemptId, { ...ASKED, place: { xMm: 10, yMm: -39 }, roomC: 21 }),
  );
  const print = queries.listAttempts(db, jobId)[0].prints.find((each) => each.id === kept)!;
  expect(print).toMatchObject({ placeXMm: 10, placeYMm: -39, roomC: 21 });
});

test('a place has both its numbers or none', () => {
  const formOf = (fields: Readonly<Record<string, string>>) => {
    const data = new FormData();
    for (const [name, value] of Object.entries({ copies: '1', ...fields })) data.set(name, value);
    return parseForm(printForm, data);
  };
  expect(formOf({ placeXMm: '10' }).ok).toBe(false);
  expect(expectOk(formOf({ placeXMm: '10', placeYMm: '-5', roomC: '70 °F' }))).toMatchObject({
    place: { xMm: 10, yMm: -5 },
  });
  expect(expectOk(formOf({})).place).toBeUndefined();
});
