import { type Db, queries } from '@/store';
import { markOvertaken } from './mark-overtaken';
import type { Reopened } from './words-reopened';

/** What stands in a job before a change: its limits, and whether its newest attempt was drawn for them. */
export interface Standing {
  readonly features: readonly queries.Feature[];
  readonly profileId: number | null;
  readonly overtaken: boolean;
}

export function standingOf(db: Db, jobId: number): Standing {
  const job = queries.findJob(db, jobId);
  const last = queries.listAttempts(db, jobId).at(-1);
  return {
    features: queries.listFeatures(db, jobId),
    profileId: job?.profileId ?? null,
    overtaken: last !== undefined && job?.overtakenAttemptId === last.id,
  };
}

/** Forms show sizes to a ten-thousandth. */
const SAME_MM = 6e-5;

const LIMITS = ['targetMm', 'lowerDeviationMm', 'upperDeviationMm'] as const;
const KIND = ['sense', 'shape', 'axis', 'base', 'angleRad'] as const;

function limitsMoved(a: queries.Feature, b: queries.Feature): boolean {
  return LIMITS.some((limit) => Math.abs(a[limit] - b[limit]) > SAME_MM);
}

/**
 * Returns what a change reopened, given the state before it. Sizes drawn for other limits, another type or another
 * process are marked as outdated.
 */
export function reopenedSince(db: Db, jobId: number, before: Standing): Reopened[] {
  const attempt = queries.listAttempts(db, jobId).at(-1);
  const now = standingOf(db, jobId);
  const pairs = now.features.flatMap((feature) => {
    const was = before.features.find(({ id }) => id === feature.id);
    return was === undefined ? [] : [{ feature, was }];
  });
  const moved = pairs.filter(({ feature, was }) => limitsMoved(feature, was));
  const otherKind = pairs.some(({ feature, was }) => KIND.some((field) => feature[field] !== was[field]));
  const otherProcess = before.profileId !== now.profileId;
  const opened: Reopened[] = [];
  if (moved.length > 0) opened.push({ code: 'fits', names: moved.map(({ feature }) => feature.name) });
  if (attempt === undefined) return opened;
  const overtakes = moved.length > 0 || otherKind || otherProcess;
  if (overtakes) markOvertaken(db, jobId);
  if (overtakes || (now.overtaken && !before.overtaken))
    opened.push({ code: 'drawn', attempt: attempt.number });
  return opened;
}
