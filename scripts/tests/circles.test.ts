import { expect, test } from '@jest/globals';
import { findCircles } from '../../lint/circles.mjs';

const circlesOf = (arrows: Readonly<Record<string, readonly string[]>>) =>
  findCircles(new Map(Object.entries(arrows))).map((circle: readonly string[]) => [...circle].sort());

test('files that import each other are a circle, however long the way back is', () => {
  expect(circlesOf({ a: ['b'], b: ['a'] })).toEqual([['a', 'b']]);
  expect(circlesOf({ a: ['b'], b: ['c'], c: ['d', 'x'], d: ['a'], x: [] })).toEqual([['a', 'b', 'c', 'd']]);
});

test('two circles that one arrow joins are two', () => {
  expect(circlesOf({ a: ['b'], b: ['a', 'c'], c: ['d'], d: ['c'] })).toHaveLength(2);
});

test('two ways to the same file are none', () => {
  expect(circlesOf({ a: ['b', 'c'], b: ['d'], c: ['d'], d: [] })).toEqual([]);
});
