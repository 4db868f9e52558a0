import { eq } from 'drizzle-orm';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';

/** What is known of a printer beside its name; a missing field stays unchanged, null deletes it. */
export type PrinterFacts = Partial<
  Pick<typeof tables.printers.$inferInsert, 'pixelMm' | 'lightNm' | 'rooms' | 'layerSeconds' | 'card'>
>;

/** Its pixel and light, the rooms of its plate, bath and lamp, and what a layer takes. */
export function changePrinter(
  db: Db,
  printerId: number,
  facts: PrinterFacts,
): Result<void, { readonly code: 'gone' }> {
  const { printers } = tables;
  const { changes } = db.update(printers).set(facts).where(eq(printers.id, printerId)).run();
  return changes === 0 ? fail({ code: 'gone' }) : ok(undefined);
}
