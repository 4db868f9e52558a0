import { and, eq, isNull } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { isSameLaw } from '@/core/signature';
import { type Db, queries, tables } from '@/store';
import { parseSignatureJson } from './input-signature-json';
import type { ForeignLawIssue } from './words-issues';

/** A signature from another workshop, and what it shares with this one. */
export interface NewForeignLaw {
  readonly name: string;
  readonly printerId?: number;
  readonly resinId?: number;
  /** The file, as text. */
  readonly text: string;
}

/** Profiles of a printer or a resin compute their data from related profiles again. */
function touchKin(
  db: Db,
  { printerId, resinId }: { printerId: number | null; resinId: number | null },
): void {
  const { profiles } = tables;
  for (const [column, id] of [
    [profiles.printerId, printerId],
    [profiles.resinId, resinId],
  ] as const)
    if (id !== null)
      db.update(profiles).set({ evidenceKey: crypto.randomUUID() }).where(eq(column, id)).run();
}

/**
 * Imports a signature of another workshop: profiles of the same printer or resin use it. One that is already here under
 * another name would count twice, and is refused.
 */
export function takeForeignLaw(db: Db, wanted: NewForeignLaw): Result<number, ForeignLawIssue> {
  const { name, printerId = null, resinId = null, text } = wanted;
  if (printerId === null && resinId === null) return fail({ code: 'noKin' });
  const law = parseSignatureJson(text);
  if (!law.ok) return law;
  const [mean, covariance] = [Array.from(law.value.mean), Array.from(law.value.covariance)];
  const same = queries.listAllForeignLaws(db).find(({ law: other }) => isSameLaw(other, law.value));
  if (same !== undefined) return fail({ code: 'hereAlready', name: same.law.name });
  return db.transaction((tx) => {
    const { id } = tx
      .insert(tables.foreignLaws)
      .values({ name, printerId, resinId, mean, covariance, addedAt: new Date() })
      .returning()
      .get();
    touchKin(tx, { printerId, resinId });
    return ok(id);
  });
}

/** Stops using a signature of another workshop. */
export function removeForeignLaw(db: Db, lawId: number): void {
  const { foreignLaws } = tables;
  db.transaction((tx) => {
    const row = tx
      .update(foreignLaws)
      .set({ removedAt: new Date() })
      .where(and(eq(foreignLaws.id, lawId), isNull(foreignLaws.removedAt)))
      .returning()
      .get();
    if (row !== undefined) touchKin(tx, row);
  });
}
