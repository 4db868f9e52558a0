import { eq } from 'drizzle-orm';
import { findSheetIssues, type Quote, type ResinSheet } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables, evidenceChanged } from '@/store';
import type { ShelfChangeIssue } from './words-issues';

function changeSheet(
  db: Db,
  resinId: number,
  change: (sheet: ResinSheet) => ResinSheet,
): Result<void, ShelfChangeIssue> {
  const found = queries.findResin(db, resinId);
  if (found === undefined) return fail({ code: 'gone' });
  const sheet = change(found.resin.sheet);
  const [issue] = findSheetIssues(sheet);
  if (issue !== undefined) return fail({ code: 'resinSheet', issue });
  return db.transaction((tx) => {
    tx.update(tables.resins).set({ sheet }).where(eq(tables.resins.id, resinId)).run();
    // Its shrink is what a signature starts from.
    evidenceChanged(tx, { resinId });
    return ok(undefined);
  });
}

/** Two quotes of the same thing in the same state: the later one takes the place of the earlier. */
function replaces(a: Quote, b: Quote): boolean {
  return a.property === b.property && a.condition === b.condition && a.atC === b.atC;
}

/** Keeps a value of a resin's sheet in the place of the one it replaces; refuses what contradicts the rest. */
export function keepQuote(db: Db, resinId: number, quote: Quote): Result<void, ShelfChangeIssue> {
  return changeSheet(db, resinId, (sheet) => ({
    ...sheet,
    quotes: [...sheet.quotes.filter((other) => !replaces(quote, other)), quote],
  }));
}

export function dropQuote(db: Db, resinId: number, index: number): Result<void, ShelfChangeIssue> {
  return changeSheet(db, resinId, (sheet) => ({
    ...sheet,
    quotes: sheet.quotes.filter((_, i) => i !== index),
  }));
}

/** What is known of a resin in words: family, liquids, clarity, ratings, cautions. */
type ResinFacts = Omit<ResinSheet, 'quotes'>;

export function keepFacts(db: Db, resinId: number, facts: ResinFacts): Result<void, ShelfChangeIssue> {
  return changeSheet(db, resinId, ({ quotes }) => ({ ...facts, quotes }));
}
