import { and, eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import type { ShelfChangeIssue } from './words-issues';
import { evidenceOf, leftByWeight } from '@/core/resin';
import { resinFile } from './resin-file';
import type { Left } from './input-resin';

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

/** Keeps what is left in a bottle, by level or by weight; gives millilitres. */
export function keepLeft(
  db: Db,
  resinId: number,
  bottleId: number,
  left: Left,
): Result<number, ShelfChangeIssue> {
  const bottle = db.select().from(tables.bottles).where(ofBottle(resinId, bottleId)).get();
  const shelved = queries.findResin(db, resinId);
  if (bottle === undefined || shelved === undefined) return fail({ code: 'gone' });
  const density = evidenceOf(resinFile(shelved)).of('density_g_ml')?.value;
  const leftMl = 'leftMl' in left ? left.leftMl : leftByWeight(left.weighedG, left.emptyG, density);
  if (leftMl === undefined) return fail({ code: 'noDensity' });
  // A bottle weighed with a little dew on it is full, not a mistake.
  if (leftMl > bottle.fullMl * 1.05) return fail({ code: 'moreThanFull', fullMl: bottle.fullMl });
  db.update(tables.bottles)
    .set({ leftMl: Math.min(leftMl, bottle.fullMl) })
    .where(ofBottle(resinId, bottleId))
    .run();
  return ok(leftMl);
}

export function shakeBottle(db: Db, resinId: number, bottleId: number): void {
  db.update(tables.bottles).set({ shakenAt: new Date() }).where(ofBottle(resinId, bottleId)).run();
}

export function throwBottle(db: Db, resinId: number, bottleId: number): void {
  db.update(tables.bottles).set({ removedAt: new Date() }).where(ofBottle(resinId, bottleId)).run();
}
