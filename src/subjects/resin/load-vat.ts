import { eq } from 'drizzle-orm';
import { type Db, tables } from '@/store';

/** Says which resin stands in a printer's vat; undefined empties it. */
export function loadVat(db: Db, printerId: number, resinId: number | undefined, on: string): void {
  db.update(tables.printers)
    .set({ vatResinId: resinId ?? null, vatSince: resinId === undefined ? '' : on })
    .where(eq(tables.printers.id, printerId))
    .run();
}
