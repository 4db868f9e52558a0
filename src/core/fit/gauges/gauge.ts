import { fail, ok, type Result } from '@/core/kit';
import type { Mesh, Point } from '@/core/part/mesh';
import type { FeatureKind } from '@/core/measure';
import { plainProgram, plannedSeconds } from '@/core/print';
import { buildMesh, type SolidKernel, type Workshop } from '@/core/fit/solids';
import type { GapDirection, JointKind } from '@/core/fit/mating';
import { HOLE, PIN, SLOT_X, TRAY_MM } from './block-pieces';
import { layOutBlock, type BlockSize } from './blocks';
import { jointPiece } from './joint-pieces';
import {
  anchorsOfPieces,
  extentOf,
  featuresOf,
  notchCutters,
  setInRows,
  type BlockFeature,
  type Piece,
  type PlacedPiece,
} from './piece';

/** A small test piece, by its parameters. */
export type GaugeSpec =
  | { readonly kind: 'block'; readonly sizes: readonly BlockSize[] }
  | {
      readonly kind: 'joint';
      readonly joint: JointKind;
      readonly direction: GapDirection;
      /** Pin, ball, bar or rail, mm. */
      readonly pinMm: number;
      /** Gap per side of each step, ascending, mm. */
      readonly stepsMm: readonly number[];
    }
  | {
      readonly kind: 'pocket' | 'hole' | 'pin';
      /** Width or diameter of each step, ascending, mm. */
      readonly stepsMm: readonly number[];
    }
  | {
      /** Equal bars for bending: 10 mm wide, twenty thicknesses long and a little to hold. */
      readonly kind: 'bar';
      readonly thicknessMm: number;
      readonly count: number;
    };

export type GaugeIssue =
  | { readonly code: 'rungCount'; readonly count: number; readonly least: number; readonly most: number }
  | { readonly code: 'rungOrder' }
  | { readonly code: 'rungSize'; readonly mm: number; readonly leastMm: number; readonly mostMm: number }
  | { readonly code: 'pinSize'; readonly mm: number; readonly leastMm: number; readonly mostMm: number }
  | { readonly code: 'barSize'; readonly mm: number; readonly leastMm: number; readonly mostMm: number }
  | { readonly code: 'noSizes' };

const GAP_STEPS = { least: 2, most: 14 } as const;

/** Evenly stepped sizes from a start, rounded to a tenth of a micrometre. */
export function stepsFrom(startMm: number, stepMm: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => Math.round((startMm + i * stepMm) * 1e4) / 1e4);
}

/** A bar thinner than this floats off its supports, a thicker one outgrows the plate. */
const BAR = { leastMm: 1, mostMm: 6, widthMm: 10, holdMm: 10, least: 1, most: 6 } as const;

function findBarIssue({ thicknessMm, count }: GaugeSpec & { readonly kind: 'bar' }): GaugeIssue | undefined {
  const { least, most, leastMm, mostMm } = BAR;
  if (!(count >= least && count <= most)) return { code: 'rungCount', count, least, most };
  const fits = thicknessMm >= leastMm && thicknessMm <= mostMm;
  return fits ? undefined : { code: 'barSize', mm: thicknessMm, leastMm, mostMm };
}

/** What keeps a gauge from being built, or undefined. */
export function findGaugeIssue(spec: GaugeSpec): GaugeIssue | undefined {
  if (spec.kind === 'block') return spec.sizes.length === 0 ? { code: 'noSizes' } : undefined;
  if (spec.kind === 'bar') return findBarIssue(spec);
  const { stepsMm } = spec;
  if (stepsMm.length < GAP_STEPS.least || stepsMm.length > GAP_STEPS.most)
    return { code: 'rungCount', count: stepsMm.length, ...GAP_STEPS };
  if (stepsMm.some((mm, i) => i > 0 && !(mm > stepsMm[i - 1]))) return { code: 'rungOrder' };
  const range = spec.kind === 'joint' ? [0.02, 2] : spec.kind === 'pocket' ? [0.3, 60] : [0.5, 40];
  const bad = stepsMm.find((mm) => !(mm >= range[0] && mm <= range[1]));
  if (bad !== undefined) return { code: 'rungSize', mm: bad, leastMm: range[0], mostMm: range[1] };
  if (spec.kind !== 'joint') return undefined;
  // A ball is cut flat at 6 mm, so a smaller one would not be held; thinner rails and bars have no room for their marks.
  const leastMm = spec.direction === 'height' ? 4 : { hinge: 2, ball: 7, links: 3, slider: 4 }[spec.joint];
  const mostMm = 30;
  return spec.pinMm >= leastMm && spec.pinMm <= mostMm
    ? undefined
    : { code: 'pinSize', mm: spec.pinMm, leastMm, mostMm };
}

const GAP_TEST_MM = { high: 7, deep: 14, wall: 4 } as const;

