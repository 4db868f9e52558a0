import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { expectOk } from '@/core/kit';
import {
  boundsOf,
  checkMesh,
  crossLine,
  measureFeature,
  readStl,
  weldCorners,
  writeStl,
  type Mesh,
} from '@/core/part/mesh';
import { JOINT_KINDS } from '@/core/fit/mating';
import { loadTestKernel } from '@/testing/kernel';
import {
  BLOCK_SIZES,
  buildGauge,
  chooseBlock,
  FEW_SIZES,
  findGaugeIssue,
  gaugeAnchors,
  gaugeEffort,
  gaugeFeatures,
  notchesFor,
  stepsFrom,
  type BlockFeature,
  type GaugeSpec,
} from '../index';

const MICROMETRE = 0.001;

/** Built, written to a file and read back: what a slicer sees. */
async function throughAFile(spec: GaugeSpec): Promise<Mesh> {
  const mesh = expectOk(buildGauge(await loadTestKernel(), spec));
  return weldCorners(expectOk(readStl(writeStl(mesh))).corners);
}

/** Distance between two faces looking along +direction: the far end of the bar and the shoulder beside it. */
function pitchOf(
  mesh: Mesh,
  { kind, drawnMm }: BlockFeature,
  anchor: readonly [number, number, number],
): number {
  const angle = kind.angleRad!;
  const along = [Math.cos(angle), Math.sin(angle)];
  const middle = [anchor[0] - (along[0] * drawnMm) / 2, anchor[1] - (along[1] * drawnMm) / 2];
  const end = crossLine(mesh, [middle[0], middle[1], anchor[2]], [along[0], along[1], 0]).filter(
    ({ entering }) => !entering,
  );
  const beside = [middle[0] - 3.3 * along[1], middle[1] + 3.3 * along[0]];
  const shoulder = crossLine(mesh, [beside[0], beside[1], anchor[2]], [along[0], along[1], 0]).filter(
    ({ entering, atMm }) => !entering && atMm < 0,
  );
  const nearest = (all: { atMm: number }[], wanted: number) =>
    all.reduce((a, b) => (Math.abs(b.atMm - wanted) < Math.abs(a.atMm - wanted) ? b : a)).atMm;
  return nearest(end, drawnMm / 2) - nearest(shoulder, -drawnMm / 2);
}

function sizeOn(mesh: Mesh, feature: BlockFeature, anchor: readonly [number, number, number]): number {
  return feature.kind.sense === 'pitch'
    ? pitchOf(mesh, feature, anchor)
    : expectOk(measureFeature(mesh, feature.kind, anchor));
}

const LADDER_GAPS = stepsFrom(0.1, 0.05, 7);
const SPECS: readonly (readonly [string, GaugeSpec, number])[] = [
  ['the block of 24', { kind: 'block', sizes: BLOCK_SIZES }, 1],
  ['the short block', { kind: 'block', sizes: FEW_SIZES }, 1],
  ...JOINT_KINDS.map(
    (joint) =>
      [
        `the ${joint} ladder`,
        { kind: 'joint', joint, direction: 'plane', pinMm: joint === 'ball' ? 8 : 5, stepsMm: LADDER_GAPS },
        // Seven loose pins and their plate, which for balls takes two strips; links are all loose.
        { hinge: 8, slider: 8, ball: 9, links: 14 }[joint],
      ] as const,
  ),
  [
    'the ladder under a roof',
    { kind: 'joint', joint: 'slider', direction: 'height', pinMm: 6, stepsMm: LADDER_GAPS },
    9,
  ],
  ['the pocket ladder', { kind: 'pocket', stepsMm: stepsFrom(2.3, 0.05, 7) }, 1],
  ['the hole ladder', { kind: 'hole', stepsMm: stepsFrom(7.9, 0.05, 7) }, 2],
  ['the pin ladder', { kind: 'pin', stepsMm: stepsFrom(7.9, 0.05, 7) }, 2],
  ['three bars for bending', { kind: 'bar', thicknessMm: 4, count: 3 }, 3],
];

