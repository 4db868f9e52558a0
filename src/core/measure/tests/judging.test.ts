import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimateSize, findKindIssue, judgeConformity, outcomeOf, sameKind, type Verdict } from '../index';

const INSTRUMENT = { mpeMm: 0.02, resolutionMm: 0.01 };
const sizeAt = (mm: number, spread = 0.005) =>
  estimateSize([mm - spread, mm, mm + spread], { instrument: INSTRUMENT, warmthU: 0 });
const TEN = { targetMm: 10, lowerDeviationMm: -0.06, upperDeviationMm: 0.06 };

describe('conformity after ISO 14253-1', () => {
  test('in only while U fits inside too', () => {
    expect(judgeConformity(sizeAt(10.01), TEN, 0.02)).toEqual({ kind: 'in', rule: 'guarded' });
    expect(judgeConformity(sizeAt(10.05), TEN, 0.02).kind).toBe('cantTell');
    expect(judgeConformity(sizeAt(10.2), TEN, 0.02)).toMatchObject({ kind: 'out', side: 'over' });
    expect(judgeConformity(sizeAt(9.8), TEN, 0.02)).toMatchObject({ kind: 'out', side: 'under' });
  });

  test('names how far out it is from the limit, not from the target', () => {
    const verdict = judgeConformity(sizeAt(10.2), TEN, 0.02);
    expect(verdict.kind === 'out' && verdict.byMm).toBeCloseTo(0.14, 9);
  });

  test('shared risk judges the size alone', () => {
    expect(judgeConformity(sizeAt(10.05), TEN, 0.02, 'shared')).toEqual({ kind: 'in', rule: 'shared' });
    expect(judgeConformity(sizeAt(10.07), TEN, 0.02, 'shared').kind).toBe('out');
  });

  test('lopsided limits are judged around their middle', () => {
    const lopsided = { targetMm: 10, lowerDeviationMm: 0, upperDeviationMm: 0.2 };
    expect(judgeConformity(sizeAt(10.1), lopsided, 0.02).kind).toBe('in');
    expect(judgeConformity(sizeAt(9.9), lopsided, 0.02)).toMatchObject({ kind: 'out', side: 'under' });
  });

  test('the repeats it asks for do settle it', () => {
    const size = sizeAt(10.03, 0.02);
    const verdict = judgeConformity(size, TEN, 0.02);
    if (verdict.kind !== 'cantTell' || verdict.settling.kind !== 'repeats')
      throw new Error(`unexpected ${JSON.stringify(verdict)}`);
    const more = Array.from(
      { length: size.count + verdict.settling.more },
      (_, i) => 10.03 + 0.02 * ((i % 3) - 1),
    );
    expect(judgeConformity(estimateSize(more, { instrument: INSTRUMENT, warmthU: 0 }), TEN, 0.02).kind).toBe(
      'in',
    );
  });

  test('when the caliper alone is too coarse, no repeats are promised but a better caliper named', () => {
    const verdict = judgeConformity(sizeAt(10.042), TEN, 0.02);
    expect(verdict).toMatchObject({ kind: 'cantTell', settling: { kind: 'instrument' } });
    if (verdict.kind !== 'cantTell' || verdict.settling.kind !== 'instrument') throw new Error('unexpected');
    expect(verdict.settling.mpeMm).toBeGreaterThan(0.001);
    expect(verdict.settling.mpeMm).toBeLessThan(0.02);
  });

  test('right on the limit nothing at hand settles it', () => {
    expect(judgeConformity(sizeAt(10.06), TEN, 0.02)).toMatchObject({
      kind: 'cantTell',
      settling: { kind: 'nothing' },
    });
  });

  test('turning size and limits round the target turns only the side', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.3, max: 0.3, noNaN: true }), (away) => {
        const over = judgeConformity(sizeAt(10 + away), TEN, 0.02);
        const under = judgeConformity(sizeAt(10 - away), TEN, 0.02);
        expect(over.kind).toBe(under.kind);
        if (over.kind === 'out' && under.kind === 'out') expect(over.side).not.toBe(under.side);
      }),
      { seed: 5, numRuns: 60 },
    );
  });

  test('limits turned round are a mistake of the caller', () => {
    expect(() =>
      judgeConformity(sizeAt(10), { targetMm: 10, lowerDeviationMm: 0.1, upperDeviationMm: -0.1 }, 0.02),
    ).toThrow(RangeError);
  });
});

describe('outcome of a print', () => {
  const verdicts: Record<string, Verdict> = {
    in: { kind: 'in', rule: 'guarded' },
    out: { kind: 'out', side: 'over', byMm: 0.1, rule: 'guarded' },
    cantTell: { kind: 'cantTell', settling: { kind: 'nothing' }, rule: 'guarded' },
  };
  const part = (...kinds: (string | undefined)[]) =>
    kinds.map((kind, i) => ({ name: `f${i}`, verdict: kind === undefined ? undefined : verdicts[kind] }));

  test('is in only when every feature was read and is in', () => {
    expect(outcomeOf(part('in', 'in'), true)).toEqual({ kind: 'in' });
    expect(outcomeOf(part('in', undefined), true)).toEqual({ kind: 'partly', read: 1, of: 2 });
    expect(outcomeOf(part('in', 'cantTell'), true)).toEqual({ kind: 'cantTell', features: ['f1'] });
  });

  test('one feature out decides, read or not the rest', () => {
    expect(outcomeOf(part('out', undefined, 'cantTell'), true)).toEqual({ kind: 'out', features: ['f0'] });
  });

  test('without a print or a reading nothing is claimed', () => {
    expect(outcomeOf(part('in'), false)).toEqual({ kind: 'notPrinted' });
    expect(outcomeOf(part(undefined), true)).toEqual({ kind: 'notRead' });
    expect(outcomeOf([], true)).toEqual({ kind: 'notRead' });
  });
});

describe('kinds of features', () => {
  test('an outside height needs its base, a slanted width its angle, a round size the plane', () => {
    expect(findKindIssue({ sense: 'outside', shape: 'flat', axis: 'Z' })).toEqual({ code: 'baseMissing' });
    expect(findKindIssue({ sense: 'inside', shape: 'flat', axis: 'Z' })).toBeUndefined();
    expect(findKindIssue({ sense: 'outside', shape: 'flat', axis: 'XY' })).toEqual({ code: 'angleMissing' });
    expect(findKindIssue({ sense: 'inside', shape: 'round', axis: 'X' })).toEqual({
      code: 'roundNeedsXY',
      axis: 'X',
    });
  });

  test('the same name with another base is another kind', () => {
    const onPlate = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' } as const;
    expect(sameKind(onPlate, { ...onPlate })).toBe(true);
    expect(sameKind(onPlate, { ...onPlate, base: 'supported' })).toBe(false);
  });
});
