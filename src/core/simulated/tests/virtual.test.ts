import { describe, expect, test } from '@jest/globals';
import type { FeatureKind } from '@/core/measure';
import { seededRandom } from '@/core/kit/numerics';
import { BLOCK_OF_24 } from '@/core/fit/gauges';
import { drawTarget, estimateSignature, type SignatureReading } from '@/core/signature';
import {
  curedWall,
  drawCaliper,
  drawPrinter,
  lawfulSize,
  lonelyEdgeGrowth,
  openSlot,
  printFeature,
  readCaliper,
  type VirtualPrinter,
} from '../index';

const LIGHT = { blurMm: 0.05, dose: 3 };
const HOLE: FeatureKind = { sense: 'inside', shape: 'round', axis: 'XY' };
const WIDTH: FeatureKind = { sense: 'outside', shape: 'flat', axis: 'X' };

describe('light of the simulated printer', () => {
  test('at twice the threshold an edge stays where it was drawn', () => {
    expect(lonelyEdgeGrowth({ blurMm: 0.05, dose: 2 })).toBeCloseTo(0, 12);
    expect(lonelyEdgeGrowth(LIGHT)).toBeGreaterThan(0);
  });

  test('a thin wall grows less than a thick one, and a hair does not cure', () => {
    const growth = (width: number) => curedWall(width, LIGHT) - width;
    expect(growth(0.08)).toBeLessThan(growth(2) - 0.003);
    expect(growth(2)).toBeCloseTo(2 * lonelyEdgeGrowth(LIGHT), 6);
    expect(curedWall(0.02, LIGHT)).toBe(0);
  });

  test('a narrow slot closes more than a wide one, and a hair closes', () => {
    const closing = (width: number) => width - openSlot(width, LIGHT);
    expect(closing(0.12)).toBeGreaterThan(closing(2) + 0.003);
    expect(openSlot(0.03, LIGHT)).toBe(0);
  });
});

describe('print of the simulated printer', () => {
  const printer = drawPrinter(11);
  const place = { feature: 'w', kind: WIDTH, drawnMm: 20, xMm: 3, yMm: 1 };

  test('the same printer, feature and print give the same size; another print another', () => {
    expect(printFeature(printer, place, 'A1')).toBe(printFeature(printer, place, 'A1'));
    expect(printFeature(printer, place, 'A1')).not.toBe(printFeature(printer, place, 'A2'));
  });

  test('its truth is not a straight line in the drawn size: the estimator’s law cannot be exact', () => {
    const calm: VirtualPrinter = { ...printer, pixelMm: 1e-6, doseSlope: [0, 0], ...LIGHT };
    const offset = (drawnMm: number) => lawfulSize(calm, { ...place, drawnMm }) - drawnMm;
    const line = offset(4) + ((offset(40) - offset(4)) * (0.1 - 4)) / 36;
    expect(Math.abs(offset(0.1) - line)).toBeGreaterThan(0.001);
  });

  test('heights come in whole layers', () => {
    const height = (drawnMm: number) =>
      lawfulSize(printer, {
        ...place,
        kind: { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' },
        drawnMm,
      });
    expect(height(5.01)).toBe(height(5));
  });

  test('the second family scatters more', () => {
    expect(drawPrinter(11, 'second').habitSd).toBeCloseTo(1.5 * printer.habitSd, 12);
    expect(drawPrinter(11, 'second').driftEdgeSd).toBeCloseTo(2 * printer.driftEdgeSd, 12);
  });
});

describe('caliper of the simulated printer', () => {
  test('shows steps of its resolution and reads small holes small', () => {
    const caliper = { ...drawCaliper(3), noiseSd: 0, biasInsideMm: 0, biasOutsideMm: 0 };
    const read = (mm: number, kind: FeatureKind) => readCaliper(caliper, mm, kind, seededRandom(1));
    expect(read(2, HOLE)).toBeCloseTo(1.98, 9); // √(4 − 0.09) = 1.977
    expect(read(2, WIDTH)).toBe(2);
    expect(read(0.25, HOLE)).toBeUndefined();
  });
});

test('correct, then print: over many printers the print lands on the target within what was predicted', () => {
  const options = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };
  const z = Array.from({ length: 12 }, (_, i) => {
    const printer = {
      ...drawPrinter(500 + i),
      pixelMm: 1e-6,
      doseSlope: [0, 0] as const,
      habitSd: 0.004,
      chanceSd: 0.003,
    };
    const readings: SignatureReading[] = BLOCK_OF_24.flatMap((place) =>
      [1, 2].map(() => ({
        ...place.kind,
        feature: place.feature,
        print: 'B',
        drawnMm: place.drawnMm,
        readingMm: printFeature(printer, place, 'B'),
      })),
    );
    const target = {
      feature: 'job',
      kind: WIDTH,
      targetMm: 17,
      lowerDeviationMm: -0.1,
      upperDeviationMm: 0.1,
    };
    const { drawMm, sdMm } = drawTarget(estimateSignature(readings, options), target);
    return (
      (printFeature(printer, { feature: 'job', kind: WIDTH, drawnMm: drawMm, xMm: 0, yMm: 0 }, 'A1') - 17) /
      sdMm
    );
  });
  const rms = Math.sqrt(z.reduce((sum, each) => sum + each * each, 0) / z.length);
  expect(rms).toBeLessThan(1.4);
  expect(rms).toBeGreaterThan(0.4);
});
