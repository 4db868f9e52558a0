import { describe, expect, test } from '@jest/globals';
import { plainProgram } from '../layer-times';
import { findVatIssue, vatLevelMl } from '../vat-level';
import { settingChanges } from '../run-plan';
import { earlyLookLayer, whereItIs } from '../where-it-is';

const program = plainProgram(0.05, 10);
const print = { program, layers: 600, pours: [{ layer: 400, ml: 60 }], timed: [] };

describe('where a print stands', () => {
  test('by the clock alone: layer, millimetre, and what comes next in its order', () => {
    const { layer, heightMm, events, isOverdue } = whereItIs(print, 180 + 10 * 100);
    expect([layer, heightMm, isOverdue]).toEqual([100, 5, false]);
    expect(events.map(({ event }) => event.code)).toEqual(['pour', 'end']);
    const [pour, end] = events;
    expect(pour.middleS).toBeCloseTo(180 + 4000, 6);
    expect(end.earlyS).toBeLessThan(6180 * 0.8);
    expect(end.lateS).toBeGreaterThan(6180 * 1.25);
  });

  test('the early look comes after the bottom layers', () => {
    expect(earlyLookLayer(program)).toBe(10);
    expect(whereItIs(print, 0).events[0].event).toEqual({ code: 'earlyLook', layer: 10 });
  });

  test('what the printer reports narrows the end to minutes and moves it with its own pace', () => {
    // A tenth slower than planned: layer 300 after 1.1 × the time that was planned.
    const { events } = whereItIs(print, 1.1 * 3185, { layer: 300, atS: 1.1 * 3185 });
    const end = events.at(-1)!;
    expect(end.middleS).toBeGreaterThan(1.09 * 6180);
    expect(end.middleS).toBeLessThan(1.11 * 6180);
    expect(end.lateS - end.earlyS).toBeLessThan(120);
  });

  test('the layer never runs past the last, and a print whose latest hour has passed is overdue', () => {
    const late = whereItIs(print, 6180 * 2);
    expect([late.layer, late.heightMm, late.isOverdue]).toEqual([600, 30, true]);
    expect(late.events.map(({ event }) => event.code)).toEqual(['end']);
  });
});

describe('the level of a vat', () => {
  test('by volume, between two marks, by weight', () => {
    expect(vatLevelMl({ by: 'volume', ml: 120 })).toBe(120);
    expect(vatLevelMl({ by: 'marks', lowMl: 50, highMl: 200, share: 0.6 })).toBeCloseTo(140, 12);
    expect(vatLevelMl({ by: 'weight', fullG: 410, emptyG: 300, density: 1.1 })).toBeCloseTo(100, 12);
  });

  test('fuller than it holds, less than nothing, a floor above the brim', () => {
    const vat = { capacityMl: 200, floorMl: 25, levelMl: 100 };
    expect(findVatIssue(vat)).toBeUndefined();
    expect(findVatIssue({ ...vat, levelMl: 210 })?.code).toBe('overfull');
    expect(findVatIssue({ ...vat, levelMl: -1 })?.code).toBe('belowNothing');
    expect(findVatIssue({ ...vat, floorMl: 200 })?.code).toBe('floorAboveBrim');
  });
});

test('what differs between two runs is named, what was dropped too', () => {
  expect(settingChanges({ exposureS: 2.4, film: 'old' }, { exposureS: 2.2, lot: '18' })).toEqual([
    { name: 'exposureS', before: 2.4, after: 2.2 },
    { name: 'lot', before: undefined, after: '18' },
    { name: 'film', before: 'old', after: undefined },
  ]);
});
