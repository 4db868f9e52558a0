import type { Outcome } from '@/core/measure';
import { atOnce, type Steps } from '@/core/kit';
import { type Db, queries } from '@/store';
import { isUnchecked, listOpenLosses } from '@/subjects/part';
import { verdictOfJob } from '@/subjects/resin/choice';
import { listJoints } from '@/subjects/fit/mating';
import { gapStepsOfPrint } from '@/subjects/fit/gauges';
import { type JobView, viewJobUnlearned } from '@/subjects/job/jobs';
import type { DecisionStep } from '@/subjects/workshop/records';
import { foundInPrint } from './outcome-of-print';
import { isOvertaken, type Settled, settledSteps } from './settled-steps';

export type NextStep = DecisionStep;

/** A job as Today shows it: where it stands, since when, and the one thing to do next. */
export interface JobGlance {
  readonly id: number;
  readonly name: string;
  readonly kind: 'part' | 'gauge';
  readonly printer: string;
  readonly resin: string;
  readonly attempt: number;
  readonly read: number;
  readonly of: number;
  readonly outcome: Outcome;
  /** Joints printed in place that are designed in it. */
  readonly joints: number;
  readonly step: NextStep;
  /** Nothing is left to do but to read its story. */
  readonly done: boolean;
  readonly settled: Settled;
  /** Findings of its check that could lose the print, still open. */
  readonly openLosses: number;
  /** When something was last done in it. */
  readonly since: Date;
}

interface Standing {
  readonly outcome: Outcome;
  readonly joints: number;
  readonly openLosses: number;
}

/** The step that comes next; while what could lose a print is open, that is Check. */
function nextStep(db: Db, view: JobView, { outcome, joints, openLosses }: Standing): NextStep {
  const { job, attempts, features } = view;
  if (features.length + joints === 0) return 'need';
  const waits = attempts.length === 0 || outcome.kind === 'notPrinted';
  if (waits && openLosses > 0) return 'check';
  if (attempts.length === 0) {
    if (verdictOfJob(db, job)?.verdict === 'fails') return 'resin';
    if (features.length === 0 && job.profileId === null) return 'need';
    // A file that somebody drew is looked at before it is printed.
    return job.meshHash !== null && isUnchecked(db, view) ? 'check' : 'correct';
  }
  if (isOvertaken(view)) return 'correct';
  if (outcome.kind === 'in') return 'story';
  return outcome.kind === 'out' ? 'correct' : 'measure';
}

function gapStepsFound(db: Db, { current }: JobView): number {
  return current?.printId === undefined ? 0 : gapStepsOfPrint(db, current.printId).size;
}

function countFound(db: Db, view: JobView, joints: readonly { readonly found?: unknown }[]) {
  const { job, current } = view;
  if (job.gauge?.kind === 'joint') return { read: gapStepsFound(db, view), of: job.gauge.stepsMm.length };
  const features = current?.features ?? [];
  const tried = joints.filter(({ found }) => found !== undefined).length;
  return {
    read: features.filter(({ size }) => size !== undefined).length + tried,
    of: view.features.length + joints.length,
  };
}

function glanceAt(db: Db, view: JobView, since: Date): JobGlance {
  const { job, profile, current } = view;
  const found = foundInPrint(db, job.id, current);
  const { read, of } = countFound(db, view, found.joints);
  const joints = listJoints(db, job.id).length;
  const openLosses = job.kind === 'part' ? listOpenLosses(db, view).length : 0;
  const gaugeStep = of > 0 && read === of ? 'story' : 'measure';
  const step =
    job.kind === 'gauge' ? gaugeStep : nextStep(db, view, { outcome: found.outcome, joints, openLosses });
  return {
    id: job.id,
    name: job.name,
    kind: job.kind,
    printer: profile?.printer.name ?? '',
    resin: profile?.resin.name ?? '',
    attempt: current?.attemptNumber ?? 0,
    read,
    of,
    outcome: found.outcome,
    joints,
    step,
    done: step === 'story',
    settled: settledSteps(db, view, found),
    openLosses,
    since,
  };
}

/** What waits longest comes first; what is done comes last, the newest of it first. */
function compare(a: JobGlance, b: JobGlance): number {
  if (a.done !== b.done) return a.done ? 1 : -1;
  return a.done ? b.since.getTime() - a.since.getTime() : a.since.getTime() - b.since.getTime();
}

/** Overviews of a workshop's jobs, with the keys of what they are made of. */
interface KeptGlances {
  readonly benchKey: string;
  readonly byJob: ReadonlyMap<number, { readonly key: string; readonly glance: JobGlance }>;
}

const kept = globalThis as typeof globalThis & { mellowGlances?: WeakMap<object, KeptGlances> };

/** Cached until something changes in the job or in what all jobs depend on. */
const keptGlances = (kept.mellowGlances ??= new WeakMap());

/** Every open job with its next step, what waits longest first. */
export function glanceAtJobs(db: Db): JobGlance[] {
  return atOnce(glanceSteps(db));
}

/** Shifts between states of a profile as words: verdicts of readings in another state rest on them. To 0.01 ‰. */
function shiftWords(db: Db): (profileId: number) => string {
  const known = new Map<number, string>();
  return (profileId) => {
    const words =
      known.get(profileId) ??
      queries
        .listKeptShifts(db, profileId)
        .map(({ state, xy, z }) =>
          [state, xy.mean, xy.sd, z.mean, z.sd]
            .map((each) => (typeof each === 'number' ? each.toFixed(5) : each))
            .join(' '),
        )
        .join(', ');
    known.set(profileId, words);
    return words;
  };
}

/** The same in steps, a job at a time: after a start nothing is kept yet, and nobody else is to wait for all of them. */
export function* glanceSteps(db: Db): Steps<JobGlance[]> {
  const benchKey = queries.keyOfBench(db);
  const before = keptGlances.get(db);
  const known = before?.benchKey === benchKey ? before.byJob : undefined;
  const byJob = new Map<number, { key: string; glance: JobGlance }>();
  const activities = queries.listActivity(db);
  const shiftsOf = shiftWords(db);
  for (const { jobId, profileId, lastAt, ...activity } of activities) {
    const key = `${activity.key} ${profileId === null ? '' : shiftsOf(profileId)}`;
    const same = known?.get(jobId);
    if (same?.key === key) {
      byJob.set(jobId, same);
      continue;
    }
    const view = viewJobUnlearned(db, jobId);
    if (view !== undefined) byJob.set(jobId, { key, glance: glanceAt(db, view, lastAt) });
    yield byJob.size / activities.length;
  }
  keptGlances.set(db, { benchKey, byJob });
  return [...byJob.values()].map(({ glance }) => glance).sort(compare);
}

/** Archived jobs. */
export function glanceAtArchive(db: Db): { readonly id: number; readonly name: string }[] {
  return queries.listJobs(db, { archived: true }).map(({ job }) => ({ id: job.id, name: job.name }));
}
