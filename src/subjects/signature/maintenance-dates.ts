import { type MaintenanceKind, countsAsDone } from '@/core/log';
import { type Db, queries } from '@/store';

/**
 * Returns when each kind of maintenance of a printer was last done, up to a time: as tapped, and a new film, a levelled
 * plate or a filled vat as recorded elsewhere. The pre-print checklist, the log and Today use the same days.
 */
export function maintenanceDates(
  db: Db,
  printerId: number,
  until = new Date(),
): Readonly<Partial<Record<MaintenanceKind, Date>>> {
  const done: Partial<Record<MaintenanceKind, Date>> = {};
  const take = (kind: MaintenanceKind, at: Date) => {
    const before = done[kind];
    if (at <= until && (before === undefined || at > before)) done[kind] = at;
  };
  for (const { kind, isWell, at } of queries.listCareDone(db, printerId))
    if (countsAsDone(kind, isWell)) take(kind, at);
  const profiles = queries.listProfiles(db).filter(({ printer }) => printer.id === printerId);
  for (const { profile } of profiles)
    for (const { kinds, at } of queries.listChanges(db, profile.id)) {
      if (kinds.includes('film')) take('film', at);
      if (kinds.includes('plate')) take('level', at);
    }
  const vatSince = profiles[0]?.printer.vatSince ?? '';
  if (vatSince !== '') take('drain', new Date(vatSince));
  return done;
}
