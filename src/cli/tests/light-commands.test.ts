import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { readReferenceJson } from '@/testing/reference';
import { asGiven } from '@/testing/mellow';
import { runLightStrips, runLightExposureChange } from '../light-commands';
import { UsageError } from '../usage-error';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-light-'));

function inFolder(name: string, value: unknown): string {
  const file = path.join(folder, name);
  writeFileSync(file, typeof value === 'string' ? value : JSON.stringify(value));
  return file;
}

function refusal(run: () => object): string {
  try {
    return JSON.stringify(run());
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    return error.message;
  }
}

interface Reference {
  readonly strips: {
    readonly exposure: readonly number[];
    readonly depth_mm: readonly number[];
    readonly u_mm: number;
    readonly expected: Readonly<Record<string, number>>;
  };
  readonly trim: readonly {
    readonly expected: Readonly<Record<string, Readonly<Record<string, number>>>>;
  }[];
}

const reference = readReferenceJson<Reference>('light-2.json');

describe('mellow light strips', () => {
  test('the reference holds, read with a caliper of 0.02', () => {
    const { exposure, depth_mm, u_mm, expected } = reference.strips;
    const rows = exposure.map((each, i) => `${each},${depth_mm[i]},${u_mm}`);
    const file = inFolder('strips.csv', ['exposure,depth_mm,u_mm', ...rows].join('\n'));
    const said = runLightStrips(asGiven(file)) as Record<string, number>;
    for (const [name, value] of Object.entries(expected))
      expect(Math.abs(said[name] / value - 1)).toBeLessThan(1e-6);
  });

  test('a caliper twice as bad knows less of where it begins, and as much of the depth', () => {
    const file = inFolder('plain.csv', 'exposure;depth_mm\n8;0,033\n12;0,09\n18;0,156\n27;0,211');
    const of = (mpe: string) => runLightStrips(asGiven(file, '--mpe', mpe)) as Record<string, number>;
    expect(of('0.04').lnEc_sd).toBeGreaterThan(1.2 * of('0.02').lnEc_sd);
    expect(of('0.04').Dp_sd_mm).toBeCloseTo(of('0.02').Dp_sd_mm, 12);
  });

  test.each([
    ['exposure\n8', 'line 1: the column depth_mm missing'],
    [
      'exposure,depth_mm\n8,0.1',
      'all strips had the same exposure. A curve needs at least two: cure another strip at 1.5 times the exposure.',
    ],
    ['exposure,depth_mm\n8,0.1\n12,0', 'strip 2, exposure 12: no thickness'],
    [
      'exposure,depth_mm\n8,0.2\n12,0.1',
      'longer exposures gave thinner strips, which is physically impossible. Check which strip is which, and measure them again.',
    ],
    ['exposure,depth_mm\n0,0.2\n12,0.1', 'strip 1: 0 is not a valid exposure'],
    ['exposure,depth_mm\nlong,0.2', 'line 2, exposure'],
  ])('%j is refused with its sentence', (text, words) => {
    expect(refusal(() => runLightStrips(asGiven(inFolder('bad.csv', text))))).toContain(words);
  });
});

describe('mellow light trim', () => {
  test.each(reference.trim.map((each, i) => [i, each] as const))('reference %i holds', (i, given) => {
    const said = runLightExposureChange(asGiven(inFolder(`trim-${i}.json`, given))) as typeof given.expected;
    for (const [name, values] of Object.entries(given.expected)) {
      const spread = values.sd ?? values.high - values.low;
      for (const [key, value] of Object.entries(values))
        expect(Math.abs(said[name][key] - value)).toBeLessThan(0.02 * spread);
    }
  });

  test.each([
    ['{', 'this is not valid JSON'],
    ['{"t0_s":2.4}', 'prior:'],
    ['{"t0_s":0,"prior":{"mean":0,"sd":1},"observations":[]}', '0 s is not a valid exposure'],
    [
      '{"t0_s":2,"prior":{"mean":0,"sd":0},"observations":[]}',
      'the standard deviation of the prior must be above 0.',
    ],
    [
      '{"t0_s":2,"prior":{"mean":0,"sd":1},"observations":[{"t_s":2,"edge_mm":0.1,"sd_mm":0}]}',
      'observation 1',
    ],
  ])('%s is refused with its sentence', (text, words) => {
    expect(refusal(() => runLightExposureChange(asGiven(inFolder('bad.json', text))))).toContain(words);
  });
});
