import { eq } from 'drizzle-orm';
import { asDiameter, findDoubt, type ReadAs } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { bumpRevision } from '@/subjects/workshop/records';
import { listBodyReadings, placed } from './view-sheet';
import type { BodyIssue } from './words-issues';

interface NewBodyReading {
  readonly clientKey: string;
  readonly jobId: number;
  readonly measure: string;
  readonly level: number;
  readonly turn: number;
  readonly readingMm: number;
  readonly readAs: ReadAs;
  readonly instrumentId: number;
  /** The person was asked about the doubt and said that the reading is right. */
  readonly confirmed: boolean;
}

/** Stores a reading of the old part or its neighbour, once; one that looks like a slip comes back as a doubt first. */
export function recordBody(db: Db, wanted: NewBodyReading): Result<number, BodyIssue> {
  const { bodyReadings, instruments } = tables;
  const known = db.select().from(bodyReadings).where(eq(bodyReadings.clientKey, wanted.clientKey)).get();
  if (known !== undefined) return ok(known.id);
  if (queries.findJob(db, wanted.jobId) === undefined) return fail({ code: 'gone' });
  if (db.select().from(instruments).where(eq(instruments.id, wanted.instrumentId)).get() === undefined)
    return fail({ code: 'noInstrument' });
  const others = listBodyReadings(db, wanted.jobId).filter(
    ({ reading }) => reading.measure === wanted.measure,
  );
  const size = asDiameter(wanted.readingMm, wanted.readAs);
  const expected = others.map((row) => placed(row).mm).sort((a, b) => a - b)[Math.floor(others.length / 2)];
  const doubt = findDoubt(size, expected ?? size);
  if (doubt !== undefined && (!wanted.confirmed || doubt.code === 'notPositive'))
    return fail({ code: 'doubt', doubt, readingMm: size });
  const { clientKey, jobId, measure, level, turn, readingMm, readAs, instrumentId } = wanted;
  const row = db
    .insert(bodyReadings)
    .values({ clientKey, jobId, measure, level, turn, readingMm, readAs, instrumentId, takenAt: new Date() })
    .returning()
    .get();
  bumpRevision(db, jobId);
  return ok(row.id);
}
