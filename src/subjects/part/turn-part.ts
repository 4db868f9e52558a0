import { eq } from 'drizzle-orm';
import { turnedKind, turnPoint } from '@/core/part/findings';
import type { Base } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, evidenceChanged, kindColumns, kindOf, queries, tables } from '@/store';
import { keepPartFile, partOfJob, reopenedSince, standingOf, viewJob } from '@/subjects/job/jobs';
import type { Reopened } from '@/subjects/job/jobs/shared';
import { recordDecision } from '@/subjects/workshop/records';
import { tellingOfCheck } from './reopened-check';
import { keepSignatures, type Later } from '@/subjects/signature';
import type { TurnIssue } from './words-issues';
import type { CheckEntry, TurnedFeature } from './words-decisions';

/** How a part was turned: a rotation, row by row, then a lift onto the plate, mm. */
export interface Turn {
  readonly rotation: readonly number[];
  readonly liftMm: number;
}

/** The file of the rotated part. */
interface TurnedFile extends Turn {
  readonly meshHash: string;
  readonly name: string;
}

/** What a turn did to the features of the job, by their names. */
export interface TurnEffect {
  /** They run another way now. */
  readonly turned: readonly TurnedFeature[];
  /** They lie or lean so that no law is known for them, and keep the direction they had. */
  readonly unknown: readonly string[];
  readonly opened: readonly Reopened[];
}

/** A face this near to z = 0 lies on the plate, mm. */
const ON_PLATE_MM = 0.05;

type Placed = Pick<queries.Feature, 'anchor' | 'targetMm'>;

/** Whether one of the two faces of a size along Z lies on the plate, by a place on one of them. */
function baseOf({ anchor, targetMm }: Placed, standsOnPlate: boolean): Base {
  if (!standsOnPlate || anchor === null) return 'supported';
  const isOnPlate = (z: number) => Math.abs(z) < ON_PLATE_MM;
  return isOnPlate(anchor[2]) || isOnPlate(anchor[2] - targetMm) ? 'plate' : 'supported';
}

/**
 * Keeps the turned file as the job's part and turns its features along: their directions, places and seen faces, for what
 * is printed from now on. What was printed stays as it lay.
 */
export function turnPart(
  db: Db,
  jobId: number,
  { meshHash, name, rotation, liftMm }: TurnedFile,
  later: Later = (work) => work(),
): Result<TurnEffect, TurnIssue> {
  const view = viewJob(db, jobId);
  if (view === undefined) return fail({ code: 'gone' });
  if (partOfJob(view)?.correctedFor !== undefined && view.current?.printId === undefined)
    return fail({ code: 'correctedWaits', attempt: view.current?.attemptNumber ?? 0 });
  const standsOnPlate = view.job.stance?.kind === 'plate';
  const turned: TurnedFeature[] = [];
  const unknown: string[] = [];
  const turnFeature = (tx: Db, feature: queries.Feature) => {
    const anchor = feature.anchor && liftedPoint(turnPoint(rotation, feature.anchor), liftMm);
    const base = baseOf({ anchor, targetMm: feature.targetMm }, standsOnPlate);
    const before = kindOf(feature);
    const kind = turnedKind(before, rotation, base);
    if (kind === undefined) unknown.push(feature.name);
    else if (kind.axis !== before.axis || kind.base !== before.base)
      turned.push({ name: feature.name, axis: kind.axis });
    tx.update(tables.features)
      .set({ ...kindColumns(kind ?? before), anchor })
      .where(eq(tables.features.id, feature.id))
      .run();
  };
  const { opened, changed } = db.transaction((tx) => {
    const opened = tellingOfCheck(tx, jobId, () => {
      const standing = standingOf(tx, jobId);
      keepPartFile(tx, jobId, meshHash, name);
      for (const feature of view.features) turnFeature(tx, feature);
      return reopenedSince(tx, jobId, standing);
    });
    const seenDirections = view.job.seenDirections.map((direction) => turnPoint(rotation, direction));
    tx.update(tables.jobs).set({ seenDirections }).where(eq(tables.jobs.id, jobId)).run();
    recordDecision<CheckEntry>(tx, jobId, 'check', { code: 'partTurned', turned, unknown });
    return { opened, changed: evidenceChanged(tx, { jobId }) };
  });
  later(() => keepSignatures(db, changed));
  return ok({ turned, unknown, opened });
}

function liftedPoint([x, y, z]: readonly [number, number, number], liftMm: number): [number, number, number] {
  return [x, y, z + liftMm];
}
