import { describe, expect, test } from '@jest/globals';
import type { ReadingInput } from '@/subjects/measure/readings/shared';
import {
  countReadings,
  firstToRead,
  newestSeen,
  nextToRead,
  readingsOnTheWay,
  type ReadFeature,
} from '../_components/reading-order';

/** A feature with so many readings on the page, their ids and keys counted up from ten times its own. */
const feature = (id: number, readings: number): ReadFeature => ({
  id,
  readings: Array.from({ length: readings }, (_, i) => ({
    id: 10 * id + i,
    clientKey: `key-${10 * id + i}`,
  })),
});

const sent = (featureId: number, clientKey: string): ReadingInput => ({
  clientKey,
  sessionId: 1,
  featureId,
  printId: 1,
  readingMm: 9.5,
  confirmed: false,
});

test('a reading that waits and is kept already counts once, one that the page shows not at all', () => {
  const features = [feature(1, 1)];
  const kept = [sent(1, 'key-10'), sent(1, 'a')];
  const onTheWay = readingsOnTheWay(features, kept, [sent(1, 'a'), sent(1, 'b')]);
  expect(onTheWay.map(({ clientKey }) => clientKey)).toEqual(['a', 'b']);
  expect(countReadings(features, onTheWay).get(1)).toBe(3);
});

describe('the order of reading', () => {
  const features = [feature(1, 3), feature(2, 1), feature(3, 3), feature(4, 0)];
  const counts = countReadings(features, []);

  test('begins at the first feature that wants a reading, at the first of all when none does', () => {
    expect(firstToRead(features, counts).id).toBe(2);
    const whole = [feature(7, 3), feature(8, 3)];
    expect(firstToRead(whole, countReadings(whole, [])).id).toBe(7);
  });

  test('stays until a feature has its three, then goes on to the next that wants some, round the list', () => {
    expect(nextToRead(features, counts, 2, 2)).toBe(2);
    expect(nextToRead(features, counts, 2, 3)).toBe(4);
    expect(nextToRead(features, counts, 4, 3)).toBe(2);
    expect(nextToRead([feature(1, 3)], new Map([[1, 3]]), 1, 3)).toBe(1);
  });

  test('what was seen of a feature is its newest reading, nothing where it has none', () => {
    expect(newestSeen(features, 1)).toBe(12);
    expect(newestSeen(features, 4)).toBe(0);
    expect(newestSeen(features, 99)).toBe(0);
  });
});

test('readings near the plate are beside the three that a feature wants', () => {
  const [first] = [feature(1, 3)];
  const low = { ...first, readings: first.readings.map((each, i) => ({ ...each, atPlate: i > 0 })) };
  const onTheWay = [{ ...sent(1, 'low'), heightMm: 0.5 }, sent(1, 'high')];
  expect(countReadings([low], onTheWay).get(1)).toBe(2);
});
