import { and, eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables } from '@/store';
import type { ShelfChangeIssue } from './shelf-issue';

interface BottleInput {
  readonly batch: string;
  readonly openedOn: string;
  readonly fullMl: number;
  readonly leftMl: number;
}

export function addBottle(db: Db, resinId: number, bottle: BottleInput): Result<void, ShelfChangeIssue> {
  if (bottle.leftMl > bottle.fullMl) return fail({ code: 'moreThanFull', fullMl: bottle.fullMl });
  if (queries.findResin(db, resinId) === undefined) return fail({ code: 'gone' });
  db.insert(tables.bottles)
    .values({ resinId, ...bottle })
    .run();
  return ok(undefined);
}

function ofBottle(resinId: number, bottleId: number) {
  return and(eq(tables.bottles.id, bottleId), eq(tables.bottles.resinId, resinId));
}

/** Keeps what is left in a bottle. */
export function keepLeft(
  db: Db,
  resinId: number,
  bottleId: number,
  leftMl: number,
): Result<void, ShelfChangeIssue> {
  const bottle = db.select().from(tables.bottles).where(ofBottle(resinId, bottleId)).get();
  if (bottle === undefined) return fail({ code: 'gone' });
  // A bottle weighed with a little dew on it is full, not a mistake.
  if (leftMl > bottle.fullMl * 1.05) return fail({ code: 'moreThanFull', fullMl: bottle.fullMl });
  db.update(tables.bottles)
    .set({ leftMl: Math.min(leftMl, bottle.fullMl) })
    .where(ofBottle(resinId, bottleId))
    .run();
  return ok(undefined);
}

export function shakeBottle(db: Db, resinId: number, bottleId: number): void {
  db.update(tables.bottles).set({ shakenAt: new Date() }).where(ofBottle(resinId, bottleId)).run();
}

export function throwBottle(db: Db, resinId: number, bottleId: number): void {
  db.update(tables.bottles).set({ removedAt: new Date() }).where(ofBottle(resinId, bottleId)).run();
}
