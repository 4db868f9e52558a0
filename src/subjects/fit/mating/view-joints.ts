import {
  chanceFree,
  estimateGapTest,
  type GapDirection,
  isFloppy,
  jointAtScale,
  type JointDesign,
  type JointState,
  type GapTests,
  leastSpacing,
  offsetForGap,
  type PlayLimit,
  printedGap,
  recommendedGap,
  type ScaleWindow,
  scaleWindow,
} from '@/core/fit/mating';
import { mixtureMoments } from '@/core/kit/numerics';
import type { Db } from '@/store';
import type { FoundGapStep } from '@/subjects/fit/gauges';
import type { JobView } from '@/subjects/job/jobs';
import type { LearnedSignature } from '@/subjects/signature';
import { limitOf } from './play-limit';
import { listTriedGaps } from './view-joint-outcomes';
import { type GapTestSource, gapStepsFor } from './gap-steps-for-joint';
import { designOf, type Joint, listJoints } from './list-joints';

/** A joint at one of the scales of its chart. */
interface JointPoint extends JointState {
  readonly floppy: boolean;
}

export interface JointView {
  readonly joint: Joint;
  readonly design: JointDesign;
  readonly limit: PlayLimit;
  readonly sources: Readonly<Record<GapDirection, GapTestSource>>;
  readonly asDrawn: JointState;
  readonly wanted: JointPoint;
  readonly window: ScaleWindow;
  /** Smallest drawn gaps per side, at scale 1, that free themselves with 95 %. */
  readonly recommendedMm: Readonly<Record<GapDirection, number>>;
  /** Material to take off each wall after scaling, so that the wanted scale prints the gap of the recommended joint. */
  readonly offsetMm: number;
  readonly restored: { readonly printedMm: number; readonly free: number };
  readonly spacingMm: number;
  readonly points: readonly JointPoint[];
}

const CHART_SCALES = Array.from({ length: 27 }, (_, i) => 0.4 + i * 0.1);

function viewJoint(db: Db, all: readonly FoundGapStep[], learned: LearnedSignature, joint: Joint): JointView {
  const { signature } = learned;
  const design = designOf(joint);
  const limit = limitOf(joint);
  const plane = gapStepsFor(db, { all, learned, joint, direction: 'plane' });
  const height = gapStepsFor(db, { all, learned, joint, direction: 'height' });
  const ladders: GapTests = { plane: estimateGapTest(plane.rungs), height: estimateGapTest(height.rungs) };
  const at = (scale: number): JointPoint => {
    const state = jointAtScale(signature, ladders, design, scale);
    return { ...state, floppy: isFloppy(state, limit) };
  };
  const freeing = recommendedGap(ladders.plane);
  const wantedMm = mixtureMoments(printedGap(signature, design, 'plane', 1, freeing)).mean;
  const offsetMm = offsetForGap(signature, design, joint.scale, wantedMm);
  return {
    joint,
    design,
    limit,
    sources: { plane: plane.source, height: height.source },
    asDrawn: jointAtScale(signature, ladders, design, 1),
    wanted: at(joint.scale),
    window: scaleWindow(signature, ladders, design, limit),
    recommendedMm: { plane: freeing, height: recommendedGap(ladders.height) },
    offsetMm,
    restored: {
      printedMm: wantedMm,
      free: chanceFree(ladders.plane, design.gapMm * joint.scale + 2 * offsetMm),
    },
    spacingMm: leastSpacing(signature, ladders.plane, design, design.pinMm),
    points: [...new Set([...CHART_SCALES, joint.scale])].sort((a, b) => a - b).map(at),
  };
}

/** Joints of a job on its printer and resin; undefined without a profile. */
export function viewJoints(db: Db, view: JobView): JointView[] | undefined {
  const { learned } = view;
  if (learned === undefined) return undefined;
  const all = listTriedGaps(db);
  return listJoints(db, view.job.id).map((joint) => viewJoint(db, all, learned, joint));
}
