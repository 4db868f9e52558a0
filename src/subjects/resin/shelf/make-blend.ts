import { type BlendPart, blendSheet, type RecipePart } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import { resinFile } from './resin-file';
import type { ShelfChangeIssue } from './words-issues';

/**
 * Adds a blend as a resin of its own: bounds and estimates in its datasheet, everything else unknown until a bar was
 * tested. It has no signature of its components; another recipe is another resin.
 */
export function makeBlend(
  db: Db,
  name: string,
  recipe: readonly RecipePart[],
): Result<number, ShelfChangeIssue> {
  if (queries.findResinByName(db, name) !== undefined) return fail({ code: 'nameTaken', name });
  const shelf = queries.listShelf(db);
  const parts: BlendPart[] = [];
  for (const { resin, fraction } of recipe) {
    const found = shelf.find((each) => each.resin.name === resin);
    if (found === undefined) return fail({ code: 'gone' });
    parts.push({ resin: resinFile(found), fraction });
  }
  const sheet = blendSheet(parts);
  if (!sheet.ok) return fail({ code: 'blend', issue: sheet.issue });
  return ok(db.insert(tables.resins).values({ name, sheet: sheet.value, recipe }).returning().get().id);
}
