import { expect, test } from '@jest/globals';
import { readSimulatedRoom, weighSimulated } from '../index';

test('the simulated scale shows the same plate alike, in steps, with supports only where there are some', () => {
  const shown = weighSimulated(3, 20, true);
  expect(weighSimulated(3, 20, true)).toEqual(shown);
  expect(shown.partsG).toBe(23.6);
  expect((shown.supportsG * 10) % 1).toBeCloseTo(0, 9);
  expect(shown.supportsG).toBeGreaterThan(0);
  expect(weighSimulated(3, 20, false).supportsG).toBe(0);
  expect(weighSimulated(4, 20, true).supportsG).not.toBe(shown.supportsG);
});

test('the simulated room is colder at five in the morning than in the afternoon, and near what it is about', () => {
  const at = (hour: number) => readSimulatedRoom(21, new Date(2026, 10, 27, hour));
  expect(at(5)).toBeLessThan(at(17));
  for (const hour of [0, 6, 12, 18]) expect(Math.abs(at(hour) - 21)).toBeLessThan(3);
});
