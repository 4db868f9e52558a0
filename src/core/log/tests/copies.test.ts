import { describe, expect, test } from '@jest/globals';
import { chanceOfCopy, countCopies, learnCommonShare } from '../rates';

const plates = (count: number, copies: number, failed: number) =>
  Array.from({ length: count }, () => ({ copies, failed }));

describe('single copies', () => {
  test('copies of one plate count less the more of them fail together', () => {
    expect(countCopies(plates(1, 8, 4), 0)).toEqual({ k: 4, n: 8 });
    expect(countCopies(plates(1, 8, 4), 1)).toEqual({ k: 0.5, n: 1 });
    expect(countCopies(plates(1, 8, 0), 0.5).n).toBeCloseTo(8 / 4.5, 12);
    expect(countCopies([{ copies: 0, failed: 0 }], 0.5)).toEqual({ k: 0, n: 0 });
  });

  test('before any plate what is usual stands; then the log takes over, drawn towards the other printers', () => {
    const [before] = chanceOfCopy([{ k: 0, n: 0 }]);
    expect(before.mean).toBeGreaterThan(0.75);
    expect(before.mean).toBeLessThan(0.93);
    const [good, poor, none] = chanceOfCopy([
      { k: 98, n: 100 },
      { k: 30, n: 60 },
      { k: 0, n: 0 },
    ]);
    expect(good.mean).toBeGreaterThan(0.94);
    expect(poor.mean).toBeCloseTo(0.5, 1);
    expect(none.mean).toBeGreaterThan(poor.mean);
    expect(none.mean).toBeLessThan(good.mean);
    expect(none.high - none.low).toBeGreaterThan(poor.high - poor.low);
  });

  test('the common share begins at what is usual in the house', () => {
    expect(learnCommonShare([], 0.2).mean).toBeCloseTo(0.2, 1);
    expect(learnCommonShare([], 0.8).mean).toBeCloseTo(0.8, 1);
    expect(learnCommonShare([...plates(20, 6, 0), ...plates(10, 6, 6)], 0.2).mean).toBeGreaterThan(0.6);
    // Where everything fails, nothing can be learned.
    expect(learnCommonShare(plates(30, 6, 6), 0.2).mean).toBeCloseTo(0.2, 1);
    // Alike plates are read at once, as many as they are.
    const mixed = [...plates(4, 6, 0), ...plates(2, 6, 3)];
    expect(learnCommonShare(mixed).mean).toBeCloseTo(learnCommonShare(mixed.toReversed()).mean, 12);
  });
});
