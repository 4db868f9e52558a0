import { CHECK_KINDS } from '@/core/log';
import { expectOk } from '@/core/kit';
import { type Db, tables } from '@/store';
import { countStock, noteMaintenance } from '@/subjects/log';
import { changePrinter } from '@/subjects/signature';

const DAY_MS = 86_400_000;
/** The station has had its printers for so long. */
const OWNED_DAYS = 220;

/** What was left when somebody counted, a week ago; the filters run short. */
const COUNTED = [
  { name: 'Thin gloves', unit: 'pairs', counted: 96, perPrint: 3, leadDays: 7 },
  { name: 'Film for the vats', unit: 'sheets', counted: 4, perPrint: 0.02, leadDays: 14 },
  { name: 'Paper filters', unit: 'filters', counted: 2, perPrint: 0.5, leadDays: 10 },
  { name: 'Wash alcohol', unit: 'litres', counted: 9, perPrint: 0.12, leadDays: 10 },
] as const;

/** Printers that were checked when they came, and what is used up beside resin. */
export function makeMaintenance(db: Db, now = new Date()): void {
  const day = (ago: number) => new Date(now.getTime() - ago * DAY_MS);
  const addedAt = day(OWNED_DAYS);
  db.update(tables.printers).set({ addedAt }).run();
  for (const { id, name } of db.select().from(tables.printers).all()) {
    for (const kind of CHECK_KINDS) expectOk(noteMaintenance(db, id, { kind }, day(OWNED_DAYS - 1)));
    expectOk(noteMaintenance(db, id, { kind: 'filter' }, day(33)));
    expectOk(noteMaintenance(db, id, { kind: 'lookOver' }, day(19)));
    // Before its newest print, which came out well.
    expectOk(noteMaintenance(db, id, { kind: 'clearVat' }, day(8)));
    const card = {
      serial: `TR-${name.slice(0, 2).toUpperCase()}-0${id}`,
      boughtOn: addedAt.toISOString().slice(0, 10),
      warrantyUntil: day(OWNED_DAYS - 730)
        .toISOString()
        .slice(0, 10),
    };
    expectOk(changePrinter(db, id, { card }));
  }
  for (const counted of COUNTED) expectOk(countStock(db, { ...counted, stockId: undefined }, day(7)));
}
