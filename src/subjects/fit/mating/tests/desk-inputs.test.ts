import { describe, expect, test } from '@jest/globals';
import { chainInput, wantedSizesInput } from '../input-desk';

const HOLE = { sense: 'inside', shape: 'round', axis: 'XY' } as const;

describe('what the desk may ask', () => {
  test('sizes above nothing with limits above nothing, of a kind there is', () => {
    const asked = (size: object) =>
      wantedSizesInput.safeParse([{ kind: HOLE, targetMm: 3.4, halfMm: 0.1, ...size }]).success;
    expect(asked({})).toBe(true);
    expect(asked({ targetMm: 0 })).toBe(false);
    expect(asked({ targetMm: NaN })).toBe(false);
    expect(asked({ targetMm: Infinity })).toBe(false);
    expect(asked({ halfMm: -0.1 })).toBe(false);
    expect(asked({ kind: { ...HOLE, sense: 'sideways' } })).toBe(false);
  });

  test('a chain of features and bought parts, each opening or closing the gap', () => {
    const bought = { name: 'washer', sizeMm: 1, halfMm: 0, direction: -1 };
    const links = (...each: object[]) => chainInput.safeParse({ links: each }).success;
    expect(links({ featureId: 3, direction: 1 }, bought)).toBe(true);
    expect(links()).toBe(true);
    expect(links({ featureId: 3, direction: 0 })).toBe(false);
    expect(links({ ...bought, halfMm: -1 })).toBe(false);
    expect(links({ ...bought, name: '' })).toBe(false);
  });

  test('limits that do not cross, or none', () => {
    const limits = (lowMm: number, highMm: number) =>
      chainInput.safeParse({ links: [], limits: { lowMm, highMm } }).success;
    expect(limits(0.1, 0.2)).toBe(true);
    expect(limits(0.2, 0.2)).toBe(false);
    expect(limits(-Infinity, 0)).toBe(false);
  });
});
