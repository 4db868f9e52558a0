import type Database from 'better-sqlite3';
import type { Db } from './client';

type Cell = string | number | null;

/**
 * Prepares an insert of many rows in one transaction, in the driver's own words: a hundred thousand rows keep everybody
 * waiting, and the query builder doubles that. Gives whether a row was new, and its id. Names are ours, never a user's.
 */
export function prepareInsert(db: Db, table: string, columns: readonly string[]) {
  const { client } = (db as unknown as { session: { client: Database.Database } }).session;
  const marks = columns.map(() => '?').join(', ');
  const insert = client.prepare(`insert or ignore into "${table}" (${columns.join(', ')}) values (${marks})`);
  return (...cells: readonly Cell[]): { readonly isNew: boolean; readonly id: number } => {
    const { changes, lastInsertRowid } = insert.run(...cells);
    return { isNew: changes > 0, id: Number(lastInsertRowid) };
  };
}
