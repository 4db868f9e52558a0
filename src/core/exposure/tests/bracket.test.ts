import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '@/core/kit/numerics';
import { expectOk } from '@/core/kit';
import { drawPrinter } from '@/core/simulated';
import { bracketTwice, changeExposureOnce } from '@/testing/light';
import { bracketExposures, type BracketOutcome, readBracket } from '../index';

const SLOT_MM = 0.2;

describe('a bracket', () => {
  test('three then three find an exposure that holds and draws true, on printers whose light is not the model’s', () => {
    const printers = 16;
    const found = Array.from({ length: printers }, (_, i) =>
      bracketTwice(drawPrinter(i + 1, i % 2 === 0 ? 'second' : 'first'), seededRandom(i + 1)),
    );
    const good = found.filter(({ holds, edgeMm }) => holds && Math.abs(edgeMm) < 0.03).length;
    // bench:light has 200 of them.
    expect(good / printers).toBeGreaterThanOrEqual(0.86);
  });

  test('all lost asks for longer exposures, all bridged for shorter ones', () => {
    const ask = { lowS: 1, highS: 4, slotMm: SLOT_MM };
    const all = (outcome: Omit<BracketOutcome, 'exposureS'>) =>
      expectOk(
        readBracket({
          ...ask,
          outcomes: bracketExposures(2, 1.4).map((exposureS) => ({ exposureS, ...outcome })),
        }),
      );
    const lost = all({ held: false });
    expect(lost.beyond).toBe('longer');
    expect(lost.next![0]).toBeGreaterThan(2);
    const bridged = all({ held: true, bridged: true });
    expect(bridged.beyond).toBe('shorter');
    expect(bridged.next![1]).toBeLessThan(2 / 1.4);
  });

  test('readings that share an error know less than as many of their own', () => {
    const outcomes = bracketExposures(2, 1.3).map((exposureS, i) => ({
      exposureS,
      held: true,
      bridged: false,
      edge: { mm: 0.012 * (i - 1), sdMm: 0.004 },
    }));
    const ask = { lowS: 1, highS: 4, slotMm: SLOT_MM, outcomes };
    const sd = (sharedSdMm?: number) => expectOk(readBracket({ ...ask, sharedSdMm })).best.edgeSdMm;
    expect(sd(0)).toBe(sd());
    expect(sd(0.01)).toBeGreaterThan(1.5 * sd(0));
    // A shared error a thousand times smaller than each own one says nothing.
    expect(sd(4e-6)).toBeCloseTo(sd(0), 6);
  });

  test('what is surely good asks for nothing more', () => {
    const edges = [-0.012, 0, 0.012].map((mm) => ({ mm, sdMm: 0.004 }));
    const outcomes = bracketExposures(2, 1.3).map((exposureS, i) => ({
      exposureS,
      held: true,
      bridged: false,
      edge: edges[i],
    }));
    const { best, next, along } = expectOk(readBracket({ lowS: 1, highS: 4, slotMm: SLOT_MM, outcomes }));
    expect(next).toBeUndefined();
    expect(best.exposureS).toBeGreaterThan(1.4);
    expect(best.exposureS).toBeLessThan(2.8);
    for (const { holds: chance } of along) expect(chance).toBeLessThanOrEqual(1 + 1e-9);
  });

  test.each([
    [{ lowS: 0 }, 'badExposure'],
    [{ lowS: 5 }, 'lowAboveHigh'],
    [{ slotMm: 0 }, 'badSlot'],
    [{ outcomes: [{ exposureS: 2, held: true, edge: { mm: 0, sdMm: 0 } }] }, 'badSd'],
    [{ outcomes: [{ exposureS: 3600, held: true }] }, 'badExposure'],
  ] as const)('%j is refused', (change, code) => {
    const ask = { lowS: 1, highS: 4, slotMm: SLOT_MM, outcomes: [], ...change };
    expect(readBracket(ask)).toMatchObject({ ok: false, issue: { code } });
  });
});

test('after one set of strips and one block a trim lands near zero growth', () => {
  const printers = 30;
  const found = Array.from({ length: printers }, (_, i) =>
    changeExposureOnce(drawPrinter(i + 1), seededRandom(i + 1)),
  );
  const near = found.filter(({ edgeMm }) => Math.abs(edgeMm) < 0.02).length;
  expect(near / printers).toBeGreaterThan(0.9);
});
