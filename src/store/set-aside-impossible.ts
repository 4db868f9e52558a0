import { and, eq, isNull, or, type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { type Bounds, BOUNDS } from '@/core/measure';
import type { Db } from './client';
import {
  attempts,
  drawnSizes,
  features,
  mates,
  prints,
  profiles,
  readings,
  retractions,
  sessions,
} from './schema';

/** How many rows held an impossible number, by kind. */
export interface SetAside {
  readonly readings: number;
  readonly features: number;
  readonly drawnSizes: number;
  readonly mates: number;
}

const beyond = (column: SQLiteColumn, { low, high }: Bounds): SQL =>
  sql`(${column} is not null and not (${column} between ${low} and ${high}))`;

function impossibleReadings(tx: Db): number[] {
  return tx
    .select({ id: readings.id })
    .from(readings)
    .innerJoin(sessions, eq(readings.sessionId, sessions.id))
    .innerJoin(prints, eq(readings.printId, prints.id))
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .leftJoin(
      drawnSizes,
      and(eq(drawnSizes.attemptId, attempts.id), eq(drawnSizes.featureId, readings.featureId)),
    )
    .leftJoin(retractions, eq(retractions.readingId, readings.id))
    .where(
      and(
        isNull(retractions.readingId),
        or(
          beyond(readings.readingMm, BOUNDS.size),
          beyond(readings.heightMm, BOUNDS.height),
          beyond(sessions.zeroMm, BOUNDS.deviation),
          beyond(sessions.partC, BOUNDS.temperature),
          beyond(sessions.instrumentC, BOUNDS.temperature),
          beyond(drawnSizes.drawnMm, BOUNDS.size),
        ),
      ),
    )
    .all()
    .map(({ id }) => id);
}

const drawnBeyond = or(
  beyond(drawnSizes.drawnMm, BOUNDS.size),
  beyond(drawnSizes.predictedMm, BOUNDS.deviation),
  beyond(drawnSizes.sdMm, BOUNDS.deviation),
)!;

const featureBeyond = or(
  beyond(features.targetMm, { ...BOUNDS.size, low: 0 }),
  beyond(features.lowerDeviationMm, BOUNDS.deviation),
  beyond(features.upperDeviationMm, BOUNDS.deviation),
  beyond(features.bandLowMm, BOUNDS.deviation),
  beyond(features.bandHighMm, BOUNDS.deviation),
  beyond(features.coatMm, BOUNDS.deviation),
)!;

/**
 * Removes impossible numbers, such as 1e300, from the computation: readings are deleted, features removed, drawn sizes
 * and sizes of mates cleared. Inputs refuse such numbers now; older versions did not, and one of them must never break
 * a page.
 */
export function setAsideImpossible(db: Db, at = new Date()): SetAside {
  return db.transaction((tx) => {
    const taken = impossibleReadings(tx);
    for (const readingId of taken) tx.insert(retractions).values({ readingId, retractedAt: at }).run();
    const removed = tx
      .update(features)
      .set({ removedAt: at })
      .where(and(isNull(features.removedAt), featureBeyond))
      .run().changes;
    const forgotten = tx.delete(drawnSizes).where(drawnBeyond).run().changes;
    const unsized = tx
      .update(mates)
      .set({ sizeMm: null, uMm: null })
      .where(or(beyond(mates.sizeMm, BOUNDS.size), beyond(mates.uMm, BOUNDS.height)))
      .run().changes;
    if (taken.length + forgotten > 0)
      for (const { id } of tx.select({ id: profiles.id }).from(profiles).all())
        tx.update(profiles).set({ evidenceKey: crypto.randomUUID() }).where(eq(profiles.id, id)).run();
    return { readings: taken.length, features: removed, drawnSizes: forgotten, mates: unsized };
  });
}
