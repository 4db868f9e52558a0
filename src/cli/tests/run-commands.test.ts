import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { readReferenceJson } from '@/testing/reference';
import { asGiven } from '@/testing/mellow';
import { runPlan, runRun } from '../run-commands';
import { UsageError } from '../usage-error';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-run-'));

function inFolder(name: string, value: unknown): string {
  const file = path.join(folder, name);
  writeFileSync(file, typeof value === 'string' ? value : JSON.stringify(value));
  return file;
}

interface Case {
  readonly expected: Readonly<Record<string, unknown>>;
}

const casesOf = (name: string) => readReferenceJson<{ cases: Case[] }>(name).cases;

function refusal(run: () => object): string {
  try {
    return JSON.stringify(run());
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    return error.message;
  }
}

describe('mellow run', () => {
  test.each(casesOf('run.json').map((each, i) => [i, each] as const))('reference %i holds', (i, given) => {
    const said = runRun(asGiven(inFolder(`run-${i}.json`, given))) as Record<string, unknown>;
    const { topUps } = given.expected as { topUps: { layer: number; clock_s: number; add_mL: number }[] };
    for (const field of ['duration_s', 'resin_mL', 'left_mL'])
      expect(said[field]).toBeCloseTo(given.expected[field] as number, 6);
    expect(said.topUps).toHaveLength(topUps.length);
    (said.topUps as typeof topUps).forEach(({ layer, clock_s, add_mL }, k) => {
      expect(layer).toBe(topUps[k].layer);
      expect(clock_s).toBeCloseTo(topUps[k].clock_s, 6);
      expect(add_mL).toBeCloseTo(topUps[k].add_mL, 6);
    });
  });

  test('what cannot be is refused with its place', () => {
    const [good] = casesOf('run.json') as unknown as [
      { profile: Record<string, number>; vat: Record<string, number>; area_mm2: number[] },
    ];
    const said = (change: object) =>
      refusal(() => runRun(asGiven(inFolder('bad.json', { ...good, ...change }))));
    expect(said({ profile: { ...good.profile, liftSpeed_mm_s: -1 } })).toContain(
      'a speed must be above zero',
    );
    expect(said({ vat: { ...good.vat, level_mL: 90 } })).toContain('90 ml in a vat that holds 75');
    expect(said({ vat: { ...good.vat, floor_mL: 80 } })).toContain(
      'ml of the vat. Enter a smaller minimum level.',
    );
    expect(said({ area_mm2: [1e7] })).toContain('one layer needs more resin than a full vat');
    expect(said({ area_mm2: [-1] })).toContain('area_mm2.0');
    expect(refusal(() => runRun(asGiven(inFolder('no.json', 'no'))))).toContain('not valid JSON');
  });
});

describe('mellow plan', () => {
  test.each(casesOf('day.json').map((each, i) => [i, each] as const))('reference %i holds', (i, given) => {
    const said = runPlan(asGiven(inFolder(`day-${i}.json`, given)));
    expect(said).toMatchObject({ ...given.expected, exact: true });
  });

  test('an unknown station, a time that ends before it begins and a day without hands are said', () => {
    const step = { id: 'print', station: 'A', minutes: 30, attended: true };
    const job = { id: 'rack', due_min: 60, weight: 1, release_min: 0, steps: [step] };
    const day = { presence_min: [[0, 60]], stations: ['A'], jobs: [job] };
    const said = (change: object) =>
      refusal(() => runPlan(asGiven(inFolder('bad.json', { ...day, ...change }))));
    expect(said({ stations: ['B'] })).toContain('A is not a known station');
    expect(said({ presence_min: [[60, 0]] })).toContain('ends before it begins');
    expect(said({ presence_min: [] })).toContain('no working time is long enough');
    expect(refusal(() => runPlan(asGiven(inFolder('day.json', day), '--seed', 'x')))).toContain(
      'whole number',
    );
    expect(said({})).toContain('"exact":true');
  });
});