/** Returns one step of a test of plain sizes, with its number cut into the front edge. */
function plainGapStep(kind: 'pocket' | 'hole' | 'pin', mm: number, rung: number): Piece {
  const { high, deep, wall } = GAP_TEST_MM;
  const side = Math.max(mm + 2 * wall, 11);
  const feature = `step ${rung}, ${mm}`;
  const overlap = 6;
  if (kind === 'pocket') {
    return {
      lengthMm: side,
      widthMm: deep,
      features: [{ feature, kind: SLOT_X, drawnMm: mm, atMm: [0, 3], anchorMm: [mm / 2, 3, high / 2] }],
      build: (shop) => ({
        add: [shop.box(side + overlap, deep, high)],
        cut: [
          shop.move(shop.box(mm, deep, high + 2), [0, deep - deep / 2 - 2, -1]),
          ...notchCutters(shop, rung, -deep / 2, high),
        ],
      }),
    };
  }
  const depth = side + 2;
  const at: readonly [number, number] = [0, 1];
  return {
    lengthMm: side,
    widthMm: depth,
    features: [
      {
        feature,
        kind: kind === 'hole' ? HOLE : PIN,
        drawnMm: mm,
        atMm: at,
        anchorMm: [mm / 2, 1, high / 2 + 1],
      },
    ],
    build: (shop) =>
      kind === 'hole'
        ? {
            add: [shop.box(side + overlap, depth, high)],
            cut: [
              shop.move(shop.hole(mm, high + 2), [0, 1, -1]),
              ...notchCutters(shop, rung, -depth / 2, high),
            ],
          }
        : {
            add: [shop.box(side + overlap, depth, 2), shop.move(shop.shaft(mm, high), [0, 1, 0])],
            cut: notchCutters(shop, rung, -depth / 2, 2),
          },
  };
}

/** One bar for bending, flat on the plate; its width and thickness are read along it. */
function barPiece(thicknessMm: number, number: number): Piece {
  const lengthMm = 20 * thicknessMm + BAR.holdMm;
  const { widthMm } = BAR;
  const size = (name: string, kind: FeatureKind, drawnMm: number, anchorMm: Point) => ({
    feature: `bar ${number}, ${name}`,
    kind,
    drawnMm,
    atMm: [0, 0] as const,
    anchorMm,
  });
  return {
    lengthMm,
    widthMm,
    features: [
      size('width', { sense: 'outside', shape: 'flat', axis: 'Y' }, widthMm, [
        0,
        widthMm / 2,
        thicknessMm / 2,
      ]),
      size('thickness', { sense: 'outside', shape: 'flat', axis: 'Z', base: 'plate' }, thicknessMm, [
        0,
        0,
        thicknessMm,
      ]),
    ],
    build: (shop) => ({ add: [shop.box(lengthMm, widthMm, thicknessMm)] }),
  };
}

/** Steps in one row or several, each row one strip. */
const STRIP_MM = 110;

/** Where every piece of a gauge stands. */
function layOutGauge(spec: GaugeSpec): PlacedPiece[] {
  if (spec.kind === 'block') return layOutBlock(spec.sizes);
  if (spec.kind === 'bar')
    return setInRows(
      Array.from({ length: spec.count }, (_, i) => barPiece(spec.thicknessMm, i + 1)),
      STRIP_MM,
    );
  const pieces = spec.stepsMm.map((mm, i) =>
    spec.kind === 'joint'
      ? jointPiece(spec.joint, spec.direction, { pinMm: spec.pinMm, gapMm: mm, rung: i + 1 })
      : plainGapStep(spec.kind, mm, i + 1),
  );
  return setInRows(pieces, STRIP_MM);
}

/** Sizes to be read on a gauge, in a good order: outside sizes, then heights, slots and holes, so that jaws change once. */
export function gaugeFeatures(spec: GaugeSpec): BlockFeature[] {
  const order = ({ kind }: BlockFeature) =>
    (kind.sense === 'outside' ? 0 : kind.sense === 'pitch' ? 1 : 2) + (kind.axis === 'Z' ? 0.5 : 0);
  return featuresOf(layOutGauge(spec)).sort((a, b) => order(a) - order(b));
}

export function gaugeAnchors(spec: GaugeSpec): Map<string, Point> {
  return anchorsOfPieces(layOutGauge(spec));
}

/** Adds a tray below the pieces of a block, its front left corner cut off so that X is known. */
function addTray(shop: Workshop, placed: readonly PlacedPiece[]) {
  const [length, width] = extentOf(placed).map((mm) => mm + 3);
  const tray = shop.box(length, width, TRAY_MM);
  const corner = shop.turn(shop.box(6, 6, TRAY_MM + 2), [0, 0, 45]);
  return shop.cut(tray, [shop.move(corner, [-length / 2, -width / 2, -1])]);
}

/** The gauge as a closed mesh on z = 0, mm; refuses what cannot be built with its reason. */
export function buildGauge(kernel: SolidKernel, spec: GaugeSpec): Result<Mesh, GaugeIssue> {
  const issue = findGaugeIssue(spec);
  if (issue !== undefined) return fail(issue);
  const placed = layOutGauge(spec);
  const mesh = buildMesh(kernel, (shop) => {
    const built = placed.map(({ piece, xMm, yMm }) => {
      const { add, cut = [] } = piece.build(shop);
      return {
        add: add.map((solid) => shop.move(solid, [xMm, yMm, 0])),
        cut: cut.map((solid) => shop.move(solid, [xMm, yMm, 0])),
      };
    });
    // Overlaps between steps are walls; cuts go through all of them, pins stand in their own holes.
    const tray = spec.kind === 'block' ? [addTray(shop, placed)] : [];
    const body = shop.join([...tray, ...built.flatMap(({ add }) => add)]);
    return shop.cut(
      body,
      built.flatMap(({ cut }) => cut),
    );
  });
  return ok(mesh);
}

/** What printing a gauge takes; the layer time is an assumption until a profile states it. */
export interface GaugeEffort {
  readonly heightMm: number;
  readonly layers: number;
  readonly minutes: number;
  readonly volumeMl: number;
}

export function gaugeEffort(mesh: Mesh, volumeMm3: number, layerMm: number): GaugeEffort {
  let heightMm = 0;
  for (let i = 2; i < mesh.positions.length; i += 3) heightMm = Math.max(heightMm, mesh.positions[i]);
  const layers = Math.ceil(heightMm / layerMm - 1e-9);
  return {
    heightMm,
    layers,
    minutes: plannedSeconds(layers, plainProgram(layerMm)) / 60,
    volumeMl: volumeMm3 / 1000,
  };
}
