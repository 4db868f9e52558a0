import { mixtureMoments, type NormalMixture } from '@/core/kit/numerics';
import type { FeatureKind } from '@/core/measure';
import { predictCombination, predictSize, type Signature, type SizeTerm } from '@/core/signature';
import { chanceFree, gapForChance, WANTED_FREE, type GapTest, type GapStep } from './gap-test';

export const JOINT_KINDS = ['hinge', 'ball', 'links', 'slider'] as const;
export type JointKind = (typeof JOINT_KINDS)[number];

/** Where a gap lies: between walls, in the plane of the plate; or between a roof and what is below it. */
export type GapDirection = 'plane' | 'height';

/** A joint printed in place, as drawn at scale 1; lengths mm. */
export interface JointDesign {
  readonly kind: JointKind;
  /** Gap per side between walls. */
  readonly gapMm: number;
  /** Gap below a roof: between knuckles standing over each other, over a captured rail; undefined when there is none. */
  readonly heightGapMm?: number;
  /** Pin, ball, bar or rail. */
  readonly pinMm: number;
  /** Length over which the two guide each other. */
  readonly spanMm: number;
}

/** What is known of coming free, by direction. */
export type GapTests = Readonly<Record<GapDirection, GapTest>>;

const ROUND = { shape: 'round', axis: 'XY' } as const;
const FLAT = { shape: 'flat', axis: 'X' } as const;
const HEIGHT_GAP: FeatureKind = { sense: 'inside', shape: 'flat', axis: 'Z' };

/**
 * The sizes whose difference is a gap between walls, both sides together: hole − pin, channel − rail; between two links
 * both walls are inside edges, so the gap is one slot.
 */
function planeTerms({ kind, pinMm }: JointDesign, scale: number, gapMm: number): SizeTerm[] {
  if (kind === 'links')
    return [{ query: { kind: { sense: 'inside', ...FLAT }, drawnMm: gapMm * scale }, factor: 2 }];
  const form = kind === 'slider' ? FLAT : ROUND;
  return [
    { query: { kind: { sense: 'inside', ...form }, drawnMm: (pinMm + 2 * gapMm) * scale }, factor: 1 },
    { query: { kind: { sense: 'outside', ...form }, drawnMm: pinMm * scale }, factor: -1 },
  ];
}

function halved({ weights, means, variances }: NormalMixture): NormalMixture {
  return { weights, means: means.map((mean) => mean / 2), variances: variances.map((v) => v / 4) };
}

/**
 * Printed gap per side of a joint drawn with a gap and scaled: a mixture, mm.
 * Between walls: half of what hole and pin leave; below a roof: the drawn gap less what cures through into it.
 */
export function printedGap(
  signature: Signature,
  design: JointDesign,
  direction: GapDirection,
  scale: number,
  gapMm = direction === 'plane' ? design.gapMm : (design.heightGapMm ?? design.gapMm),
): NormalMixture {
  return direction === 'height'
    ? predictSize(signature, { kind: HEIGHT_GAP, drawnMm: gapMm * scale })
    : halved(predictCombination(signature, planeTerms(design, scale, gapMm)));
}

function meanGap(
  signature: Signature,
  design: JointDesign,
  direction: GapDirection,
  scale: number,
  gapMm?: number,
) {
  return mixtureMoments(printedGap(signature, design, direction, scale, gapMm)).mean;
}

interface GapEstimate {
  readonly meanMm: number;
  readonly sdMm: number;
}

export interface JointState {
  readonly scale: number;
  readonly plane: GapEstimate;
  readonly height?: GapEstimate;
  /** Chance that it frees itself: both gaps, taken as independent. */
  readonly free: number;
  /** Play across the joint: twice the printed gap, mm; 0 where it closed. */
  readonly lateralMm: number;
  /** Wobble over the guiding length. */
  readonly angleRad: number;
}

function estimateOf(mixture: NormalMixture): GapEstimate {
  const { mean, sd } = mixtureMoments(mixture);
  return { meanMm: mean, sdMm: sd };
}

/**
 * A joint at a scale: printed gaps, chance to come free, play. A file scaled by S scales its drawn gap, and the ladder
 * answers for drawn gaps of this process; the process itself does not scale.
 * Throws RangeError unless the scale is positive.
 */
export function jointAtScale(
  signature: Signature,
  ladders: GapTests,
  design: JointDesign,
  scale: number,
): JointState {
  if (!(scale > 0)) throw new RangeError('jointAtScale: the scale must be positive');
  const plane = estimateOf(printedGap(signature, design, 'plane', scale));
  const height =
    design.heightGapMm === undefined ? undefined : estimateOf(printedGap(signature, design, 'height', scale));
  const freeHeight =
    design.heightGapMm === undefined ? 1 : chanceFree(ladders.height, design.heightGapMm * scale);
  const lateralMm = 2 * Math.max(0, plane.meanMm);
  return {
    scale,
    plane,
    height,
    free: chanceFree(ladders.plane, design.gapMm * scale) * freeHeight,
    lateralMm,
    angleRad: Math.atan(lateralMm / (design.spanMm * scale)),
  };
}

