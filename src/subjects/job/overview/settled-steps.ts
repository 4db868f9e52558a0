import { type Db, queries } from '@/store';
import { settledOfCheck } from '@/subjects/part';
import { listJoints } from '@/subjects/fit/mating';
import { gapStepsOfPrint } from '@/subjects/fit/gauges';
import type { JobView } from '@/subjects/job/jobs';
import { standingAnswer } from '@/subjects/job/need';
import type { DecisionStep } from '@/subjects/workshop/records';
import { stateBySteps } from '@/subjects/print/postprocess';
import type { PrintFound } from './outcome-of-print';

/** Returns how complete each step of a job is, 0 to 1. */
export type Settled = Readonly<Record<DecisionStep, number>>;

/** Its newest attempt was drawn before something changed on which its sizes depend. */
export function isOvertaken({ job, attempts }: JobView): boolean {
  const last = attempts.at(-1);
  return last !== undefined && job.overtakenAttemptId === last.id;
}

export function settledSteps(db: Db, view: JobView, found: PrintFound): Settled {
  const { job, profile, current } = view;
  const joints = listJoints(db, job.id).length;
  const needs = [
    job.need !== '',
    job.acceptance !== '',
    job.profileId !== null,
    view.features.length + joints > 0,
  ];
  const printed = current?.printId !== undefined;
  const isIn = found.outcome.kind === 'in';
  // Drawn before something changed: those steps are open again.
  const overtaken = isOvertaken(view);
  const mated = view.features.filter(({ mateId }) => mateId !== null);
  const wished = mated.filter(({ wish }) => wish !== null).length;
  const answer = standingAnswer(db, job);
  return {
    need: needs.filter(Boolean).length / needs.length,
    resin: profile === undefined ? 0 : job.resinChosenId === profile.resin.id ? 1 : 0.5,
    fit: mated.length === 0 ? (joints > 0 ? 1 : 0) : (wished / mated.length) * (overtaken ? 0.5 : 1),
    check: settledOfCheck(db, view),
    run: settledOfRun(db, view),
    measure: settledOfMeasure(db, view, found),
    correct: !overtaken && (isIn || (current !== undefined && !printed)) ? 1 : 0,
    story: answer?.answer === 'passed' ? 1 : isIn && !overtaken ? (job.acceptance === '' ? 1 : 0.5) : 0,
  };
}

/** A print that was read is through, whether or not its steps were tapped. */
function settledOfRun(db: Db, { current }: JobView): number {
  if (current?.printId === undefined) return 0;
  if (current.features.some(({ size }) => size !== undefined)) return 1;
  const state = stateBySteps(queries.listPrintSteps(db, current.printId));
  return { green: 0, washed: 0.5, cured: 1, coated: 1, aged: 1 }[state];
}

function settledOfMeasure(db: Db, { job, current }: JobView, { joints }: PrintFound): number {
  if (current?.printId === undefined) return 0;
  if (job.gauge?.kind === 'joint')
    return gapStepsOfPrint(db, current.printId).size / job.gauge.stepsMm.length;
  const all = current.features.length + joints.length;
  const read =
    current.features.filter(({ size }) => size !== undefined).length +
    joints.filter((joint) => joint.found !== undefined).length;
  return all === 0 ? 0 : read / all;
}
