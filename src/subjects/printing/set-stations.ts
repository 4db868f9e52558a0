import { eq } from 'drizzle-orm';
import type { Rooms } from '@/core/findings';
import { type Db, tables } from '@/store';

/** Rooms of a printer's plate, bath and lamp, and what a layer takes. */
export function setStations(
  db: Db,
  printerId: number,
  { rooms, layerSeconds }: { readonly rooms: Rooms; readonly layerSeconds?: number },
): void {
  db.update(tables.printers)
    .set({ rooms, layerSeconds: layerSeconds ?? null })
    .where(eq(tables.printers.id, printerId))
    .run();
}
