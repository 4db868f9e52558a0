import Database from 'better-sqlite3';
import { existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { migrationsFolder } from '../client';

/** Why a database cannot be served. */
export interface DatabaseTrouble {
  readonly code: 'missing' | 'empty' | 'damaged' | 'newer' | 'older' | 'notOurs';
  readonly path: string;
}

/** When each known migration was made; the database keeps the same numbers of those it has been through. */
function knownMigrations(): number[] {
  const journal = JSON.parse(readFileSync(path.join(migrationsFolder(), 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  return journal.entries.map(({ when }) => when);
}

function troubleOfSchema(db: Database.Database): DatabaseTrouble['code'] | undefined {
  const tables = db.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[];
  if (!tables.includes('__drizzle_migrations')) return 'notOurs';
  const been = db
    .prepare('select created_at from __drizzle_migrations order by created_at')
    .pluck()
    .all() as number[];
  const known = knownMigrations();
  if (been.length === 0) return 'notOurs';
  if (been[been.length - 1] > known[known.length - 1]) return 'newer';
  if (been[0] < known[0]) return 'older';
  if (!been.every((when) => known.includes(when))) return 'notOurs';
  return ['jobs', 'readings'].every((name) => tables.includes(name)) ? undefined : 'notOurs';
}

/** Looks at a database before it is opened for use; it is not changed. `thorough` reads every index and row too. */
export function findDatabaseTrouble(file: string, { thorough = false } = {}): DatabaseTrouble | undefined {
  if (!existsSync(file)) return { code: 'missing', path: file };
  if (statSync(file).size === 0) return { code: 'empty', path: file };
  let db: Database.Database | undefined;
  try {
    db = new Database(file, { readonly: true, timeout: 5000 });
    const sound = db.pragma(thorough ? 'integrity_check(1)' : 'quick_check(1)', { simple: true }) === 'ok';
    const code = sound ? troubleOfSchema(db) : 'damaged';
    return code === undefined ? undefined : { code, path: file };
  } catch (error) {
    if (/^SQLITE_(CORRUPT|NOTADB)/.test((error as NodeJS.ErrnoException).code ?? ''))
      return { code: 'damaged', path: file };
    throw error;
  } finally {
    db?.close();
  }
}
