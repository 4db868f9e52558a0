import { eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Quote, ResinSheet, ShelfEntry } from '@/core/resins';
import { fail, ok, type Result } from '@/core/result';
import { type Db, queries, tables, evidenceChanged } from '@/store';
import { parseShelfCsv, type ShelfCsvIssue } from './input-shelf-csv';
import { findNameIssues, parseShelfJson } from './input-shelf-json';
import { proofOf } from './resin-file';

interface ShelfImport {
  readonly added: number;
  readonly updated: number;
  readonly proofs: number;
}

/** Where a file and the shelf state the same thing the file's value is taken; what only the shelf states stays. */
function mergeSheets(own: ResinSheet, brought: ResinSheet): ResinSheet {
  const same = (a: Quote, b: Quote) =>
    a.property === b.property && a.condition === b.condition && a.atC === b.atC;
  const kept = own.quotes.filter((quote) => !brought.quotes.some((other) => same(quote, other)));
  return {
    ...own,
    ...brought,
    quotes: [...kept, ...brought.quotes],
    cautions: [...new Set([...own.cautions, ...brought.cautions])],
  };
}

function bringIn(
  db: Db,
  entry: ShelfEntry,
  counts: { added: number; updated: number; proofs: number },
): void {
  const known = queries.findResinByName(db, entry.name);
  const recipe = entry.blend ?? null;
  const resinId =
    known?.id ??
    db.insert(tables.resins).values({ name: entry.name, sheet: entry.sheet, recipe }).returning().get().id;
  if (known === undefined) counts.added++;
  else {
    counts.updated++;
    db.update(tables.resins)
      .set({ sheet: mergeSheets(known.sheet, entry.sheet), recipe: recipe ?? known.recipe, removedAt: null })
      .where(eq(tables.resins.id, resinId))
      .run();
    evidenceChanged(db, { resinId });
  }
  const own = queries.findResin(db, resinId)!;
  const held = own.proofs.map(proofOf);
  for (const proof of entry.proofs) {
    if (held.some((other) => isDeepStrictEqual(other, proof))) continue;
    const { on, ...test } = proof;
    db.insert(tables.proofs).values({ resinId, test, on }).run();
    counts.proofs++;
  }
  // Bottles stand where they stand: they come along only to a shelf that has none of this resin.
  if (own.bottles.length === 0)
    for (const bottle of entry.bottles)
      db.insert(tables.bottles)
        .values({ resinId, ...bottle })
        .run();
}

/** Puts a shelf file's resins on this shelf, all of them or, where a row is bad, none. */
export function importShelf(db: Db, text: string): Result<ShelfImport, ShelfCsvIssue> {
  const onShelf = queries.listResinNames(db).map(({ name }) => name);
  const isJson = /^[\s\ufeff]*[{[]/.test(text);
  const entries = isJson ? parseShelfJson(text, onShelf) : parseShelfCsv(text);
  if (!entries.ok) return entries;
  const bad = findNameIssues(entries.value, onShelf);
  if (bad.length > 0) return fail({ code: 'badRows', rows: bad });
  return ok(bringAll(db, entries.value));
}

/** Puts entries on the shelf, in one go. */
export function bringAll(db: Db, entries: readonly ShelfEntry[]): ShelfImport {
  const counts = { added: 0, updated: 0, proofs: 0 };
  db.transaction((tx) => {
    for (const entry of entries) bringIn(tx, entry, counts);
  });
  return counts;
}
