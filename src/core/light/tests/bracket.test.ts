import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '@/core/numerics';
import { expectOk } from '@/core/result';
import {
  drawPrinter,
  edgeGrowthOf,
  exposedBy,
  holds,
  openSlot,
  stripThickness,
  type VirtualPrinter,
} from '@/core/virtual';
import {
  bracketExposures,
  type BracketOutcome,
  fitWorkingCurve,
  learnEdgeLaw,
  readBracket,
  zeroRatio,
} from '../index';

const SLOT_MM = 0.2;

/** A small gauge printed at so many times the printer's exposure, and read. */
function printGauge(printer: VirtualPrinter, ratio: number, noise: number): BracketOutcome {
  const exposed = exposedBy(printer, ratio);
  if (!(exposed.dose > 1.01) || !holds(exposed)) return { exposureS: ratio, held: false };
  const bridged = openSlot(SLOT_MM, exposed) === 0;
  const edge = { mm: edgeGrowthOf(exposed) + 0.012 * noise, sdMm: 0.012 };
  return { exposureS: ratio, held: true, bridged, edge };
}

describe('a bracket', () => {
  test('three then three find an exposure that holds and draws true, on printers whose light is not the model’s', () => {
    let good = 0;
    const printers = 30;
    for (let seed = 1; seed <= printers; seed++) {
      const printer = drawPrinter(seed, seed % 2 === 0 ? 'first' : 'second');
      const random = seededRandom(seed);
      // Known from another machine to a factor of two either way of where edges are true.
      const guess = (2 / printer.dose) * Math.exp(0.35 * random.normal());
      const ask = { lowS: guess / 2, highS: guess * 2, slotMm: SLOT_MM };
      const first = bracketExposures(guess, 1.4);
      const outcomes = first.map((ratio) => printGauge(printer, ratio, random.normal()));
      const { next, best } = expectOk(readBracket({ ...ask, outcomes }));
      const second = (next ?? [best.exposureS]).map((ratio) => printGauge(printer, ratio, random.normal()));
      const verdict = expectOk(readBracket({ ...ask, outcomes: [...outcomes, ...second] }));
      const chosen = exposedBy(printer, verdict.best.exposureS);
      if (holds(chosen) && Math.abs(edgeGrowthOf(chosen)) < 0.03) good++;
    }
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
  let [near, all] = [0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const printer = drawPrinter(seed);
    const random = seededRandom(seed);
    const strips = [0.8, 1.2, 1.8, 2.7, 4].flatMap((exposure) => {
      const mm = stripThickness(printer, exposure, String(exposure));
      return mm === 0 ? [] : [{ exposure, depthMm: mm + 0.005 * random.normal() }];
    });
    const curve = expectOk(fitWorkingCurve(strips, () => 0.0115));
    const edge = { exposureS: 1, edgeMm: edgeGrowthOf(printer) + 0.008 * random.normal(), sdMm: 0.008 };
    const law = expectOk(
      learnEdgeLaw({
        exposureS: 1,
        prior: { mean: 0.03, sd: 0.05 },
        observations: [edge],
        zeroNear: { lnS: curve.lnEc + Math.LN2, sdLn: Math.hypot(curve.lnEcSd, 0.15) },
      }),
    );
    const after = exposedBy(printer, zeroRatio(law).median);
    all++;
    if (Math.abs(edgeGrowthOf(after)) < 0.02) near++;
  }
  expect(near / all).toBeGreaterThan(0.9);
});