/** The most play at which the joint still does its work: an angle for what swings, a length for what shifts. */
export type PlayLimit = { readonly angleRad: number } | { readonly lateralMm: number };

export function isFloppy(state: JointState, limit: PlayLimit): boolean {
  return 'angleRad' in limit ? state.angleRad > limit.angleRad : state.lateralMm > limit.lateralMm;
}

/** Scales at which a joint comes free and is not too loose; undefined ends are outside the range that was searched. */
export interface ScaleWindow {
  readonly leastScale?: number;
  readonly mostScale?: number;
}

const SCALES = { least: 0.1, most: 10 } as const;

/** The scale in the range searched at which a condition that turns once turns, by bisection of its logarithm. */
function findTurn(isPast: (scale: number) => boolean): number | undefined {
  let low = Math.log(SCALES.least);
  let high = Math.log(SCALES.most);
  if (isPast(SCALES.least) || !isPast(SCALES.most)) return undefined;
  while (high - low > 1e-5) {
    const middle = (low + high) / 2;
    if (isPast(Math.exp(middle))) high = middle;
    else low = middle;
  }
  return Math.exp(high);
}

export function scaleWindow(
  signature: Signature,
  ladders: GapTests,
  design: JointDesign,
  limit: PlayLimit,
): ScaleWindow {
  const freesItself = (scale: number) =>
    chanceFree(ladders.plane, design.gapMm * scale) *
      (design.heightGapMm === undefined ? 1 : chanceFree(ladders.height, design.heightGapMm * scale)) >=
    WANTED_FREE;
  return {
    leastScale: freesItself(SCALES.least) ? SCALES.least : findTurn(freesItself),
    mostScale: findTurn((scale) => isFloppy(jointAtScale(signature, ladders, design, scale), limit)),
  };
}

/** Solves for the drawn gap whose printed gap between walls is wanted, at a scale; secant, the law being all but linear. */
function solveDrawnGap(
  signature: Signature,
  design: JointDesign,
  direction: GapDirection,
  scale: number,
  wantedMm: number,
): number {
  let before = 0;
  let missBefore = meanGap(signature, design, direction, scale, 1e-6) - wantedMm;
  let gap = Math.max(1e-6, wantedMm / scale);
  for (let i = 0; i < 40; i++) {
    const miss = meanGap(signature, design, direction, scale, gap) - wantedMm;
    if (Math.abs(miss) < 1e-10 || miss === missBefore) break;
    const next = gap - (miss * (gap - before)) / (miss - missBefore);
    before = gap;
    missBefore = miss;
    gap = next;
  }
  return gap;
}

/**
 * Material to take off each wall of the file after it was scaled, mm, so that the printed gap is the wanted one; negative
 * adds. docs/methods.md §3: (G + 2(e + h) − S·s·g)/(2s), with e and h as the signature has them for these walls.
 */
export function offsetForGap(
  signature: Signature,
  design: JointDesign,
  scale: number,
  wantedMm: number,
): number {
  const drawn = solveDrawnGap(signature, design, 'plane', scale, wantedMm);
  return ((drawn - design.gapMm) * scale) / 2;
}

/** The drawn gap per side, at scale 1, that frees itself with the wanted chance and no more. */
export function recommendedGap(ladder: GapTest, scale = 1, chance = WANTED_FREE): number {
  return gapForChance(ladder, chance) / scale;
}

/**
 * Least drawn distance between two copies so that they come off apart, mm: the printed gap of the recommended joint,
 * between two outside walls, which grow by the edge alone.
 */
export function leastSpacing(
  signature: Signature,
  ladder: GapTest,
  design: JointDesign,
  partMm: number,
): number {
  const wanted = meanGap(signature, design, 'plane', 1, recommendedGap(ladder));
  const printed = (spacingMm: number) =>
    mixtureMoments(
      predictCombination(signature, [
        { query: { kind: { sense: 'pitch', ...FLAT }, drawnMm: partMm + spacingMm }, factor: 1 },
        { query: { kind: { sense: 'outside', ...FLAT }, drawnMm: partMm }, factor: -1 },
      ]),
    ).mean;
  const [atNone, atOne] = [printed(0), printed(1)];
  return Math.max(0, (wanted - atNone) / (atOne - atNone));
}

/**
 * Returns gap test steps tested under one signature as they would have been drawn under another: equal printed gaps
 * come free alike. Steps that could not have been drawn (negative gap) are left out.
 */
export function translateGapSteps(
  rungs: readonly GapStep[],
  design: JointDesign,
  direction: GapDirection,
  from: Signature,
  to: Signature,
): GapStep[] {
  return rungs.flatMap(({ gapMm, outcome }) => {
    const printed = meanGap(from, design, direction, 1, gapMm);
    const drawn = solveDrawnGap(to, design, direction, 1, printed);
    return drawn > 0 ? { gapMm: drawn, outcome } : [];
  });
}
