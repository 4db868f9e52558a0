import { eq } from 'drizzle-orm';
import { directionOfSide, type Side, sideOfDirection } from '@/core/part/findings';
import type { Point } from '@/core/part/mesh';
import type { DecisionRule, PartState } from '@/core/measure';
import type { Claim } from '@/core/job/need';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import {
  dropOvertaken,
  reopenedResin,
  requirementFromNeed,
  type ResinStanding,
  resinStanding,
} from '@/subjects/resin/choice';
import { refit, reopenedSince, type Standing, standingOf } from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { recordDecision } from '@/subjects/workshop/records';
import { standingAnswer } from './view-answers';
import type { NeedEntry } from './words-decisions';
import type { NeedIssue } from './words-issues';

export interface NeedChange {
  readonly name: string;
  readonly need: string;
  readonly acceptance: string;
  readonly profileId?: number;
  readonly rule: DecisionRule;
  readonly quantity: number;
  readonly dueOn: string;
  readonly seenFaces: string;
  /** Sides of the part, as it stands in its file, that are seen. */
  readonly seenSides: readonly Side[];
  readonly hottestC?: number;
  readonly hottestWhen: string;
  readonly fitC?: number;
  /** State in which the limits hold. */
  readonly fitState: PartState;
  readonly loadWords: string;
  readonly loadN?: number;
  readonly claims: readonly Claim[];
  /** Revision of the job that the sender was looking at. */
  readonly revision: number;
}

/** Directions of the seen sides; those of a tilted part stay what they are while the same sides are meant. */
function directionsOf(sides: readonly Side[], { seenDirections }: queries.Job): readonly Point[] {
  return sides.map(
    (side) =>
      seenDirections.find((direction) => sideOfDirection(direction) === side) ?? directionOfSide(side),
  );
}

interface Before {
  readonly answered: boolean;
  readonly resin: ResinStanding;
  readonly standing: Standing;
}

function reopen(db: Db, job: queries.Job, wanted: NeedChange, before: Before): Reopened[] {
  refit(db, job.id);
  const opened: Reopened[] = [
    ...reopenedResin(db, job.id, before.resin),
    ...reopenedSince(db, job.id, before.standing),
  ];
  if (before.answered && job.acceptance !== wanted.acceptance) opened.push({ code: 'acceptance' });
  if (opened.length > 0) recordDecision<NeedEntry>(db, job.id, 'need', { code: 'needReopened', opened });
  return opened;
}

/**
 * Changes what a job is for, and reopens what depends on it: limits by temperature, the acceptance test, sizes drawn
 * for another process. A change made elsewhere in the meantime is not overwritten: the sender is informed.
 */
export function changeNeed(
  db: Db,
  jobId: number,
  wanted: NeedChange,
): Result<readonly Reopened[], NeedIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  if (job.revision !== wanted.revision) return fail({ code: 'changedElsewhere' });
  const { revision, seenSides, ...values } = wanted;
  return db.transaction((tx) => {
    const before = {
      answered: standingAnswer(tx, job) !== undefined,
      resin: resinStanding(tx, jobId),
      standing: standingOf(tx, jobId),
    };
    const askedBefore = requirementFromNeed(tx, job);
    tx.update(tables.jobs)
      .set({
        ...values,
        seenDirections: directionsOf(seenSides, job),
        profileId: wanted.profileId ?? null,
        hottestC: wanted.hottestC ?? null,
        fitC: wanted.fitC ?? null,
        loadN: wanted.loadN ?? null,
        revision: revision + 1,
      })
      .where(eq(tables.jobs.id, jobId))
      .run();
    if (job.acceptance !== wanted.acceptance && wanted.acceptance !== '')
      recordDecision<NeedEntry>(tx, jobId, 'need', { code: 'testAgreed', test: wanted.acceptance });
    if (job.rule !== wanted.rule)
      recordDecision<NeedEntry>(tx, jobId, 'need', { code: 'ruleChosen', rule: wanted.rule });
    dropOvertaken(tx, jobId, askedBefore);
    return ok(reopen(tx, job, wanted, before));
  });
}
