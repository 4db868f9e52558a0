import Database from 'better-sqlite3';
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core';
import path from 'node:path';
import * as schema from './schema';

/** A database or a transaction on it: verbs and views take either. */
export type Db = BaseSQLiteDatabase<'sync', Database.RunResult, typeof schema>;

/** The open connection, for what is done to the file itself. */
export type Connection = BetterSQLite3Database<typeof schema> & { readonly $client: Database.Database };

/** How long a write waits while another program holds the database, ms. Pages wait with it: this process is one thread. */
const LOCKED_MS = 250;

/** Opens a database and brings it to the current schema. FULL: an acknowledged reading survives a power cut. */
export function openDb(file: string): Connection {
  const client = new Database(file, { timeout: LOCKED_MS });
  client.pragma('journal_mode = WAL');
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  const db = drizzle(client, { schema, casing: 'snake_case' });
  migrate(db, { migrationsFolder: migrationsFolder() });
  return db;
}

export function migrationsFolder(): string {
  return path.resolve(/* turbopackIgnore: true */ process.cwd(), 'src/store/migrations');
}
