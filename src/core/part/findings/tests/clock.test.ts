import { describe, expect, test } from '@jest/globals';
import {
  fitStations,
  layerAtMinute,
  layerAtPlateHeight,
  layerOfPrinted,
  liftLayers,
  limitsOf,
  momentOf,
  readingFor,
  type Clock,
} from '../index';

const FLAT: Clock = { layerMm: 0.05, layerSeconds: 6, liftMm: 0 };
const LIFTED: Clock = { ...FLAT, liftMm: 5 };

describe('layer, height and clock', () => {
  test('flat on the plate the part’s layers are the printer’s', () => {
    expect(momentOf(0, FLAT)).toEqual({ printed: 0, heightMm: 0.025, minutes: 0 });
    expect(momentOf(100, FLAT)).toEqual({ printed: 100, heightMm: expect.closeTo(5.025, 9), minutes: 10 });
  });
  test('supports come before it, whole layers of them', () => {
    expect(liftLayers(LIFTED)).toBe(100);
    expect(liftLayers({ layerMm: 0.05, liftMm: 5.01 })).toBe(101);
    expect(momentOf(20, LIFTED)).toEqual({ printed: 120, heightMm: expect.closeTo(6.025, 9), minutes: 12 });
  });
  test.each([FLAT, LIFTED])('each way there has its way back', (clock) => {
    for (const layer of [0, 1, 7, 333, 2000]) {
      const { printed, heightMm, minutes } = momentOf(layer, clock);
      expect(layerOfPrinted(printed, clock)).toBe(layer);
      expect(layerAtPlateHeight(heightMm, clock)).toBe(layer);
      expect(layerAtMinute(minutes, clock)).toBe(layer);
    }
  });
  test('a minute among the supports is before the part', () => {
    expect(layerAtMinute(3, LIFTED)).toBeLessThan(0);
    expect(layerAtPlateHeight(2, LIFTED)).toBe(-60);
  });
});

describe('limits', () => {
  const machine = { pixelMm: 0.05, layerMm: 0.05, rooms: {}, jointGapsMm: [] };

  test('the resin’s smallest detail counts where it is coarser than the pixels', () => {
    expect(limitsOf(machine).wallMm).toEqual({ value: 0.2, from: 'printer' });
    expect(limitsOf({ ...machine, leastFeatureMm: 0.1 }).wallMm).toEqual({ value: 0.2, from: 'printer' });
    expect(limitsOf({ ...machine, leastFeatureMm: 0.4 }).wallMm).toEqual({ value: 0.4, from: 'resin' });
  });
  test('what is not known is assumed and says so', () => {
    const { pixelMm, layerSeconds, peelMm2, gapMm } = limitsOf({ layerMm: 0.05, rooms: {}, jointGapsMm: [] });
    expect([pixelMm.from, layerSeconds.from, peelMm2.from, gapMm.from]).toEqual([
      'assumed',
      'assumed',
      'assumed',
      'house',
    ]);
  });
  test('a slope of 45° grows by a layer height, a steeper rule by less', () => {
    expect(limitsOf(machine).selfSupportingMm).toBeCloseTo(0.05, 12);
    const rules = {
      wallPixels: 4,
      floorLayers: 4,
      leastGapMm: 0.2,
      selfSupportingDeg: 60,
      hangMm2: 4,
      peelShare: 0.4,
      contactShare: 0.1,
      cupMm2: 10,
    };
    expect(limitsOf(machine, rules).selfSupportingMm).toBeCloseTo(0.05 / Math.tan(Math.PI / 3), 12);
  });
  test('layers are read for the widest gap that anything asks for', () => {
    const limits = limitsOf({ ...machine, ladderGapMm: 0.3, jointGapsMm: [0.5, 0.45] });
    expect(readingFor(limits, { kind: 'supports', liftMm: 5 })).toMatchObject({
      onSupports: true,
      thinGapMm: 0.45,
      heightMm: 0.05,
    });
    expect(readingFor(limits, { kind: 'inFile' }).onSupports).toBe(false);
  });
  test('supports count for the plate alone; stations that nobody measured are left out', () => {
    expect(fitStations([10, 10, 48], 5, { plate: [60, 60, 50], wash: [12, 12, 50] })).toEqual({
      plate: false,
      wash: true,
    });
    expect(fitStations([10, 10, 48], 0, {})).toEqual({});
  });
});
