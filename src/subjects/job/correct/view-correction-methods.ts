import { keepAnswer } from '@/core/kit';
import {
  chooseCorrectionMethod,
  compareCorrectionMethods,
  type CorrectionMethod,
  type CorrectionMethodSize,
  type CorrectionMethodWorth,
} from '@/core/exposure';
import { type Db, queries, targetOf } from '@/store';
import { drawOptions, type JobView } from '@/subjects/job/jobs';
import { viewLight } from '@/subjects/exposure';

/** The correction methods of a job side by side, and the recommended one. */
export interface CorrectionMethodsView {
  readonly levers: readonly CorrectionMethodWorth[];
  readonly chosen: CorrectionMethod;
  /** Present exposure, s; undefined if unknown, so no exposure change is compared. */
  readonly exposureS?: number;
  /** Other open jobs of the profile: an exposure change makes their drawn sizes invalid. */
  readonly voids: readonly string[];
  readonly ladders: number;
  /** Hours on the printer of one print, where a run of it was planned. */
  readonly hoursEach?: number;
  readonly isFirst: boolean;
  /** The sizes were drawn off their targets already: a trim on top would answer the same error twice. */
  readonly isAnswered: boolean;
}

/** Sizes as they stand in the file: drawn last, or as wanted. */
function sizesOf(view: JobView): CorrectionMethodSize[] {
  const last = view.attempts.at(-1);
  return view.features.map((feature) => ({
    target: targetOf(feature, view),
    asDrawnMm: last?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm ?? feature.targetMm,
  }));
}

function hoursEach(db: Db, { attempts }: JobView): number | undefined {
  const planned = attempts.findLast(({ id }) => queries.findRunOfAttempt(db, id)?.plan);
  const plan = planned && queries.findRunOfAttempt(db, planned.id)?.plan;
  return plan ? plan.plannedS / 3600 : undefined;
}

/** Drawn off by more than a hundredth: somebody, or the program, corrected it. */
const CORRECTED_MM = 0.01;

/** A trim by less is none, and one that brings no more than this is not worth what it voids. */
const LEAST_EXPOSURE_CHANGE = 0.03;
const LEAST_GAIN = 0.01;

function isWorthIt(trim: CorrectionMethodWorth, untouched: CorrectionMethodWorth, nowS: number): boolean {
  return (
    Math.abs(trim.exposureS! / nowS - 1) >= LEAST_EXPOSURE_CHANGE &&
    trim.joint - untouched.joint >= LEAST_GAIN
  );
}

/**
 * Returns the value of each correction method, an exposure change only if it helps; undefined without sizes, printer or
 * resin.
 */
export function viewCorrectionMethods(db: Db, view: JobView): CorrectionMethodsView | undefined {
  const { learned, features, profile, attempts, job } = view;
  if (learned === undefined || profile === undefined || features.length === 0) return undefined;
  const sizes = sizesOf(view);
  const light = viewLight(db, profile.profile.id);
  const trim = light?.trim;
  const depth = light?.curve?.ok === true ? light.curve.value : light?.quoted;
  const { signature } = learned;
  const asked = {
    sizes,
    options: drawOptions(view),
    instrument: Object.keys(learned.instruments)[0],
    light: trim && {
      exposureS: trim.exposureS,
      leastS: trim.leastS,
      slope: trim.slope,
      depth: depth && { mean: depth.dpMm, sd: depth.dpSdMm },
    },
  };
  const levers = keepAnswer(signature, { levers: asked }, () =>
    compareCorrectionMethods({ signature, ...asked }),
  ).filter((worth, _, all) => worth.lever !== 'trim' || isWorthIt(worth, all[0], trim!.exposureS));
  return {
    levers,
    chosen: chooseCorrectionMethod(levers).lever,
    exposureS: trim?.exposureS,
    voids: trim?.voids.filter(({ id }) => id !== job.id).map(({ name }) => name) ?? [],
    ladders: trim?.ladders ?? 0,
    hoursEach: hoursEach(db, view),
    isFirst: attempts.length === 0,
    isAnswered: sizes.some(({ target, asDrawnMm }) => Math.abs(asDrawnMm - target.targetMm) > CORRECTED_MM),
  };
}
