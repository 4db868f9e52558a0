import { drawnOfPart } from './drawn-sizes';
import type { JobView } from './view-job';

/** Where a job's part comes from. */
export interface JobPart {
  /** Address of its file. */
  readonly source: string;
  /** Changes when the file behind the address does. */
  readonly version: number;
  /** The same for the same shape: the hash of a file, or the sizes that it is built from. */
  readonly key: string;
}

/** The file that would be printed: the newest attempt's, the one brought in, or the part as it is built. */
export function partOfJob(view: JobView): JobPart | undefined {
  const { job, attempts } = view;
  const meshHash = attempts.at(-1)?.meshHash ?? job.meshHash;
  if (meshHash !== null) return { source: `/api/meshes/${meshHash}`, version: 0, key: meshHash };
  if (job.solid === null && job.gauge === null) return undefined;
  const sizes = [...drawnOfPart(view, 'newest')].map(([id, drawnMm]) => `${id}=${drawnMm}`);
  return { source: `/api/jobs/${job.id}/part`, version: job.revision, key: `built ${sizes.join(' ')}` };
}
