import { expect, test } from '@jest/globals';
import {
  biasKey,
  chanceKey,
  changeKeys,
  columnOf,
  driftKey,
  habitKey,
  printToCome,
  shiftKey,
} from '../columns';

test('a key gives its column back', () => {
  expect(columnOf(biasKey('Bench caliper', 'inside'))).toEqual({
    kind: 'bias',
    instrument: 'Bench caliper',
    jaw: 'inside',
  });
  expect(columnOf(shiftKey('green', 'xy'))).toEqual({ kind: 'shift', state: 'green', along: 'xy' });
  expect(columnOf(driftKey(printToCome(1), 'edge'))).toEqual({
    kind: 'drift',
    run: { toCome: 1 },
    of: 'edge',
  });
});

test('no name that a person types makes two columns one', () => {
  const keys = [
    habitKey('a'),
    chanceKey('a', 'P1'),
    chanceKey('a","print":"P1', ''),
    driftKey('a', 'edge'),
    driftKey('a edge', 'scale'),
    // A stored print may have any name, also this one.
    chanceKey('a', JSON.stringify({ toCome: 0 })),
    chanceKey('a', printToCome()),
    changeKeys(1).factor(0),
    changeKeys(1).moved('edge'),
    changeKeys('foreseen').factor(0),
  ];
  expect(new Set(keys).size).toBe(keys.length);
});
