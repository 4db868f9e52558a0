import { and, asc, eq } from 'drizzle-orm';
import {
  chanceFree,
  estimateGapTest,
  type GapDirection,
  type JointOutcome,
  type GapStepOutcome,
} from '@/core/fit/mating';
import type { PartState } from '@/core/measure';
import { type Db, tables } from '@/store';
import { asGapsNow, type FoundGapStep, listGapSteps } from '@/subjects/fit/gauges';
import { isFloppyPlay } from './play-limit';
import { type Joint, listJoints } from './list-joints';

/** What the hand found at a joint. */
export interface JointFound {
  readonly outcome: JointOutcome;
  readonly playMm?: number;
  readonly playDeg?: number;
  readonly state: PartState;
}

/** A joint as drawn for an attempt and found in one print of it. */
export interface PrintedJoint {
  readonly id: number;
  readonly name: string;
  readonly joint: Joint;
  /** Gap per side in the file that was printed, mm; undefined: it was not in that attempt. */
  readonly gapMm?: number;
  readonly scale: number;
  /** Chance to come free that was expected when it was drawn. */
  readonly free?: number;
  readonly found?: JointFound;
  /** More play than the joint may have. */
  readonly floppy: boolean;
  /** Judged like a feature: in if it is free and not too loose. */
  readonly verdict?: { readonly kind: 'in' | 'out' };
}

/** The last outcome of every joint of a print. */
function foundIn(db: Db, printId: number): Map<number, JointFound> {
  const { jointOutcomes } = tables;
  const rows = db
    .select()
    .from(jointOutcomes)
    .where(eq(jointOutcomes.printId, printId))
    .orderBy(asc(jointOutcomes.id))
    .all();
  return new Map(
    rows.map(({ jointId, outcome, playMm, playDeg, state }) => [
      jointId,
      { outcome, playMm: playMm ?? undefined, playDeg: playDeg ?? undefined, state },
    ]),
  );
}

/** Joints of a job in an attempt, and what was found of each in a print of it. */
export function jointsOfPrint(db: Db, jobId: number, attemptId: number, printId?: number): PrintedJoint[] {
  const { drawnJoints } = tables;
  const drawn = new Map(
    db
      .select()
      .from(drawnJoints)
      .where(eq(drawnJoints.attemptId, attemptId))
      .all()
      .map((row) => [row.jointId, row]),
  );
  const outcomes = printId === undefined ? undefined : foundIn(db, printId);
  return listJoints(db, jobId).map((joint): PrintedJoint => {
    const found = outcomes?.get(joint.id);
    const floppy = found !== undefined && isFloppyPlay(joint, found);
    const isIn = found?.outcome === 'free' && !floppy;
    const asDrawn = drawn.get(joint.id);
    return {
      id: joint.id,
      name: joint.name,
      joint,
      gapMm: asDrawn?.gapMm,
      scale: asDrawn?.scale ?? joint.scale,
      free: asDrawn?.free ?? undefined,
      found,
      floppy,
      ...(found === undefined ? {} : { verdict: { kind: isIn ? 'in' : 'out' } }),
    };
  });
}

/** What broke while it was freed had not come free. */
const AS_GAP_STEP: Readonly<Record<JointOutcome, GapStepOutcome>> = {
  free: 'free',
  stiff: 'stiff',
  fused: 'fused',
  broken: 'fused',
};

/** What ladders and joints taught about coming free, one list for every question about a gap. */
export const listTriedGaps = (db: Db): FoundGapStep[] =>
  asGapsNow(db, [...listGapSteps(db), ...listJointGapSteps(db)]);

/**
 * Returns what printed joints taught about coming free, as gap test steps. A joint that came free had all its gaps
 * free; for one that did not, the gap that was more likely to close is taken as closed.
 */
export function listJointGapSteps(db: Db): FoundGapStep[] {
  const { jointOutcomes, joints, drawnJoints, prints, attempts } = tables;
  const rows = db
    .select({ found: jointOutcomes, joint: joints, drawn: drawnJoints, profileId: attempts.profileId })
    .from(jointOutcomes)
    .innerJoin(joints, eq(jointOutcomes.jointId, joints.id))
    .innerJoin(prints, eq(jointOutcomes.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .innerJoin(
      drawnJoints,
      and(eq(drawnJoints.attemptId, attempts.id), eq(drawnJoints.jointId, jointOutcomes.jointId)),
    )
    .orderBy(asc(jointOutcomes.id))
    .all();
  const last = new Map(rows.map((row) => [`${row.found.printId}/${row.found.jointId}`, row]));
  return [...last.values()].flatMap(({ found, joint, drawn, profileId }, i) => {
    const outcome = AS_GAP_STEP[found.outcome];
    const rung = (direction: GapDirection, gapMm: number): FoundGapStep => ({
      rung: i + 1,
      printId: found.printId,
      profileId,
      state: found.state,
      joint: joint.kind,
      direction,
      gapMm,
      outcome,
    });
    if (drawn.heightGapMm === null) return [rung('plane', drawn.gapMm)];
    if (outcome === 'free') return [rung('plane', drawn.gapMm), rung('height', drawn.heightGapMm)];
    return [
      isLikelier(drawn.heightGapMm, drawn.gapMm)
        ? rung('height', drawn.heightGapMm)
        : rung('plane', drawn.gapMm),
    ];
  });
}

const UNTRIED = estimateGapTest([]);

function isLikelier(closedMm: number, otherMm: number): boolean {
  return chanceFree(UNTRIED, closedMm) < chanceFree(UNTRIED, otherMm);
}
