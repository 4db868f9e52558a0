import { eq } from 'drizzle-orm';
import { allOrNothing, type Db, tables } from '@/store';
import { ok } from '@/core/kit';

/** Notes which resin stands in a printer's vat, and since when. Another one than before: it was emptied for it. */
export function loadVat(db: Db, printerId: number, resinId: number | undefined, on: string): void {
  const { printers, vats } = tables;
  allOrNothing<void, never>(db, (tx) => {
    const before = tx.select().from(printers).where(eq(printers.id, printerId)).get()?.vatResinId ?? null;
    tx.update(printers)
      .set({ vatResinId: resinId ?? null, vatSince: resinId === undefined ? '' : on })
      .where(eq(printers.id, printerId))
      .run();
    if (before !== null && before !== resinId)
      tx.update(vats)
        .set({ levelMl: 0, read: { by: 'volume', ml: 0 }, lots: [] })
        .where(eq(vats.printerId, printerId))
        .run();
    return ok(undefined);
  });
}
