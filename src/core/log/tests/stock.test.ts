import { describe, expect, test } from '@jest/globals';
import { sumLosses } from '../losses';
import { moreThan, stockOf } from '../stock';

describe('what is used up', () => {
  test('the chance of more prints than it lasts for: a known pace is Poisson', () => {
    // 10 000 prints in 10 000 days: one a day. More than 3 in 2 days: 1 − e^−2 (1 + 2 + 2 + 4/3) = 0.1429.
    expect(moreThan(3, 2, { prints: 10_000, days: 10_000 })).toBeCloseTo(0.1429, 3);
    expect(moreThan(10, 10, { prints: 10, days: 10 })).toBeCloseTo(0.47, 1);
    expect(moreThan(3, 0, { prints: 10, days: 10 })).toBe(0);
    // Term by term: Γ(k + 4.5)/(k! Γ(4.5)) · (3/4)^4.5 · (1/4)^k, k up to 2.
    const terms = [1, 4.5 / 4, (4.5 * 5.5) / 2 / 16].reduce((sum, each) => sum + each, 0);
    expect(moreThan(2, 10, { prints: 4, days: 30 })).toBeCloseTo(1 - terms * 0.75 ** 4.5, 9);
    // What lasts for ten thousand million prints is calculated at once.
    expect(moreThan(1e10, 365, { prints: 60, days: 60 })).toBeCloseTo(0, 9);
    // Little is known of the pace: the same mean, and far more room above it.
    expect(moreThan(6, 2, { prints: 1, days: 1 })).toBeGreaterThan(
      moreThan(6, 2, { prints: 1000, days: 1000 }),
    );
  });

  test('ordered when it would run out before more has come', () => {
    const pace = { prints: 60, days: 60 };
    const gloves = { counted: 100, printsSince: 10, perPrint: 3, leadDays: 7, pace };
    expect(stockOf(gloves)).toMatchObject({ left: 70, printsLeft: 23, isDue: false });
    expect(stockOf({ ...gloves, printsSince: 26 })).toMatchObject({ left: 22, printsLeft: 7, isDue: true });
    expect(stockOf({ ...gloves, printsSince: 50 })).toMatchObject({ left: 0, printsLeft: 0, runOut: 1 });
    expect(stockOf({ ...gloves, perPrint: 0 })).toMatchObject({ left: 100, runOut: 0, isDue: false });
    // What comes the same day is not ordered ahead.
    expect(stockOf({ ...gloves, printsSince: 30, leadDays: 0 }).isDue).toBe(false);
  });
});

test('losses by cause, the dearest first, and by month, the newest first', () => {
  const { total, byCause, byMonth } = sumLosses([
    { cause: 'film', month: '2026-05', hours: 2, ml: 20, money: 5 },
    { month: '2026-06', hours: 1, ml: 10, money: 9 },
    { cause: 'film', month: '2026-06', hours: 3, ml: 5, money: 6 },
  ]);
  expect(total).toEqual({ prints: 3, hours: 6, ml: 35, money: 20 });
  expect(byCause).toEqual([
    { cause: 'film', prints: 2, hours: 5, ml: 25, money: 11 },
    { cause: undefined, prints: 1, hours: 1, ml: 10, money: 9 },
  ]);
  expect(byMonth.map(({ month, money }) => [month, money])).toEqual([
    ['2026-06', 15],
    ['2026-05', 5],
  ]);
  expect(sumLosses([]).total.prints).toBe(0);
});
