import { describeFinding, type Finding, FINDING_CODES, STUDIED_ORIENTATIONS } from '@/core/part/findings';
import { describe, expect, test } from '@jest/globals';
import { describeWhere } from '../words-findings';
import { describeOrientation, describePrintSetup } from '../words-print-setup';

const finding = (more: Partial<Finding>): Finding => ({
  key: 'x',
  code: 'island',
  risk: 'printLost',
  chance: 'likely',
  costHours: 1,
  measured: 12.3,
  limit: 20,
  layer: 80,
  atMm: [1, -2, 3],
  ventMm: [4, 5, 0.1],
  volumeMm3: 1500,
  more: 0,
  ...more,
});

describe('findings in words', () => {
  test.each(FINDING_CODES)('%s says what it is, what it does, what to do and what that changes', (code) => {
    const words = describeFinding(finding({ code, station: code === 'tooLarge' ? 'lamp' : undefined }));
    for (const sentence of [words.title, words.does, words.mend, words.changes])
      expect(sentence).toMatch(/^[\p{Lu}\d].{8,}$/su);
    for (const sentence of [words.does, words.mend, words.changes]) expect(sentence).toMatch(/\.$/);
    expect(Object.values(words).join(' ')).not.toMatch(/undefined|NaN|null/);
  });
  test('a cup names the place of its vent, a void warns of what stays in', () => {
    expect(describeFinding(finding({ code: 'cup', measured: 78.5 })).mend).toContain('at 4.0, 5.0, 0.1');
    expect(describeFinding(finding({ code: 'cup', measured: 78.5 })).title).toBe('Suction cup of 79 mm²');
    expect(describeFinding(finding({ code: 'void' })).title).toBe('Sealed void with 1.5 ml of resin');
  });
  test('layer, height and clock stand together', () => {
    expect(describeWhere(finding({ layer: 80 }), { layerMm: 0.05, layerSeconds: 7.5, liftMm: 0 })).toBe(
      'layer 80, 4.03 mm high, 10 min after the start',
    );
    expect(
      describeWhere(finding({ layer: 60, toLayer: 1199 }), { layerMm: 0.05, layerSeconds: 60, liftMm: 0 }),
    ).toBe('layers 60–1199, 3.03 mm high, 1 h 00 after the start');
    expect(
      describeWhere(finding({ layer: undefined }), { layerMm: 0.05, layerSeconds: 60, liftMm: 0 }),
    ).toBeUndefined();
  });
  test('on supports the printer has made theirs before', () => {
    // 5 mm are 100 layers of 0.05, at 6 s each ten minutes.
    expect(describeWhere(finding({ layer: 20 }), { layerMm: 0.05, layerSeconds: 6, liftMm: 5 })).toBe(
      'layer 120, 6.03 mm high, 12 min after the start',
    );
  });
  test('poses and stances have names', () => {
    const names = STUDIED_ORIENTATIONS.map(({ name }) => describeOrientation(name));
    expect(new Set(names).size).toBe(names.length);
    expect(names).toContain('upside down');
    expect(describeOrientation({ kind: 'search' })).toBe('found by search');
    expect(describePrintSetup({ kind: 'supports', liftMm: 5 })).toBe('on supports, 5.0 mm high');
  });
});
