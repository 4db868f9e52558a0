import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import { readReferenceJson } from '@/testing/reference';
import { asGiven } from '@/testing/mellow';
import { runLogCause, runLogWhere } from '../log-commands';
import { UsageError } from '../usage-error';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-log-'));

function inFolder(value: unknown): string {
  const file = path.join(folder, 'ask.json');
  writeFileSync(file, JSON.stringify(value));
  return file;
}

interface Reference {
  readonly place: readonly {
    readonly expected: Readonly<Record<'statistic_mm' | 'arrangements' | 'p', number>>;
  }[];
  readonly cause: readonly {
    readonly expected: Readonly<Record<'posterior' | 'bits', Readonly<Record<string, number>>>>;
  }[];
}

const { place, cause } = readReferenceJson<Reference>('log.json');

test.each(place.map((each, i) => [i, each] as const))('log where: the reference holds, %i', (_, each) => {
  const said = runLogWhere(asGiven(inFolder(each))) as Record<string, number>;
  expect(said.statistic_mm).toBeCloseTo(each.expected.statistic_mm, 9);
  expect(said.arrangements).toBe(each.expected.arrangements);
  expect(said.p).toBeCloseTo(each.expected.p, 12);
});

test.each(cause.map((each, i) => [i, each] as const))('log cause: the reference holds, %i', (_, each) => {
  const said = runLogCause(asGiven(inFolder(each))) as Reference['cause'][number]['expected'];
  for (const part of ['posterior', 'bits'] as const)
    for (const [name, value] of Object.entries(each.expected[part]))
      expect(said[part][name]).toBeCloseTo(value, 12);
});

const twoPlaces = [
  [0, 0],
  [10, 0],
];

test.each([
  [
    runLogWhere,
    { prints: [{ places: twoPlaces, failed: [0] }] },
    'failures of one print only: not enough data',
  ],
  [runLogWhere, { prints: [{ places: twoPlaces, failed: [2] }] }, 'print 1: failed place 2 does not exist'],
  [runLogWhere, { prints: [{ places: twoPlaces, failed: [1, 1] }] }, 'place 1 is named twice'],
  [runLogWhere, { prints: 'none' }, 'prints'],
  [runLogCause, { prior: {}, table: {}, evidence: {} }, 'the prior names no cause'],
  [runLogCause, { prior: { film: -1 }, table: {}, evidence: {} }, 'prior of film'],
  [
    runLogCause,
    { prior: { film: 1 }, table: {}, evidence: { moon: true } },
    'evidence moon: the table has no such row',
  ],
  [runLogCause, { prior: { film: 1 }, table: { a: {} }, evidence: { a: true } }, 'table, a, film'],
  [
    runLogCause,
    { prior: { film: 1 }, table: { a: { film: 0 } }, evidence: { a: true } },
    'the evidence is contradictory: the zeros and ones in the table exclude every cause. Use chances near 0 and 1 instead.',
  ],
])('what cannot be is refused in a sentence: %#', (command, ask, says) => {
  const refused = () => command(asGiven(inFolder(ask)));
  expect(refused).toThrow(UsageError);
  expect(refused).toThrow(says);
});
