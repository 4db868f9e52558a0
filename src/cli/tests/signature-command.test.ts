import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, jest, test } from '@jest/globals';
import { type ExpectedSignature, readReferenceJson } from '@/testing/reference';
import { asGiven } from '@/testing/mellow';
import { runSignature } from '../signature-command';

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-signature-'));

function inFolder(name: string, text: string): string {
  writeFileSync(path.join(folder, name), text);
  return path.join(folder, name);
}

/** The report of a reference's readings with its targets; further words behind. */
function reportOf(number: number, ...words: string[]) {
  const file = (what: string) => `reference/signature-${number}.${what}.csv`;
  return runSignature(asGiven(file('readings'), '--targets', file('targets'), ...words));
}

const near = (found: number, wanted: number, sd: number) =>
  expect(Math.abs(found - wanted)).toBeLessThan(0.1 * sd);

describe('mellow signature', () => {
  test.each([
    [11, []],
    [12, []],
    [13, []],
    [14, []],
    [15, ['--checks', 'reference/signature-15.checks.csv']],
  ])('reference %d holds through the command line', (number, words) => {
    const report = reportOf(number, '--mpe', '0.02', '--resolution', '0.01', ...words);
    const expected = readReferenceJson<ExpectedSignature>(`signature-${number}.expected.json`);
    expected.parameters.forEach(({ name, mean, sd }) =>
      near(report.parameters.find((each) => each.name === name)!.mean, mean, sd),
    );
    expected.targets.forEach((wanted, i) => {
      near(report.targets[i].draw_mm, wanted.draw_mm, wanted.sd_mm);
      expect(Math.abs(report.targets[i].sd_mm / wanted.sd_mm - 1)).toBeLessThan(0.02);
      expect(Math.abs(report.targets[i].inTolerance - wanted.inTolerance)).toBeLessThan(0.01);
    });
    expected.instrumentBias?.forEach(({ jaw, mean_mm, sd_mm }) =>
      near(report.instrumentBias.find((each) => each.jaw === jaw)!.mean_mm, mean_mm, sd_mm),
    );
    expected.stateShift?.forEach(({ state, xy }) =>
      near(report.stateShift.find((each) => each.state === state)!.xy.mean, xy.mean, xy.sd),
    );
    expected.samePrint?.forEach(({ feature, print, predicted_mm, sd_mm }) => {
      const found = report.samePrint.find((each) => each.feature === feature && each.print === print)!;
      near(found.predicted_mm, predicted_mm, sd_mm);
    });
    expect(report.jointInTolerance).toBeGreaterThan(0);
  });

  test('the covariance is square over the parameters, its diagonal their variances', () => {
    const { covariance, parameters } = reportOf(13);
    expect(covariance).toHaveLength(parameters.length);
    parameters.forEach(({ sd }, i) => expect(Math.sqrt(covariance[i][i])).toBeCloseTo(sd, 12));
  });

  test('targets mean the state asked for: drawn for green they differ by the shift', () => {
    const [cured, green] = [reportOf(14), reportOf(14, '--state', 'green')];
    const [{ xy }] = cured.stateShift;
    const rim = (report: typeof cured) => report.targets.find(({ feature }) => feature === 'rim')!.draw_mm;
    // Green is larger by about 0.15 %, so it is drawn smaller by so much of 24 mm.
    expect(rim(cured) - rim(green)).toBeCloseTo(24.1 * xy.mean, 2);
    expect(green.samePrint).toEqual([]);
  });

  test('readings all in one state are learned in that state', () => {
    const text = readFileSync('reference/signature-12.readings.csv', 'utf8').replaceAll('cured', 'green');
    const report = runSignature(asGiven(inFolder('green.csv', text)));
    expect(report.stateShift).toEqual([]);
    expect(report.samePrint).toEqual([]);
  });

  test('a header alone gives the prior', () => {
    const [header] = readFileSync('reference/signature-12.readings.csv', 'utf8').split('\n');
    const report = runSignature(asGiven(inFolder('header.csv', `${header}\n`)));
    expect(report.parameters.map(({ from }) => from)).toEqual(report.parameters.map(() => 'prior'));
    expect(report.features).toEqual([]);
  });

  test('a relative on the same printer lends, and what it lent is told apart from what was read', () => {
    const measured = reportOf(11);
    const relatives = inFolder(
      'relatives.json',
      JSON.stringify([{ same: ['printer', 'resin'], signature: measured }]),
    );
    const [header] = readFileSync('reference/signature-12.readings.csv', 'utf8').split('\n');
    const lent = runSignature(asGiven(inFolder('none.csv', `${header}\n`), '--relatives', relatives));
    const edge = (report: typeof lent) => report.parameters.find(({ name }) => name === 'edge')!;
    expect(edge(lent).from).toBe('relatives');
    expect(edge(lent).sd).toBeGreaterThan(edge(measured).sd);
    near(edge(lent).mean, edge(measured).mean, 2 * edge(measured).sd);
    const named = inFolder(
      'named.json',
      JSON.stringify({
        printer: 'A',
        resin: 'R1',
        relatives: [{ printer: 'A', resin: 'R1', signature: measured }],
      }),
    );
    const same = runSignature(asGiven(inFolder('none.csv', `${header}\n`), '--relatives', named));
    expect(edge(same)).toEqual(edge(lent));
  });

  test.each([
    ['not JSON', '{', 'this is not valid JSON'],
    [
      'a signature that lacks a parameter',
      [{ same: [], signature: { parameters: [] } }],
      'epsilonX is missing',
    ],
    ['another word than printer or resin', [{ same: ['vat'], signature: { parameters: [] } }], '0.same.0'],
  ])('relatives that are %s end in one line', (_, content, sentence) => {
    const text = typeof content === 'string' ? content : JSON.stringify(content);
    const words = ['reference/signature-12.readings.csv', '--relatives', inFolder('bad.json', text)];
    expect(() => runSignature(asGiven(...words))).toThrow(sentence);
  });

  test.each([
    ['jaw,known_mm,u_mm,reading_mm\nsideways,10,0.001,10.01\n', 'line 2, jaw'],
    ['jaw,known_mm,u_mm,reading_mm\noutside,10,-1,10.01\n', 'line 2, u_mm'],
    ['jaw,known_mm\noutside,10\n', 'line 1'],
  ])('a bad check piece ends in one line (%#)', (text, sentence) => {
    const words = ['reference/signature-12.readings.csv', '--checks', inFolder('checks.csv', text)];
    expect(() => runSignature(asGiven(...words))).toThrow(sentence);
  });

  test.each([
    ['half a place', '1,', 'y_mm'],
    ['a place off any plate', '5000,0', 'x_mm'],
  ])('%s is refused with its line', (_, cells, column) => {
    const [header, ...rows] = readFileSync('reference/signature-12.readings.csv', 'utf8').trim().split('\n');
    const text = [`${header},x_mm,y_mm`, ...rows.map((row) => `${row},${cells}`)].join('\n');
    expect(() => runSignature(asGiven(inFolder('place.csv', text)))).toThrow(`line 2, ${column}`);
  });

  test('a coated reading without the thickness of its coat is told and not learned from', () => {
    const [header, first, ...rest] = readFileSync('reference/signature-12.readings.csv', 'utf8')
      .trim()
      .split('\n');
    const coated = first.replace('cured', 'coated');
    const told = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
    const report = runSignature(asGiven(inFolder('coated.csv', [header, coated, ...rest].join('\n'))));
    expect(told.mock.calls[0][0]).toContain('line 2');
    told.mockRestore();
    expect(report.features.some(({ feature }) => feature === first.split(',')[0])).toBe(
      rest.some((row) => row.startsWith(`${first.split(',')[0]},`)),
    );
  });
});
