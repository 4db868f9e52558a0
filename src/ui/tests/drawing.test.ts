import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { stripScale } from '../rule-strip/scale';
import { toneOf } from '../rule-strip/tone';
import { layOutCallouts } from '../viewer/callouts';

describe('colours of the house', () => {
  const css = readFileSync('src/ui/tokens.css', 'utf8');
  const themes = {
    light: css.slice(css.indexOf(':root'), css.indexOf('[data-theme')),
    dark: css.slice(css.indexOf('[data-theme')),
  };
  const tokensOf = (block: string) =>
    Object.fromEntries(
      [...block.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})/g)].map(([, name, value]) => [name, value]),
    );

  /** Luminance by WCAG 2. */
  function luminance(hex: string): number {
    const channels = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
    const [r, g, b] = channels.map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  }
  function contrast(a: string, b: string): number {
    const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x);
    return (high + 0.05) / (low + 0.05);
  }

  describe.each(Object.entries(themes))('%s', (_, block) => {
    const tokens = tokensOf(block);
    const texts = ['ink', 'soft', 'juniper', 'plum', 'teal', 'honey'].flatMap((text) =>
      ['ground', 'sheet', 'wash'].map((ground) => [text, ground]),
    );

    test.each([...texts, ['on-juniper', 'juniper'], ['ink', 'band'], ['juniper', 'band']])(
      '%s on %s reads at 4.5 : 1',
      (text, ground) => {
        expect(contrast(tokens[text], tokens[ground])).toBeGreaterThanOrEqual(4.5);
      },
    );

    test.each(['ground', 'sheet', 'wash'])('borders of controls stand out from %s at 3 : 1', (ground) => {
      expect(contrast(tokens.edge, tokens[ground])).toBeGreaterThanOrEqual(3);
    });
  });

  test('in the dark no ground is brighter than the wash', () => {
    const tokens = tokensOf(themes.dark);
    for (const ground of ['ground', 'sheet'])
      expect(luminance(tokens[ground])).toBeLessThanOrEqual(luminance(tokens.wash));
  });
});

describe('scale of the rule strip', () => {
  const values = { lowerDeviationMm: -0.05, upperDeviationMm: 0.05, resolutionMm: 0.01 };

  test('holds the tolerance with room on both sides, and the measured size with its whisker', () => {
    const plain = stripScale(values, 330);
    expect(plain.fromMm).toBeLessThan(-0.05);
    expect(plain.toMm).toBeGreaterThan(0.05);
    const far = stripScale({ ...values, measuredMm: 0.15, expandedU_mm: 0.02 }, 330);
    expect(far.isBeyond(0.17)).toBe(false);
  });

  test('a size kilometres off is drawn at the end and marked as beyond', () => {
    const scale = stripScale({ ...values, measuredMm: 1000 }, 330);
    expect(scale.isBeyond(1000)).toBe(true);
    expect(scale.xOf(1000)).toBeCloseTo(scale.xOf(scale.toMm), 9);
  });

  test('ticks are at least 6 px apart at every width, and deviations keep their order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 160, max: 900 }),
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        (width, half) => {
          const scale = stripScale(
            { lowerDeviationMm: -half, upperDeviationMm: half, resolutionMm: 0.01 },
            width,
          );
          for (let i = 1; i < scale.ticks.length; i++)
            expect(scale.ticks[i].x - scale.ticks[i - 1].x).toBeGreaterThanOrEqual(5.99);
          expect(scale.xOf(-half)).toBeLessThan(scale.xOf(half));
        },
      ),
      { seed: 11, numRuns: 100 },
    );
  });

  test('the tone follows the verdict', () => {
    expect(toneOf(undefined)).toBe('none');
    expect(toneOf({ kind: 'in', rule: 'guarded' })).toBe('in');
    expect(toneOf({ kind: 'out', side: 'under', byMm: 1, rule: 'guarded' })).toBe('under');
    expect(toneOf({ kind: 'cantTell', settling: { kind: 'nothing' }, rule: 'guarded' })).toBe('unsure');
  });
});

describe('callouts on a part', () => {
  const frame = { middle: [200, 150] as const, width: 400, height: 300 };
  const anchor = (id: number, x: number, y: number) => ({ id, label: `feature ${id}`, at: [x, y] as const });

  test('labels stand on the side of their anchor, in its order, never on one another', () => {
    const placed = layOutCallouts(
      [anchor(1, 150, 100), anchor(2, 160, 102), anchor(3, 170, 98), anchor(4, 260, 100)],
      frame,
    );
    const left = placed.filter(({ end }) => end < 200).sort((a, b) => a.to[1] - b.to[1]);
    expect(left.map(({ id }) => id)).toEqual([3, 1, 2]);
    for (let i = 1; i < left.length; i++)
      expect(left[i].to[1] - left[i - 1].to[1]).toBeGreaterThanOrEqual(24);
    expect(placed.find(({ id }) => id === 4)!.end).toBeGreaterThan(200);
  });

  test('at the bottom edge they move up to stay inside', () => {
    const placed = layOutCallouts([anchor(1, 150, 299), anchor(2, 151, 299)], frame);
    for (const { to } of placed) expect(to[1]).toBeLessThanOrEqual(frame.height);
  });
});
