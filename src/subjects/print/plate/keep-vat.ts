import { findVatIssue, vatLevelMl, type VatReading } from '@/core/print';
import { fail, ok, type Result } from '@/core/kit';
import { type Db, tables } from '@/store';
import type { PlateIssue } from './words-plate';

/** A vat as somebody read it. */
export interface VatLook {
  readonly capacityMl: number;
  readonly floorMl: number;
  readonly read: VatReading;
}

/** Keeps what a printer's vat holds and how full it stands, however that was read. */
export function keepVat(
  db: Db,
  printerId: number,
  { capacityMl, floorMl, read }: VatLook,
): Result<number, PlateIssue> {
  const levelMl = Math.round(vatLevelMl(read) * 10) / 10;
  const issue = findVatIssue({ capacityMl, floorMl, levelMl });
  if (issue !== undefined) return fail(issue);
  const row = { capacityMl, floorMl, levelMl, read, at: new Date() };
  db.insert(tables.vats)
    .values({ printerId, ...row })
    .onConflictDoUpdate({ target: tables.vats.printerId, set: row })
    .run();
  return ok(levelMl);
}
