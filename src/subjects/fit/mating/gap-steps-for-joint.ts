import { type GapDirection, type GapStep, translateGapSteps } from '@/core/fit/mating';
import { type Db, queries } from '@/store';
import type { FoundGapStep } from '@/subjects/fit/gauges';
import { type LearnedSignature, newestSignature } from '@/subjects/signature';
import { designOf, type Joint } from './list-joints';

/** Where what is known of coming free was found out; `movedMm`: how far an exposure changed since has moved those gaps. */
export type GapTestSource =
  | {
      readonly from: 'thisJoint' | 'otherJoints';
      readonly rungs: number;
      readonly otherState: boolean;
      readonly movedMm: number;
    }
  | { readonly from: 'otherPrinter'; readonly rungs: number; readonly printer: string }
  | { readonly from: 'assumed' };

interface SourcedGapSteps {
  readonly rungs: readonly GapStep[];
  readonly source: GapTestSource;
}

/** Steps tried in the state in which the joint will be freed, if there are any; otherwise all, marked so. */
function inState(rungs: readonly FoundGapStep[], freed: Joint['freed']) {
  const own = rungs.filter(({ state }) => (state === 'green') === (freed === 'green'));
  return own.length > 0 ? { rungs: own, otherState: false } : { rungs, otherState: true };
}

interface GapStepsQuestion {
  /** Returns every gap test step that was ever tried in this workshop. */
  readonly all: readonly FoundGapStep[];
  readonly learned: LearnedSignature;
  readonly joint: Joint;
  readonly direction: GapDirection;
}

/**
 * Returns the steps that apply to a joint: of this kind on this printer and resin; otherwise of any kind there;
 * otherwise of the same resin on another printer, at equal printed gaps; otherwise none, which leaves the prior.
 */
export function gapStepsFor(db: Db, { all, learned, joint, direction }: GapStepsQuestion): SourcedGapSteps {
  const design = designOf(joint);
  const ofDirection = all.filter((rung) => rung.direction === direction);
  const here = ofDirection.filter(({ profileId }) => profileId === learned.profileId);
  // A roof cures through alike, whatever it stands over.
  const same = direction === 'height' ? here : here.filter((rung) => rung.joint === design.kind);
  if (here.length > 0) {
    const { rungs, otherState } = inState(same.length > 0 ? same : here, joint.freed);
    const from = same.length > 0 ? 'thisJoint' : 'otherJoints';
    const movedMm = rungs.reduce(
      (most, { movedMm = 0 }) => (Math.abs(movedMm) > Math.abs(most) ? movedMm : most),
      0,
    );
    return { rungs, source: { from, rungs: rungs.length, otherState, movedMm } };
  }
  const resinId = queries.findProfile(db, learned.profileId)?.resin.id;
  for (const profileId of new Set(ofDirection.map((rung) => rung.profileId))) {
    const other = queries.findProfile(db, profileId);
    if (other === undefined || other.resin.id !== resinId) continue;
    const there = ofDirection.filter((rung) => rung.profileId === profileId);
    const from = newestSignature(db, profileId).signature;
    const rungs = translateGapSteps(there, design, direction, from, learned.signature);
    return { rungs, source: { from: 'otherPrinter', rungs: rungs.length, printer: other.printer.name } };
  }
  return { rungs: [], source: { from: 'assumed' } };
}
