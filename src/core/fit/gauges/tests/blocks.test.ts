import { describe, expect, test } from '@jest/globals';
import { findKindIssue } from '@/core/measure';
import { drawPrinter, printFeature } from '@/core/simulated';
import { estimateSignature, type SignatureReading } from '@/core/signature';
import { BLOCK_OF_24, BLOCK_OF_6, BLOCK_SIZES, type BlockFeature, chooseBlock, gaugeSpecOf } from '../index';

const OPTIONS = { instruments: { '': { mpeMm: 0.02, resolutionMm: 0.01 } } };

/** Two readings of each size of a block printed on a virtual printer. */
function readBlock(block: readonly BlockFeature[], seed: number): SignatureReading[] {
  const printer = drawPrinter(seed);
  return block.flatMap((place) =>
    [1, 2].map(() => ({
      ...place.kind,
      feature: place.feature,
      print: 'B',
      drawnMm: place.drawnMm,
      readingMm: Math.round(printFeature(printer, place, 'B') * 100) / 100,
    })),
  );
}

describe.each([
  ['24', BLOCK_OF_24, 24],
  ['six', BLOCK_OF_6, 6],
] as const)('block of %s', (_, block, count) => {
  test('has that many sizes, each with a name of its own and a whole kind', () => {
    expect(block).toHaveLength(count);
    expect(new Set(block.map(({ feature }) => feature)).size).toBe(count);
    for (const { kind } of block) expect(findKindIssue(kind)).toBeUndefined();
  });

  test('lies on a plate of 100 by 80 mm', () => {
    for (const { xMm, yMm } of block) {
      expect(Math.abs(xMm)).toBeLessThanOrEqual(50);
      expect(Math.abs(yMm)).toBeLessThanOrEqual(40);
    }
  });
});

test('the block of 24 pins nearly every parameter on printers it was not made for', () => {
  for (const seed of [31, 32, 33]) {
    const pinned = estimateSignature(readBlock(BLOCK_OF_24, seed), OPTIONS).parameters.filter(
      (parameter) => parameter.pinned,
    );
    expect(pinned.length).toBeGreaterThanOrEqual(7);
  }
});

test('the block of six pins the edge growth, and leaves to the prior what it cannot see', () => {
  const { parameters } = estimateSignature(readBlock(BLOCK_OF_6, 31), OPTIONS);
  const named = (name: string) => parameters.find((parameter) => parameter.name === name)!;
  expect(named('edge').pinned).toBe(true);
  expect(named('skew').sd).toBeCloseTo(0.001, 9);
  expect(named('zSupported').sd).toBeCloseTo(0.08, 9);
});

test('more sizes never leave a parameter less known', () => {
  const small = estimateSignature(readBlock(BLOCK_OF_6, 32), OPTIONS);
  const large = estimateSignature([...readBlock(BLOCK_OF_6, 32), ...readBlock(BLOCK_OF_24, 32)], OPTIONS);
  large.parameters.forEach(({ sd, name }, i) => {
    // The scatters are learned too, so a little slack.
    expect({ name, wider: sd > small.parameters[i].sd * 1.15 }).toEqual({ name, wider: false });
  });
});

describe('a gauge as it is asked for', () => {
  const asked = { fromMm: 4.9, stepMm: 0.1, count: 3, pinMm: 5 };

  test('a roof is a slider through height, a hinge a gap in the plane', () => {
    expect(gaugeSpecOf({ choice: 'roof', ...asked })).toMatchObject({
      kind: 'joint',
      joint: 'slider',
      direction: 'height',
    });
    expect(gaugeSpecOf({ choice: 'hinge', ...asked })).toMatchObject({ joint: 'hinge', direction: 'plane' });
  });

  test('a plain ladder has its sizes', () => {
    expect(gaugeSpecOf({ choice: 'hole', ...asked })).toEqual({ kind: 'hole', stepsMm: [4.9, 5, 5.1] });
  });

  test('a block chosen for heights alone begins with a height', () => {
    const kind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' } as const;
    const target = { feature: 'step', kind, targetMm: 6, lowerDeviationMm: -0.1, upperDeviationMm: 0.1 };
    expect(chooseBlock(3, [target])[0].kind.axis).toBe('Z');
  });

  test('a block for a job has the first of the sizes chosen for it', () => {
    const spec = gaugeSpecOf({ choice: 'chosenBlock', ...asked }, BLOCK_SIZES);
    expect(spec).toEqual({ kind: 'block', sizes: BLOCK_SIZES.slice(0, 3) });
  });
});
