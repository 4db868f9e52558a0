import { describe, expect, test } from '@jest/globals';
import { estimateSignature, type SignatureReading } from '@/core/signature';
import {
  chooseCorrectionMethod,
  compareCorrectionMethods,
  type CorrectionMethodAsk,
} from '../correction-methods';

const INSTRUMENTS = { '': { mpeMm: 0.005, resolutionMm: 0.001 } };
const OUT_X = { sense: 'outside', shape: 'flat', axis: 'X' } as const;
const OUT_Y = { sense: 'outside', shape: 'flat', axis: 'Y' } as const;
const SLOT = { sense: 'inside', shape: 'flat', axis: 'X' } as const;

/** Sizes that a printer turned out, each so much larger than drawn. */
function signatureOf(offsetOf: (kind: typeof OUT_X | typeof OUT_Y | typeof SLOT, drawnMm: number) => number) {
  const readings = [OUT_X, OUT_Y, SLOT].flatMap((kind) =>
    [4, 5, 6, 12, 20].flatMap((drawnMm) =>
      ['P1', 'P2', 'P3'].map((print): SignatureReading => {
        const feature = `${kind.sense} ${kind.axis} ${drawnMm}`;
        return { ...kind, feature, print, drawnMm, readingMm: drawnMm + offsetOf(kind, drawnMm) };
      }),
    ),
  );
  return estimateSignature(readings, { instruments: INSTRUMENTS });
}

/** Edges grow by so much on each face, and nothing else happens. */
const grown = (mm: number) => signatureOf(({ sense }) => (sense === 'inside' ? -2 * mm : 2 * mm));

function ask(
  signature: CorrectionMethodAsk['signature'],
  more: Partial<CorrectionMethodAsk> = {},
): CorrectionMethodAsk {
  const wanted = [
    { feature: 'rib', kind: OUT_X, targetMm: 5 },
    { feature: 'tab', kind: OUT_Y, targetMm: 6 },
    { feature: 'groove', kind: SLOT, targetMm: 4 },
  ].map((target) => ({ ...target, lowerDeviationMm: -0.06, upperDeviationMm: 0.06 }));
  return {
    signature,
    sizes: wanted.map((target) => ({ target, asDrawnMm: target.targetMm })),
    options: {},
    light: { exposureS: 2, slope: { mean: 0.1, sd: 0.005 } },
    ...more,
  };
}

const worthsOf = (asked: CorrectionMethodAsk) =>
  Object.fromEntries(compareCorrectionMethods(asked).map((each) => [each.lever, each]));

describe('which lever', () => {
  test('where nothing is wrong, it is left alone', () => {
    const levers = compareCorrectionMethods(ask(grown(0)));
    expect(levers.map(({ lever }) => lever)).toEqual(['none', 'sizes', 'part', 'trim']);
    expect(chooseCorrectionMethod(levers).lever).toBe('none');
    expect(levers[0].prints).toBeCloseTo(1 + (1 - levers[0].joint) / levers[0].joint, 1);
  });

  test('where edges grow, sizes drawn anew and a trim both put it right, and the sizes void nothing', () => {
    const { none, sizes, part, trim } = worthsOf(ask(grown(0.03)));
    expect(none.joint).toBeLessThan(0.7);
    expect(sizes.joint).toBeGreaterThan(none.joint + 0.2);
    expect(part.joint).toBeGreaterThan(none.joint + 0.2);
    expect(trim.joint).toBeGreaterThan(none.joint + 0.1);
    // exp(−0.03/0.1) of 2 s is 1.48 s, a quarter down; a little short of it less is opened again.
    expect(trim.exposureS).toBeGreaterThanOrEqual(1.5);
    expect(trim.exposureS).toBeLessThan(1.7);
    expect(chooseCorrectionMethod([none, sizes, part, trim]).lever).toBe('sizes');
    expect(none.prints).toBeGreaterThan(sizes.prints);
  });

  test('two for one error: sizes that were drawn for the growth are left alone, and a trim stays where it is', () => {
    const asked = ask(grown(0.03));
    const { sizes } = worthsOf(asked);
    const corrected = asked.sizes.map((size, i) => ({ ...size, asDrawnMm: sizes.drawn[i].drawMm }));
    const levers = compareCorrectionMethods({ ...asked, sizes: corrected });
    expect(chooseCorrectionMethod(levers).lever).toBe('none');
    expect(levers[3].exposureS! / 2).toBeCloseTo(1, 1);
  });

  test('a trim does not go where layers come off, and is left out where nobody said the exposure', () => {
    const { trim } = worthsOf(
      ask(grown(0.03), { light: { exposureS: 2, leastS: 1.9, slope: { mean: 0.1, sd: 0.005 } } }),
    );
    expect(trim.exposureS).toBeGreaterThanOrEqual(1.9 - 1e-9);
    expect(worthsOf(ask(grown(0.03), { light: undefined })).trim).toBeUndefined();
  });

  test('the whole file is corrected by the law alone, towards its own size; drawing goes to the middle of the limits', () => {
    const shrunk = signatureOf((_, drawnMm) => -0.005 * drawnMm);
    const asked = ask(shrunk);
    const lopsided = asked.sizes.map(({ target }) => ({
      target: { ...target, targetMm: 20, lowerDeviationMm: 0, upperDeviationMm: 0.1 },
      asDrawnMm: 20,
    }));
    const { sizes, part } = worthsOf({ ...asked, sizes: lopsided.slice(0, 1) });
    expect(part.drawn[0].drawMm).toBeCloseTo(20 / 0.995, 1);
    expect(sizes.drawn[0].drawMm - part.drawn[0].drawMm).toBeCloseTo(0.05, 1);
    expect(sizes.joint).toBeGreaterThan(part.joint);
  });
});
