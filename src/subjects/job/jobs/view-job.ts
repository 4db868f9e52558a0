import type { PlatePlace } from '@/core/signature';
import { type Db, placeOnPlate, queries } from '@/store';
import { type LearnedSignature, newestSignature } from '@/subjects/signature';
import { type PrintView, viewPrint } from './view-print';

export interface JobView {
  readonly job: queries.Job;
  readonly profile?: queries.ProfileRow;
  readonly attempts: readonly queries.AttemptWithPrints[];
  readonly mates: readonly queries.Mate[];
  readonly features: readonly queries.Feature[];
  /** The newest attempt, read on its newest print. */
  readonly current?: PrintView;
  /** Where its features lay on the plate in the newest print of which somebody said it. */
  readonly places: ReadonlyMap<number, PlatePlace>;
  readonly learned?: LearnedSignature;
}

/** What the part of a job is derived from: everything except its prints, of which there may be thousands. */
export interface PartView extends Pick<JobView, 'job' | 'profile' | 'mates' | 'features' | 'learned'> {
  readonly attempts: readonly ReturnType<typeof queries.listDrawnAttempts>[number][];
}

function placesOf(db: Db, attempts: readonly queries.AttemptWithPrints[]): JobView['places'] {
  const print = attempts.flatMap(({ prints }) => prints).findLast(({ placeXMm }) => placeXMm !== null);
  if (print === undefined) return new Map();
  const part = { xMm: print.placeXMm, yMm: print.placeYMm };
  return new Map(
    [...queries.printedById(db, print.id)].flatMap(([featureId, printed]) => {
      const place = placeOnPlate(part, printed);
      return place === undefined ? [] : [[featureId, place] as const];
    }),
  );
}

export function isJob(db: Db, jobId: number): boolean {
  return queries.findJob(db, jobId) !== undefined;
}

/** The profile whose signature a job's pages need; undefined without a job or a profile. */
export function profileOfJob(db: Db, jobId: number): number | undefined {
  return queries.findJob(db, jobId)?.profileId ?? undefined;
}

function viewWith(
  db: Db,
  jobId: number,
  learn: (profileId: number) => LearnedSignature | undefined,
): JobView | undefined {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return undefined;
  const attempts = queries.listAttempts(db, jobId);
  const features = queries.listFeatures(db, jobId);
  const mates = queries.listMates(db, jobId);
  const profile = job.profileId === null ? undefined : queries.findProfile(db, job.profileId);
  const learned = job.profileId === null ? undefined : learn(job.profileId);
  const last = attempts.at(-1);
  const current = last && viewPrint(db, { job, features, mates, learned }, last, last.prints.at(-1));
  return { job, profile, attempts, mates, features, current, places: placesOf(db, attempts), learned };
}

/** The part of a job, for plates; undefined when there is no such job. */
export function viewPart(db: Db, jobId: number): PartView | undefined {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return undefined;
  return {
    job,
    profile: job.profileId === null ? undefined : queries.findProfile(db, job.profileId),
    attempts: queries.listDrawnAttempts(db, jobId),
    mates: queries.listMates(db, jobId),
    features: queries.listFeatures(db, jobId),
  };
}

/** Everything a job's pages show; undefined when there is no such job. */
export function viewJob(db: Db, jobId: number): JobView | undefined {
  return viewWith(db, jobId, (profileId) => newestSignature(db, profileId));
}

/** The same without the signature: sizes and verdicts, no predictions. For lists of many jobs. */
export function viewJobUnlearned(db: Db, jobId: number): JobView | undefined {
  return viewWith(db, jobId, () => undefined);
}
