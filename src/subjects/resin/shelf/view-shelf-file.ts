import type { ShelfEntry } from '@/core/resin';
import { type Db, queries } from '@/store';
import { formatShelfCsv } from './input-shelf-csv';
import { formatShelfJson } from './input-shelf-json';
import { resinTestOf } from './resin-file';

export function shelfEntries(db: Db): ShelfEntry[] {
  return queries.listShelf(db).map(({ resin, proofs, bottles }) => ({
    name: resin.name,
    sheet: resin.sheet,
    ...(resin.recipe === null ? {} : { blend: resin.recipe }),
    proofs: proofs.map(resinTestOf),
    bottles: bottles.map(({ batch, openedOn, fullMl, leftMl }) => ({ batch, openedOn, fullMl, leftMl })),
  }));
}

/** The resins as a file: everything as JSON, the datasheets as CSV. */
export function exportShelf(db: Db, form: 'json' | 'csv'): string {
  const entries = shelfEntries(db);
  return form === 'json' ? formatShelfJson(entries) : formatShelfCsv(entries);
}
