import { drawnOfPart } from './drawn-sizes';
import type { PartView } from './view-job';

/** Where a job's part comes from. */
export interface JobPart {
  /** Address of its file. */
  readonly source: string;
  /** Changes when the file behind the address does. */
  readonly version: number;
  /** The same for the same shape: the hash of a file, or the sizes that it is built from. */
  readonly key: string;
  /** Number of the attempt for which the whole file was corrected; undefined if it is unchanged. */
  readonly correctedFor?: number;
}

const fileOf = (hash: string): JobPart => ({ source: `/api/meshes/${hash}`, version: 0, key: hash });

/** The part as imported or built, not corrected for any attempt. */
export function basePartOfJob(view: PartView): JobPart | undefined {
  const { job } = view;
  if (job.meshHash !== null) return fileOf(job.meshHash);
  if (job.solid === null && job.gauge === null) return undefined;
  const sizes = [...drawnOfPart(view, 'newest')].map(([id, drawnMm]) => `${id}=${drawnMm}`);
  return { source: `/api/jobs/${job.id}/part`, version: job.revision, key: `built ${sizes.join(' ')}` };
}

/** The file that would be printed: the newest attempt's while nothing overtook it, else the part as it is now. */
export function partOfJob(view: PartView): JobPart | undefined {
  const { job, attempts } = view;
  const last = attempts.at(-1);
  const own = last?.meshHash ?? null;
  const base = basePartOfJob(view);
  if (last === undefined || own === null) return base;
  if (job.overtakenAttemptId === last.id && base !== undefined) return base;
  return own === job.meshHash ? base : { ...fileOf(own), correctedFor: last.number };
}
