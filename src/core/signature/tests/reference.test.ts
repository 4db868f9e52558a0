import { describe, expect, test } from '@jest/globals';
import { loadSignatureCase } from '@/testing/reference';
import { pooledScatter } from '@/core/measure';
import {
  drawTarget,
  estimateSignature,
  foretellSamePrint,
  groupObservations,
  jointChance,
  reportSignature,
} from '../index';

describe.each([11, 12, 13, 14, 15] as const)('reference signature %d', (number) => {
  const { readings, targets, expected, options } = loadSignatureCase(number);
  const signature = estimateSignature(readings, options);

  test('the pooled scatter of repeats is the reference’s', () => {
    const groups = groupObservations(readings, options.instruments).map((each) =>
      each.readings.map((reading) => reading.readingMm),
    );
    expect(pooledScatter(groups)?.sMm).toBeCloseTo(expected.pooled_s_mm, 12);
  });

  test.each(expected.parameters.map((each) => [each.name, each] as const))(
    '%s lies within a tenth of its sd',
    (name, wanted) => {
      const found = signature.parameters.find((parameter) => parameter.name === name)!;
      expect(Math.abs(found.mean - wanted.mean)).toBeLessThan(0.1 * wanted.sd);
      expect(Math.abs(found.sd / wanted.sd - 1)).toBeLessThan(0.02);
    },
  );

  test('the bias of each jaw, the shifts of states and green prints foretold lie within a tenth of their sd', () => {
    for (const wanted of expected.instrumentBias ?? []) {
      const found = signature.biases.find(({ jaw }) => jaw === wanted.jaw)!;
      expect(Math.abs(found.meanMm - wanted.mean_mm)).toBeLessThan(0.1 * wanted.sd_mm);
      expect(Math.abs(found.sdMm / wanted.sd_mm - 1)).toBeLessThan(0.02);
    }
    for (const wanted of expected.stateShift ?? []) {
      const found = signature.shifts.find(({ state }) => state === wanted.state)!;
      for (const along of ['xy', 'z'] as const) {
        expect(Math.abs(found[along].mean - wanted[along].mean)).toBeLessThan(0.1 * wanted[along].sd);
        expect(Math.abs(found[along].sd / wanted[along].sd - 1)).toBeLessThan(0.02);
      }
    }
    const foretold = foretellSamePrint(signature);
    expect(foretold).toHaveLength(expected.samePrint?.length ?? 0);
    for (const wanted of expected.samePrint ?? []) {
      const found = foretold.find(
        ({ feature, print }) => feature === wanted.feature && print === wanted.print,
      )!;
      expect(found.state).toBe(wanted.state);
      expect(Math.abs(found.predictedMm - wanted.predicted_mm)).toBeLessThan(0.1 * wanted.sd_mm);
      expect(Math.abs(found.sdMm / wanted.sd_mm - 1)).toBeLessThan(0.02);
    }
  });

  test('both scatters lie within 5 %', () => {
    expect(Math.abs(signature.scatter.featureMm / expected.scatter.feature_mm - 1)).toBeLessThan(0.05);
    expect(Math.abs(signature.scatter.printMm / expected.scatter.print_mm - 1)).toBeLessThan(0.05);
  });

  test.each(expected.targets.map((each) => [each.feature, each] as const))(
    '%s is drawn as the reference draws it',
    (feature, wanted) => {
      const drawn = drawTarget(
        signature,
        targets.find((target) => target.feature === feature)!,
      );
      expect(Math.abs(drawn.drawMm - wanted.draw_mm)).toBeLessThan(0.1 * wanted.sd_mm);
      expect(drawn.predictedMm).toBeCloseTo(wanted.predicted_mm, 9);
      expect(Math.abs(drawn.sdMm / wanted.sd_mm - 1)).toBeLessThan(0.02);
      expect(Math.abs(drawn.inTolerance - wanted.inTolerance)).toBeLessThan(0.01);
    },
  );

  test('the chance of all lies between the product and the worst of the chances', () => {
    const drawn = targets.map((target) => ({ target, ...drawTarget(signature, target) }));
    const joint = jointChance(signature, drawn);
    const chances = drawn.map(({ inTolerance }) => inTolerance);
    expect(joint).toBeLessThanOrEqual(Math.min(...chances) + 0.003);
    expect(joint).toBeGreaterThan(chances.reduce((product, chance) => product * chance, 1) - 0.01);
  });

  test('equal inputs give equal outputs, and the order of readings changes nothing that matters', () => {
    const again = estimateSignature(readings, options);
    expect(again.parameters).toEqual(signature.parameters);
    const turned = estimateSignature([...readings].reverse(), options);
    turned.parameters.forEach((parameter, i) =>
      expect(parameter.mean).toBeCloseTo(signature.parameters[i].mean, 10),
    );
  });

  test('the report carries units, lines and the joint chance', () => {
    const report = reportSignature(signature, targets, options, () => 0.01);
    expect(report.parameters.map(({ unit }) => unit)).toEqual([
      '1',
      '1',
      '1',
      '1',
      'mm',
      'mm',
      'mm2',
      'mm',
      'mm',
      '1',
      '1',
    ]);
    expect(report.targets).toHaveLength(targets.length);
    expect(report.jointInTolerance).toBeGreaterThan(0);
    expect(report.features[0].offset_mm).toBeCloseTo(
      report.features[0].size_mm - report.features[0].drawn_mm,
      12,
    );
  });
});
