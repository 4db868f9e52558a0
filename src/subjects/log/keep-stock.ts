import { and, eq, isNull, ne, sql } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';
import type { StockCounted } from './input-stock';
import type { StockIssue } from './words-stock';

const { consumables } = tables;

/**
 * Notes what is left of something, or something new; two of one name would be ordered twice. What another window counted
 * since the page was shown is not written over.
 */
export function countStock(
  db: Db,
  { stockId, revision, ...counted }: Omit<StockCounted, 'revision'> & { readonly revision?: number },
  at = new Date(),
): Result<void, StockIssue> {
  const taken = db
    .select()
    .from(consumables)
    .where(and(eq(consumables.name, counted.name), ne(consumables.id, stockId ?? 0)))
    .get();
  const values = { ...counted, countedAt: at, putAwayAt: null };
  if (taken !== undefined && (taken.putAwayAt === null || stockId !== undefined))
    return fail({ code: 'nameTaken', name: counted.name });
  const id = stockId ?? taken?.id;
  if (id === undefined) {
    db.insert(consumables).values(values).run();
    return ok(undefined);
  }
  const before = db.select().from(consumables).where(eq(consumables.id, id)).get();
  if (before === undefined) return fail({ code: 'gone' });
  if (stockId !== undefined && before.revision !== revision)
    return fail({ code: 'changed', name: before.name });
  db.update(consumables)
    .set({ ...values, revision: sql`${consumables.revision} + 1` })
    .where(eq(consumables.id, id))
    .run();
  return ok(undefined);
}

/** It is not counted any more. */
export function putStockAway(db: Db, stockId: number): Result<void, StockIssue> {
  const { changes } = db
    .update(consumables)
    .set({ putAwayAt: new Date() })
    .where(and(eq(consumables.id, stockId), isNull(consumables.putAwayAt)))
    .run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}
