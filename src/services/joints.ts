import { and, asc, eq, isNull } from 'drizzle-orm';
import {
  chanceFree,
  estimateLadder,
  isFloppy,
  jointAtScale,
  leastSpacing,
  offsetForGap,
  printedGap,
  recommendedGap,
  scaleWindow,
  translateRungs,
  type GapDirection,
  type JointDesign,
  type JointKind,
  type JointState,
  type Ladders,
  type PlayLimit,
  type Rung,
  type ScaleWindow,
} from '@/core/fits';
import { mixtureMoments } from '@/core/numerics';
import { queries, tables, type Db } from '@/db';
import { listRungs, type FoundRung } from './gauges';
import { learnSignature, type LearnedSignature } from './learn-signature';
import { bumpRevision, noteLedger } from './ledger';
import type { JobView } from './view-job';

export type Joint = typeof tables.joints.$inferSelect;

export interface JointInput {
  readonly name: string;
  readonly kind: JointKind;
  readonly gapMm: number;
  readonly heightGapMm?: number;
  readonly pinMm: number;
  readonly spanMm: number;
  readonly scale: number;
  readonly mostAngleDeg?: number;
  readonly mostLateralMm?: number;
  readonly freed: 'green' | 'cured';
}

/** Adds a joint to a job, or changes the one named. */
export function saveJoint(db: Db, jobId: number, input: JointInput, jointId?: number): void {
  const values = {
    ...input,
    heightGapMm: input.heightGapMm ?? null,
    mostAngleDeg: input.mostAngleDeg ?? null,
    mostLateralMm: input.mostLateralMm ?? null,
  };
  const { joints } = tables;
  if (jointId === undefined)
    db.insert(joints)
      .values({ jobId, ...values })
      .run();
  else
    db.update(joints)
      .set(values)
      .where(and(eq(joints.id, jointId), eq(joints.jobId, jobId)))
      .run();
  noteLedger(
    db,
    jobId,
    'fit',
    `${input.name}: gap ${input.gapMm} per side`,
    `${input.kind}, wanted at ${Math.round(input.scale * 100)} %`,
  );
  bumpRevision(db, jobId);
}

export function removeJoint(db: Db, jobId: number, jointId: number): void {
  const { joints } = tables;
  db.update(joints)
    .set({ removedAt: new Date() })
    .where(and(eq(joints.id, jointId), eq(joints.jobId, jobId)))
    .run();
  bumpRevision(db, jobId);
}

export function listJoints(db: Db, jobId: number): Joint[] {
  const { joints } = tables;
  return db
    .select()
    .from(joints)
    .where(and(eq(joints.jobId, jobId), isNull(joints.removedAt)))
    .orderBy(asc(joints.id))
    .all();
}

/** Where what is known of coming free was found out. */
export type LadderSource =
  | { readonly from: 'thisJoint' | 'otherJoints'; readonly rungs: number; readonly otherState: boolean }
  | { readonly from: 'otherPrinter'; readonly rungs: number; readonly printer: string }
  | { readonly from: 'assumed' };

interface SourcedRungs {
  readonly rungs: readonly Rung[];
  readonly source: LadderSource;
}

/** Rungs tried in the state in which the joint will be freed, where there are any; else all, and that is said. */
function inState(rungs: readonly FoundRung[], freed: Joint['freed']) {
  const own = rungs.filter(({ state }) => (state === 'green') === (freed === 'green'));
  return own.length > 0 ? { rungs: own, otherState: false } : { rungs, otherState: true };
}

/**
 * Rungs that answer for a joint: of this kind on this printer and resin; else of any kind there; else of the same resin
 * on another printer, carried over at equal printed gaps; else none, and the prior stands.
 */
function rungsFor(
  db: Db,
  all: readonly FoundRung[],
  learned: LearnedSignature,
  joint: Joint,
  direction: GapDirection,
): SourcedRungs {
  const design = designOf(joint);
  const ofDirection = all.filter((rung) => rung.direction === direction);
  const here = ofDirection.filter(({ profileId }) => profileId === learned.profileId);
  // A roof cures through alike, whatever it stands over.
  const same = direction === 'height' ? here : here.filter((rung) => rung.joint === design.kind);
  if (here.length > 0) {
    const { rungs, otherState } = inState(same.length > 0 ? same : here, joint.freed);
    const from = same.length > 0 ? 'thisJoint' : 'otherJoints';
    return { rungs, source: { from, rungs: rungs.length, otherState } };
  }
  const resinId = queries.findProfile(db, learned.profileId)?.resin.id;
  for (const profileId of new Set(ofDirection.map((rung) => rung.profileId))) {
    const other = queries.findProfile(db, profileId);
    if (other === undefined || other.resin.id !== resinId) continue;
    const there = ofDirection.filter((rung) => rung.profileId === profileId);
    const from = learnSignature(db, profileId).signature;
    const rungs = translateRungs(there, design, direction, from, learned.signature);
    return { rungs, source: { from: 'otherPrinter', rungs: rungs.length, printer: other.printer.name } };
  }
  return { rungs: [], source: { from: 'assumed' } };
}

/** A joint at one of the scales of its chart. */
export interface JointPoint extends JointState {
  readonly floppy: boolean;
}

export interface JointView {
  readonly joint: Joint;
  readonly design: JointDesign;
  readonly limit: PlayLimit;
  readonly sources: Readonly<Record<GapDirection, LadderSource>>;
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

export function designOf({ kind, gapMm, heightGapMm, pinMm, spanMm }: Joint): JointDesign {
  return { kind, gapMm, heightGapMm: heightGapMm ?? undefined, pinMm, spanMm };
}

/** Play that counts as floppy where nobody said: a hinge may wobble two degrees, the rest shift half a millimetre. */
export function limitOf({
  kind,
  mostAngleDeg,
  mostLateralMm,
}: Pick<Joint, 'kind' | 'mostAngleDeg' | 'mostLateralMm'>): PlayLimit {
  if (mostAngleDeg !== null) return { angleRad: (mostAngleDeg * Math.PI) / 180 };
  if (mostLateralMm !== null) return { lateralMm: mostLateralMm };
  return kind === 'hinge' ? { angleRad: (2 * Math.PI) / 180 } : { lateralMm: 0.5 };
}

const CHART_SCALES = Array.from({ length: 27 }, (_, i) => 0.4 + i * 0.1);

function viewJoint(db: Db, all: readonly FoundRung[], learned: LearnedSignature, joint: Joint): JointView {
  const { signature } = learned;
  const design = designOf(joint);
  const limit = limitOf(joint);
  const plane = rungsFor(db, all, learned, joint, 'plane');
  const height = rungsFor(db, all, learned, joint, 'height');
  const ladders: Ladders = { plane: estimateLadder(plane.rungs), height: estimateLadder(height.rungs) };
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
  const all = listRungs(db);
  return listJoints(db, view.job.id).map((joint) => viewJoint(db, all, learned, joint));
}
