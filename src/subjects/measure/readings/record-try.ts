import { eq } from 'drizzle-orm';
import type { PartState } from '@/core/measure';
import { fail, ok, type Result } from '@/core/kit';
import type { FitWord } from '@/core/signature';
import { type Db, evidenceChanged, queries, tables } from '@/store';
import { keepSignatures, type Later } from '@/subjects/signature';
import type { ReadingIssue } from './words-issues';

interface NewTry {
  readonly clientKey: string;
  readonly featureId: number;
  readonly printId: number;
  readonly word: FitWord;
  readonly state: PartState;
  /** The part was still warm: the word is kept and not learned from. */
  readonly warm?: boolean;
  /** Weight of the push, where somebody weighed it, N. */
  readonly pushN?: number;
}

/** Keeps a word of fit; the last word of a feature in a print is the one that counts. */
export function recordTry(
  db: Db,
  wanted: NewTry,
  later: Later = (work) => work(),
): Result<void, ReadingIssue> {
  const { features, prints } = tables;
  const feature = db.select().from(features).where(eq(features.id, wanted.featureId)).get();
  if (feature === undefined) return fail({ code: 'gone', what: 'feature' });
  if (db.select().from(prints).where(eq(prints.id, wanted.printId)).get() === undefined)
    return fail({ code: 'gone', what: 'print' });
  if (!queries.isPrintOf(db, feature.jobId, wanted.printId)) return fail({ code: 'otherJob', what: 'print' });
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
