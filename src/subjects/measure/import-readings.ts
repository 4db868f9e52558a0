import { createHash } from 'node:crypto';
import { sameKind } from '@/core/metrology';
import { fail, ok, type Result } from '@/core/result';
import { allOrNothing, type Db, evidenceChanged, kindOf, queries, tables } from '@/store';
import { listInstruments } from '@/subjects/caliper';
import { keepSignatures } from '@/subjects/printing';
import { bumpRevision, noteLedger } from '@/subjects/records';
import { parseReadingsCsv, type ReadingRow } from './input-readings-csv';
import type { MeasureEntry } from './words-ledger';
import type { ImportIssue } from './words-import';

/** What an import did. */
interface ImportReport {
  readonly readings: number;
  readonly alreadyHere: number;
  readonly newFeatures: number;
  readonly newPrints: number;
}

/** Readings of one file share an attempt per print name; equal lines of the same file are repeats, not copies. */
function keyOf(jobId: number, row: ReadingRow, occurrence: number): string {
  const facts = JSON.stringify([jobId, row.feature, row.print, row.readingMm, row.takenAt ?? '', occurrence]);
  return `csv-${createHash('sha256').update(facts).digest('hex')}`;
}

/**
 * Takes the readings of a file into a job: features and prints that are not there yet are made (targets equal to the
 * drawn size until somebody says otherwise). All or nothing; the same file again adds nothing.
 */
export function importReadings(db: Db, jobId: number, text: string): Result<ImportReport, ImportIssue> {
  const parsed = parseReadingsCsv(text);
  if (!parsed.ok) return parsed;
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  if (job.profileId === null) return fail({ code: 'noProfile' });
  const { profileId } = job;
  const imported = allOrNothing(db, (tx) => new ReadingsImport(tx, jobId, profileId).run(parsed.value));
  if (imported.ok) keepSignatures(db, [profileId]);
  return imported;
}

class ReadingsImport {
  private readonly report = { readings: 0, alreadyHere: 0, newFeatures: 0, newPrints: 0 };
  private readonly sessions = new Map<string, number>();
  private readonly occurrences = new Map<string, number>();

  constructor(
    private readonly db: Db,
    private readonly jobId: number,
    private readonly profileId: number,
  ) {}

  run(rows: readonly ReadingRow[]): Result<ImportReport, ImportIssue> {
    for (const row of rows) {
      const issue = this.take(row);
      if (issue !== undefined) return fail(issue);
    }
    bumpRevision(this.db, this.jobId);
    const { readings, newFeatures } = this.report;
    const entry: MeasureEntry = { code: 'readingsTakenIn', readings, newFeatures };
    noteLedger(this.db, this.jobId, 'measure', entry);
    evidenceChanged(this.db, { jobId: this.jobId });
    return ok(this.report);
  }

  private take(row: ReadingRow): ImportIssue | undefined {
    const feature = this.featureFor(row);
    if (!sameKind(kindOf(feature), row.kind)) {
      return { code: 'otherKind', line: row.line, feature: row.feature, firstLine: row.line };
    }
    const { attempt, printId } = this.printFor(row);
    const drawn = this.drawnFor(row, attempt, feature.id);
    if (Math.abs(drawn - row.drawnMm) > 1e-9) {
      return { code: 'otherDrawn', line: row.line, feature: row.feature, haveMm: drawn, fileMm: row.drawnMm };
    }
    const sessionId = this.sessionFor(row);
    if (sessionId === undefined) return { code: 'noInstrument', line: row.line, name: row.instrument ?? '' };
    const plain = JSON.stringify([row.feature, row.print, row.readingMm, row.takenAt]);
    const occurrence = this.occurrences.get(plain) ?? 0;
    this.occurrences.set(plain, occurrence + 1);
    const made = this.db
      .insert(tables.readings)
      .values({
        clientKey: keyOf(this.jobId, row, occurrence),
        sessionId,
        featureId: feature.id,
        printId,
        readingMm: row.readingMm,
        heightMm: row.heightMm,
        takenAt:
          row.takenAt !== undefined && !Number.isNaN(Date.parse(row.takenAt))
            ? new Date(row.takenAt)
            : new Date(),
      })
      .onConflictDoNothing()
      .returning()
      .get();
    if (made === undefined) this.report.alreadyHere++;
    else this.report.readings++;
    return undefined;
  }

  private featureFor(row: ReadingRow): queries.Feature {
    const known = queries.listFeatures(this.db, this.jobId).find(({ name }) => name === row.feature);
    if (known !== undefined) return known;
    this.report.newFeatures++;
    const { kind } = row;
    return this.db
      .insert(tables.features)
      .values({
        jobId: this.jobId,
        position: queries.listFeatures(this.db, this.jobId).length,
        name: row.feature,
        ...{
          sense: kind.sense,
          shape: kind.shape,
          axis: kind.axis,
          angleRad: kind.angleRad,
          base: kind.base,
        },
        targetMm: row.drawnMm,
        lowerMm: -0.1,
        upperMm: 0.1,
      })
      .returning()
      .get();
  }

  private printFor(row: ReadingRow): { attempt: queries.AttemptWithPrints; printId: number } {
    const all = queries.listAttempts(this.db, this.jobId);
    for (const attempt of all) {
      const print = attempt.prints.find(({ name }) => name === row.print);
      if (print !== undefined) return { attempt, printId: print.id };
    }
    this.report.newPrints++;
    const attempt = this.db
      .insert(tables.attempts)
      .values({
        jobId: this.jobId,
        number: (all.at(-1)?.number ?? 0) + 1,
        profileId: this.profileId,
        createdAt: new Date(),
      })
      .returning()
      .get();
    const print = this.db
      .insert(tables.prints)
      .values({ attemptId: attempt.id, name: row.print, madeAt: new Date() })
      .returning()
      .get();
    return { attempt: { ...attempt, prints: [print], drawn: [] }, printId: print.id };
  }

  private drawnFor(row: ReadingRow, attempt: queries.AttemptWithPrints, featureId: number): number {
    const known = attempt.drawn.find((size) => size.featureId === featureId);
    if (known !== undefined) return known.drawnMm;
    this.db
      .insert(tables.drawnSizes)
      .values({ attemptId: attempt.id, featureId, drawnMm: row.drawnMm })
      .onConflictDoNothing()
      .run();
    return row.drawnMm;
  }

  private sessionFor(row: ReadingRow): number | undefined {
    const instruments = listInstruments(this.db);
    const instrument =
      row.instrument === undefined ? instruments[0] : instruments.find(({ name }) => name === row.instrument);
    if (instrument === undefined) return undefined;
    const key = JSON.stringify([instrument.id, row.state, row.warm, row.zeroMm, row.partC]);
    const known = this.sessions.get(key);
    if (known !== undefined) return known;
    const made = this.db
      .insert(tables.sessions)
      .values({
        jobId: this.jobId,
        instrumentId: instrument.id,
        zeroMm: row.zeroMm ?? 0,
        partC: row.partC,
        state: row.state ?? 'cured',
        warm: row.warm,
        startedAt: new Date(),
      })
      .returning()
      .get();
    this.sessions.set(key, made.id);
    return made.id;
  }
}
