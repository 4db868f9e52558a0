import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { DATABASE, FILE_FOLDERS, findDatabaseTrouble, listJsonColumns, openDb } from '@/store';
import type { RestoreIssue } from './words-restore';

async function hashOf(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Every part and picture must be what its name says. */
async function findFileIssue(folder: string): Promise<RestoreIssue | undefined> {
  for (const kind of FILE_FOLDERS.filter((name) => existsSync(path.join(folder, name)))) {
    for (const name of readdirSync(path.join(folder, kind))) {
      const file = path.join(folder, kind, name);
      if ((await hashOf(file)) !== name.split('.')[0]) return { code: 'otherBytes', name: `${kind}/${name}` };
    }
  }
  return undefined;
}

interface SchemaRow {
  readonly type: string;
  readonly name: string;
}

const schemaOf = (db: Database.Database) =>
  db
    .prepare("select type, name from sqlite_master where name not like 'sqlite_%' order by type, name")
    .all() as SchemaRow[];

/** What acts by itself in a database, or stands in for a table: no backup of ours has any. */
function findActing(db: Database.Database): RestoreIssue | undefined {
  const acting = db
    .prepare("select name from sqlite_master where type in ('trigger', 'view') or sql like 'create virtual%'")
    .pluck()
    .get() as string | undefined;
  return acting === undefined ? undefined : { code: 'strangeSchema', name: acting.slice(0, 80) };
}

function findForeignSchema(db: Database.Database): RestoreIssue | undefined {
  const known = openDb(':memory:');
  const names = new Set(schemaOf(known.$client).map(({ type, name }) => `${type} ${name}`));
  known.$client.close();
  const own = schemaOf(db).map(({ type, name }) => `${type} ${name}`);
  const strange = own.find((each) => !names.has(each)) ?? [...names].find((each) => !own.includes(each));
  return strange === undefined ? undefined : { code: 'strangeSchema', name: strange.slice(0, 80) };
}

/** Rows that point to rows that are not there, and cells of JSON that are none or lack what every one has. */
function findContentIssue(db: Database.Database): RestoreIssue | undefined {
  const [orphan] = db.pragma('foreign_key_check') as { table: string }[];
  if (orphan !== undefined) return { code: 'orphans', table: orphan.table };
  for (const { table, column, isSound } of listJsonColumns()) {
    const bad = db
      .prepare(`select count(*) from "${table}" where "${column}" is not null and not (${isSound})`)
      .pluck()
      .get() as number;
    if (bad > 0) return { code: 'badCells', table, column, count: bad };
  }
  return undefined;
}

function findDatabaseIssue(file: string): RestoreIssue | undefined {
  const trouble = findDatabaseTrouble(file, { thorough: true });
  if (trouble !== undefined) {
    const { code } = trouble;
    return code === 'newer' || code === 'older' ? { code } : { code: 'damaged' };
  }
  const before = new Database(file, { readonly: true });
  const acting = findActing(before);
  before.close();
  if (acting !== undefined) return acting;
  // Brought to the current schema here already: what is put in place opens at once.
  const { $client: db } = openDb(file);
  try {
    return findForeignSchema(db) ?? findContentIssue(db);
  } finally {
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
  }
}

/** Everything that is wrong with an unpacked bench, the first of it; the database is brought to the current schema. */
export async function checkBroughtBench(folder: string): Promise<RestoreIssue | undefined> {
  const ofFiles = await findFileIssue(folder);
  if (ofFiles !== undefined) return ofFiles;
  try {
    return findDatabaseIssue(path.join(folder, DATABASE));
  } catch {
    return { code: 'damaged' };
  }
}
