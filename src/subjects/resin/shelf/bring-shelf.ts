import { eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Quote, ResinSheet, ShelfEntry } from '@/core/resin';
import { atOnce, fail, ok, partOf, type Result, type Steps } from '@/core/kit';
import { type Db, evidenceChanged, prepareInsert, queries, tables } from '@/store';
import { shelfCsvSteps, type ShelfCsvIssue } from './input-shelf-csv';
import { findNameIssues, shelfJsonSteps } from './input-shelf-json';
import { resinTestOf } from './resin-file';

interface ShelfImport {
  readonly added: number;
  readonly updated: number;
  readonly proofs: number;
}

/** Where a file and the stored resin state the same value, the file wins; other stored values stay. */
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

/** A resin that is or was stored, with its imported data. */
function update(db: Db, resin: queries.Resin, entry: ShelfEntry): number {
  const { id: resinId } = resin;
  db.update(tables.resins)
    .set({
      sheet: mergeSheets(resin.sheet, entry.sheet),
      recipe: entry.blend ?? resin.recipe,
      removedAt: null,
    })
    .where(eq(tables.resins.id, resinId))
    .run();
  evidenceChanged(db, { resinId });
  const own = queries.findResin(db, resinId)!;
  const held = own.proofs.map(resinTestOf);
  const news = entry.proofs.filter((proof) => !held.some((other) => isDeepStrictEqual(other, proof)));
  keepBelongings(db, resinId, {
    proofs: news,
    // Bottles are physical: they are imported only if this resin has none here.
    bottles: own.bottles.length === 0 ? entry.bottles : [],
  });
  return news.length;
}

function keepBelongings(
  db: Db,
  resinId: number,
  { proofs, bottles }: Pick<ShelfEntry, 'proofs' | 'bottles'>,
): void {
  for (const { on, ...test } of proofs) db.insert(tables.proofs).values({ resinId, test, on }).run();
  for (const bottle of bottles)
    db.insert(tables.bottles)
      .values({ resinId, ...bottle })
      .run();
}

function addAll(db: Db, entries: readonly ShelfEntry[]): void {
  const insert = prepareInsert(db, 'resins', ['name', 'sheet', 'recipe']);
  for (const entry of entries) {
    const recipe = entry.blend === undefined ? null : JSON.stringify(entry.blend);
    keepBelongings(db, insert(entry.name, JSON.stringify(entry.sheet), recipe).id, entry);
  }
}

/** `importShelf` in steps: reading can be stopped, the writing is one step. */
export function* importShelfSteps(db: Db, text: string): Steps<Result<ShelfImport, ShelfCsvIssue>> {
  const onShelf = new Set(queries.listResinNames(db).map(({ name }) => name));
  const isJson = /^[\s\ufeff]*[{[]/.test(text);
  const steps: Steps<Result<ShelfEntry[], ShelfCsvIssue>> = isJson
    ? shelfJsonSteps(text, onShelf)
    : shelfCsvSteps(text);
  const entries = yield* partOf(steps, 0, 0.95);
  if (!entries.ok) return entries;
  const bad = findNameIssues(entries.value, onShelf);
  if (bad.length > 0) return fail({ code: 'badRows', rows: bad });
  yield 0.95;
  return ok(bringAll(db, entries.value));
}

/** Imports the resins of a file, all of them or, if a row is bad, none. */
export function importShelf(db: Db, text: string): Result<ShelfImport, ShelfCsvIssue> {
  return atOnce(importShelfSteps(db, text));
}

/** Imports entries in one go. */
export function bringAll(db: Db, entries: readonly ShelfEntry[]): ShelfImport {
  return db.transaction((tx) => {
    const known = new Map(
      tx
        .select()
        .from(tables.resins)
        .all()
        .map((resin) => [resin.name, resin]),
    );
    const news = entries.filter(({ name }) => !known.has(name));
    let proofs = news.reduce((sum, entry) => sum + entry.proofs.length, 0);
    addAll(tx, news);
    for (const entry of entries) {
      const resin = known.get(entry.name);
      if (resin !== undefined) proofs += update(tx, resin, entry);
    }
    return { added: news.length, updated: entries.length - news.length, proofs };
  });
}