describe.each(SPECS)('%s', (_, spec, shells) => {
  test('is closed, stands on the plate, and its loose parts are as many as its joints', async () => {
    const mesh = await throughAFile(spec);
    const check = checkMesh(mesh);
    expect(check.watertight).toBe(true);
    expect(check.nonManifoldEdges).toBe(0);
    expect(check.shells).toBe(shells);
    const { min, max } = boundsOf(mesh.positions);
    expect(Math.abs(min[2])).toBeLessThan(1e-5);
    expect(max[2]).toBeLessThanOrEqual(20);
    expect(Math.max(max[0] - min[0], max[1] - min[1])).toBeLessThan(125);
  });

  test('has every size to a micrometre in the written file, holes circumscribed and shafts inscribed', async () => {
    const mesh = await throughAFile(spec);
    const anchors = gaugeAnchors(spec);
    for (const feature of gaugeFeatures(spec)) {
      const size = sizeOn(mesh, feature, anchors.get(feature.feature)!);
      expect({
        feature: feature.feature,
        off: Math.abs(size - feature.drawnMm) < MICROMETRE ? 0 : size,
      }).toEqual({
        feature: feature.feature,
        off: 0,
      });
    }
  });
});

test('two links face each other at the drawn gap', async () => {
  const gaps = [0.2, 0.4];
  const mesh = await throughAFile({
    kind: 'joint',
    joint: 'links',
    direction: 'plane',
    pinMm: 3,
    stepsMm: gaps,
  });
  // Links meet at the middle of their frames, (bar + 4 + 2·bar)/2 + bar/2 over the plate by 1/√2.
  const middle = ((3 + 4 + 6) / 2 + 1.5) / Math.SQRT2;
  const { min, max } = boundsOf(mesh.positions);
  const lines = crossLine(mesh, [min[0] - 1, 0, middle], [1, 0, 0]);
  const found = lines.slice(1).flatMap((at, i) => (at.entering ? at.atMm - lines[i].atMm : []));
  expect(max[0]).toBeGreaterThan(0);
  for (const gap of gaps) expect(found.some((mm) => Math.abs(mm - gap) < MICROMETRE)).toBe(true);
});

describe('the block chosen by information', () => {
  test('takes different kinds first, and each next size tells less than all so far', () => {
    const chosen = chooseBlock(6);
    expect(new Set(chosen.map(({ feature }) => feature)).size).toBe(6);
    expect(new Set(chosen.map(({ kind }) => JSON.stringify(kind))).size).toBeGreaterThanOrEqual(4);
    expect(chooseBlock(3)).toEqual(chosen.slice(0, 3));
  });

  test('for a job of heights alone it begins with a height', () => {
    const kind = { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' } as const;
    const target = { feature: 'h', kind, targetMm: 6, lowerDeviationMm: -0.1, upperDeviationMm: 0.1 };
    expect(chooseBlock(1, [target])[0].kind).toEqual(kind);
  });
});

describe('marks and bad input', () => {
  test('notches count in fives and ones and never touch', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 14 }), (number) => {
        const notches = notchesFor(number);
        expect(notches.reduce((sum, { widthMm }) => sum + (widthMm === 3 ? 5 : 1), 0)).toBe(number);
        notches.slice(1).forEach(({ atMm, widthMm }, i) => {
          expect(atMm - widthMm / 2).toBeGreaterThan(notches[i].atMm + notches[i].widthMm / 2);
        });
      }),
    );
  });

  test('a ladder of one rung, out of order, out of range, or on too thin a pin is refused with its reason', () => {
    const joint = (stepsMm: number[], pinMm = 5): GaugeSpec => ({
      kind: 'joint',
      joint: 'hinge',
      direction: 'plane',
      pinMm,
      stepsMm,
    });
    expect(findGaugeIssue(joint([0.3]))).toMatchObject({ code: 'rungCount', count: 1 });
    expect(findGaugeIssue(joint([0.3, 0.2]))).toEqual({ code: 'rungOrder' });
    expect(findGaugeIssue(joint([0.3, 4]))).toMatchObject({ code: 'rungSize', mm: 4 });
    expect(findGaugeIssue(joint([0.2, 0.3], 0.5))).toMatchObject({ code: 'pinSize' });
    expect(findGaugeIssue({ kind: 'bar', thicknessMm: 0.3, count: 3 })).toMatchObject({ code: 'barSize' });
    expect(findGaugeIssue({ kind: 'bar', thicknessMm: 4, count: 0 })).toMatchObject({ code: 'rungCount' });
    expect(findGaugeIssue({ kind: 'block', sizes: [] })).toEqual({ code: 'noSizes' });
  });

  test('what a gauge takes follows from its height and volume', async () => {
    const mesh = expectOk(buildGauge(await loadTestKernel(), { kind: 'hole', stepsMm: [4, 5] }));
    const { layers, heightMm, minutes, volumeMl } = gaugeEffort(mesh, checkMesh(mesh).volumeMm3, 0.05);
    expect(heightMm).toBeCloseTo(7, 5);
    expect(layers).toBe(140);
    // 140 × 8 s + 180 s
    expect(minutes).toBeCloseTo(21.67, 2);
    expect(volumeMl).toBeGreaterThan(1);
  });
});
