import { eq } from 'drizzle-orm';
import type { ResinSheet } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import type { ShelfChangeIssue } from './words-issues';

/** Adds a resin with this name and an empty datasheet; one that was removed returns with its own. */
export function addResin(
  db: Db,
  name: string,
  family: ResinSheet['family'],
): Result<number, ShelfChangeIssue> {
  const known = queries.findResinByName(db, name);
  if (known !== undefined) {
    if (known.removedAt === null) return fail({ code: 'nameTaken', name });
    db.update(tables.resins).set({ removedAt: null }).where(eq(tables.resins.id, known.id)).run();
    return ok(known.id);
  }
  const sheet: ResinSheet = { family, quotes: [], cautions: [] };
  return ok(db.insert(tables.resins).values({ name, sheet }).returning().get().id);
}

/** Removes a resin; its tests, profiles and signatures stay, and it can be restored by its name. */
export function takeOffShelf(db: Db, resinId: number): void {
  db.update(tables.resins).set({ removedAt: new Date() }).where(eq(tables.resins.id, resinId)).run();
}
