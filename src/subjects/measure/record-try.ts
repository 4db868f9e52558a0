import { eq } from 'drizzle-orm';
import type { PartState } from '@/core/metrology';
import { fail, ok, type Result } from '@/core/result';
import type { FitWord } from '@/core/signature';
import { type Db, evidenceChanged, tables } from '@/store';
import { keepSignatures, type Later } from '@/subjects/printing';
import type { ReadingIssue } from './words-issues';

interface NewTry {
  readonly clientKey: string;
  readonly featureId: number;
  readonly printId: number;
  readonly word: FitWord;
  readonly state: PartState;
  /** Weight of the push, where somebody weighed it, N. */
  readonly pushN?: number;
}

/** Keeps a word of fit; the last word of a feature in a print is the one that counts. */
export function recordTry(
  db: Db,
  wanted: NewTry,
  later: Later = (work) => work(),
): Result<void, ReadingIssue> {
  const known = (table: typeof tables.features | typeof tables.prints, id: number) =>
    db.select({ id: table.id }).from(table).where(eq(table.id, id)).get() !== undefined;
  if (!known(tables.features, wanted.featureId)) return fail({ code: 'gone', what: 'feature' });
  if (!known(tables.prints, wanted.printId)) return fail({ code: 'gone', what: 'print' });
  const changed = db.transaction((tx) => {
    tx.insert(tables.tries)
      .values({ ...wanted, takenAt: new Date() })
      .onConflictDoNothing()
      .run();
    return evidenceChanged(tx, { printId: wanted.printId });
  });
  later(() => keepSignatures(db, changed));
  return ok(undefined);
}
