import { and, eq } from 'drizzle-orm';
import { type ResinTestResult, type ResinTestData, workOutResinTest } from '@/core/resin';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, queries, tables } from '@/store';
import type { ShelfChangeIssue } from './words-issues';

/** YYYY-MM-DD so many weeks after a day. */
function weeksAfter(day: string, weeks: number): string {
  const time = Date.parse(`${day}T00:00:00Z`) + weeks * 7 * 86_400_000;
  return new Date(time).toISOString().slice(0, 10);
}

/** Stores a test of a resin that can be evaluated, and returns its result. */
export function keepResinTest(
  db: Db,
  resinId: number,
  proof: ResinTestData & { readonly on: string },
  note: string,
): Result<ResinTestResult, ShelfChangeIssue> {
  if (queries.findResin(db, resinId) === undefined) return fail({ code: 'gone' });
  const { on, ...test } = proof;
  const worked = workOutResinTest(test);
  if (!worked.ok) return fail({ code: 'proof', issue: worked.issue });
  const dueOn =
    test.kind === 'creep' && test.test.secondMm === undefined ? weeksAfter(on, test.test.weeks) : '';
  db.insert(tables.proofs).values({ resinId, test, on, note, dueOn }).run();
  return ok(worked.value);
}

/** Deletes a test: it no longer counts, and stays in the database. */
export function takeBackResinTest(db: Db, resinId: number, proofId: number): void {
  const { proofs } = tables;
  db.update(proofs)
    .set({ removedAt: new Date() })
    .where(and(eq(proofs.id, proofId), eq(proofs.resinId, resinId)))
    .run();
}

/** The second reading of a creep check, weeks later. */
export function readCreepAgain(
  db: Db,
  resinId: number,
  proofId: number,
  secondMm: number,
): Result<void, ShelfChangeIssue> {
  const { proofs } = tables;
  const row = queries.findResin(db, resinId)?.proofs.find(({ id }) => id === proofId);
  if (row?.test.kind !== 'creep') return fail({ code: 'gone' });
  const test = { ...row.test, test: { ...row.test.test, secondMm } };
  db.update(proofs).set({ test, dueOn: '' }).where(eq(proofs.id, proofId)).run();
  return ok(undefined);
}
