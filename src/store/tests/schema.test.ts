import { expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { eq } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ringOf } from '@/core/fit/solids';
import { recordReading } from '@/subjects/measure/readings';
import { emptyBench, readyBench, standing } from '@/testing/bench';
import { queries, tables } from '..';
import { openDb } from '../client';

test('foreign keys are held: a reading of a feature that is not there is no reading', () => {
  const { db, reading } = readyBench();
  const { clientKey, sessionId, printId } = reading(1, 9.5);
  const orphan = { clientKey, sessionId, printId, featureId: 9999, readingMm: 9.5, takenAt: new Date() };
  expect(() => db.insert(tables.readings).values(orphan).run()).toThrow(/FOREIGN KEY/);
});

test('the same client key cannot be stored twice', () => {
  const { db, bore, reading } = readyBench();
  const { confirmed, ...row } = reading(bore, 9.5);
  expect(confirmed).toBe(false);
  db.insert(tables.readings)
    .values({ ...row, takenAt: new Date() })
    .run();
  expect(() =>
    db
      .insert(tables.readings)
      .values({ ...row, takenAt: new Date() })
      .run(),
  ).toThrow(/UNIQUE/);
});

test('a job has each attempt number once', () => {
  const { db, jobId, profileId } = readyBench();
  const again = { jobId, profileId, number: 1, createdAt: new Date() };
  expect(() => db.insert(tables.attempts).values(again).run()).toThrow(/UNIQUE/);
});

test('an empty bench is at the newest schema, with nothing on it', () => {
  const db = emptyBench();
  expect(queries.listJobs(db)).toEqual([]);
  expect(queries.listProfiles(db)).toEqual([]);
  expect(queries.findJob(db, 1)).toBeUndefined();
});

test('standing readings come oldest first, with what is needed to correct them', () => {
  const { db, bore, width, printId, reading } = readyBench();
  for (const [feature, mm] of [
    [bore, 9.5],
    [width, 20.1],
    [bore, 9.51],
  ] as const)
    recordReading(db, reading(feature, mm));
  const [first] = queries.listStandingReadings(db, queries.ofPrint(printId));
  expect(standing(db, printId)).toEqual([9.5, 20.1, 9.51]);
  expect(first).toMatchObject({
    drawnMm: 9.56,
    printName: 'A1',
    session: { zeroMm: 0 },
    instrument: { mpeMm: 0.02 },
  });
});

test('expectations are kept for every drawn size of every print', () => {
  const { db, profileId, bore, width, printId } = readyBench();
  const lines = queries.listExpectations(db, profileId);
  expect(lines.map(({ printId: print, featureId }) => [print, featureId])).toEqual([
    [printId, bore],
    [printId, width],
  ]);
  for (const { sdMm } of lines) expect(sdMm).toBeGreaterThan(0);
});

test('features are named with their jobs, put away or not', () => {
  const { db, profileId, jobId, bore } = readyBench();
  db.update(tables.features).set({ removedAt: new Date() }).where(eq(tables.features.id, bore)).run();
  expect(
    queries
      .nameFeatures(db, profileId)
      .map(({ feature, job }) => `${feature} of ${job}`)
      .sort(),
  ).toEqual(['Bore of Bushing', 'Width of Bushing']);
  expect(queries.listFeatures(db, jobId).map(({ name }) => name)).toEqual(['Width']);
});

/** A database after the first migrations. */
function databaseAfter(count: number): { readonly file: string; readonly old: Database.Database } {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'mellow-schema-')), 'old.db');
  const old = new Database(file);
  old.exec(
    'create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)',
  );
  const journal = JSON.parse(readFileSync('src/store/migrations/meta/_journal.json', 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  for (const { tag, when } of journal.entries.slice(0, count)) {
    const sql = readFileSync(`src/store/migrations/${tag}.sql`, 'utf8');
    for (const statement of sql.split('--> statement-breakpoint')) old.exec(statement);
    const hash = createHash('sha256').update(sql).digest('hex');
    old.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(hash, when);
  }
  return { file, old };
}

test('a ring kept by the first schema is a turned part after the second', () => {
  const { file, old } = databaseAfter(1);
  const ring = JSON.stringify({ kind: 'ring', outer: 4, bore: 5, height: 6 });
  old.prepare('insert into jobs (name, created_at, solid) values (?, ?, ?)').run('old', 1, ring);
  old.close();
  const db = openDb(file);
  expect(queries.findJob(db, 1)?.solid).toEqual(ringOf(4, 5, 6));
  expect(queries.findJob(db, 1)?.claims).toEqual([]);
  db.$client.close();
  rmSync(path.dirname(file), { recursive: true, force: true });
});

test('what a resin was said to stand before there was a shelf stands on its sheet', () => {
  const { file, old } = databaseAfter(2);
  old
    .prepare('insert into resins (name, linear_shrink, modulus_m_pa, break_strain) values (?, ?, ?, ?)')
    .run('Otter Tough', 0.004, 1750, 0.38);
  old.prepare('insert into resins (name) values (?)').run('Bare');
  old.close();
  const db = openDb(file);
  const own = { condition: 'cured', source: 'own' };
  expect(queries.findResinByName(db, 'Otter Tough')?.sheet).toEqual({
    family: 'general',
    quotes: [
      { property: 'linearShrink', value: 0.004, ...own },
      { property: 'flexuralModulus_MPa', value: 1750, ...own },
      { property: 'elongation', value: 0.38, ...own },
    ],
    cautions: [],
  });
  expect(queries.findResinByName(db, 'Bare')?.sheet.quotes).toEqual([]);
  db.$client.close();
  rmSync(path.dirname(file), { recursive: true, force: true });
});

test('what was written down in words before lines were facts still reads as it did', () => {
  const { file, old } = databaseAfter(5);
  old.exec(`
    insert into printers (id, name, stand_in_seed) values (1, 'Long Bench', 7);
    insert into resins (id, name) values (1, 'Otter Tough');
    insert into profiles (id, printer_id, resin_id, name, layer_mm) values (1, 1, 1, 'p', 0.05);
    insert into jobs (id, name, created_at) values (1, 'old', 1);
    insert into ledger_lines (job_id, step, title, detail, at) values (1, 'need', 'Decision rule', 'shared risk', 1);
    insert into finding_verdicts (job_id, source, "key", title, verdict, reason, at)
      values (1, 'h', 'island@1', 'Begins in the air', 'passed', '', 1);
    insert into signatures (profile_id, learned_from_hash, reading_ids, report, created_at) values (1, 'abc', '[]', '{}', 1);
  `);
  old.close();
  const db = openDb(file);
  expect(queries.listLedger(db, 1)[0].entry).toEqual({
    code: 'told',
    title: 'Decision rule',
    detail: 'shared risk',
  });
  expect(db.select().from(tables.findingVerdicts).get()?.finding).toEqual({
    code: 'told',
    title: 'Begins in the air',
  });
  expect(db.select().from(tables.signatures).get()?.evidenceKey).toBe('abc');
  expect(db.select().from(tables.printers).get()?.simulatedSeed).toBe(7);
  expect(queries.findProfile(db, 1)?.profile.evidenceKey).toMatch(/^[0-9a-f]{32}$/);
  db.$client.close();
  rmSync(path.dirname(file), { recursive: true, force: true });
});
